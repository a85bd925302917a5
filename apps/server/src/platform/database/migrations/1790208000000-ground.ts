/** The ground: accounts, school, devices, classes, lessons, stations, materials, checks, rehearsals, sheets. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements = [
  `CREATE TABLE accounts (
    id char(36) ${ascii} NOT NULL,
    email varchar(190) NOT NULL,
    name varchar(120) NOT NULL,
    role varchar(20) ${ascii} NOT NULL,
    password_hash varchar(200) ${ascii} NOT NULL,
    created_at datetime(3) NOT NULL,
    UNIQUE INDEX IDX_ee66de6cdc53993296d1ceb8aa (email),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE sessions (
    token_hash varchar(64) ${ascii} NOT NULL,
    account_id char(36) ${ascii} NOT NULL,
    expires_at datetime(3) NOT NULL,
    INDEX IDX_da0cf19646ff5c6e3c0284468e (account_id),
    INDEX IDX_9cfe37d28c3b229a350e086d94 (expires_at),
    PRIMARY KEY (token_hash)
  ) ${table}`,
  `CREATE TABLE sign_in_attempts (
    id char(36) ${ascii} NOT NULL,
    email varchar(190) NOT NULL,
    address varchar(64) NOT NULL,
    at datetime(3) NOT NULL,
    INDEX IDX_76e3e32affbe6217efc529c4cf (at),
    INDEX IDX_b708c6fa0e14bcf8f68dd7aef4 (address, at),
    INDEX IDX_77f842ab5ba652ef2bac2d6b5b (email, at),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE materials (
    id char(36) ${ascii} NOT NULL,
    owner_id char(36) ${ascii} NOT NULL,
    kind varchar(20) ${ascii} NOT NULL,
    title varchar(200) NOT NULL,
    title_source varchar(10) ${ascii} NOT NULL,
    pasted text NOT NULL,
    link text NULL,
    words text NULL,
    repairs json NOT NULL,
    instruction varchar(200) NOT NULL,
    version int NOT NULL DEFAULT '1',
    created_at datetime(3) NOT NULL,
    removed_at datetime(3) NULL,
    INDEX IDX_3f8489feedfddae357d2f903f1 (owner_id, removed_at, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE access_checks (
    id char(36) ${ascii} NOT NULL,
    material_id char(36) ${ascii} NOT NULL,
    state varchar(10) ${ascii} NOT NULL,
    link text NOT NULL,
    asked_at datetime(3) NOT NULL,
    finished_at datetime(3) NULL,
    claim char(36) ${ascii} NULL,
    lease_until datetime(3) NULL,
    verdict varchar(20) ${ascii} NULL,
    reason varchar(30) ${ascii} NULL,
    detail varchar(500) NULL,
    evidence json NULL,
    INDEX IDX_19fd6946a8be2489eeb63c128f (claim),
    INDEX IDX_326a02a4921aa6eaa5288ce098 (state, lease_until),
    INDEX IDX_fef2413fcb40b24c5e5d939daa (material_id, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE devices (
    id char(36) ${ascii} NOT NULL,
    name varchar(120) NOT NULL,
    count int NULL,
    preview_width_px int NOT NULL,
    preview_height_px int NOT NULL,
    horizontal_fov_deg double NOT NULL,
    nearest_focus_m double NOT NULL,
    blur_px double NOT NULL,
    noise_grey double NOT NULL,
    engine varchar(20) ${ascii} NOT NULL,
    position int NOT NULL,
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE school_classes (
    id char(36) ${ascii} NOT NULL,
    name varchar(120) NOT NULL,
    student_accounts varchar(10) ${ascii} NOT NULL,
    version int NOT NULL DEFAULT '1',
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE lessons (
    id char(36) ${ascii} NOT NULL,
    owner_id char(36) ${ascii} NOT NULL,
    name varchar(120) NOT NULL,
    class_id char(36) ${ascii} NULL,
    date varchar(10) ${ascii} NULL,
    starts_at varchar(5) ${ascii} NULL,
    place varchar(80) NOT NULL,
    viewing_distance_m double NOT NULL,
    version int NOT NULL DEFAULT '1',
    removed_at datetime(3) NULL,
    INDEX IDX_e74cdae1a2f3312b240847dfa1 (class_id),
    INDEX IDX_5fd3c129154d97575b9938a4f4 (owner_id, removed_at, date, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE rehearsals (
    material_id char(36) ${ascii} NOT NULL,
    rehearsal_key varchar(64) ${ascii} NOT NULL,
    results json NOT NULL,
    rehearsed_at datetime(3) NOT NULL,
    PRIMARY KEY (material_id, rehearsal_key)
  ) ${table}`,
  `CREATE TABLE schools (
    id tinyint NOT NULL,
    name varchar(120) NOT NULL,
    time_zone varchar(60) ${ascii} NOT NULL,
    paper varchar(10) ${ascii} NOT NULL,
    public_address varchar(200) NOT NULL,
    short_link_host varchar(200) NULL,
    version int NOT NULL DEFAULT '1',
    demo_loaded_at datetime(3) NULL,
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE stations (
    id char(36) ${ascii} NOT NULL,
    lesson_id char(36) ${ascii} NOT NULL,
    material_id char(36) ${ascii} NOT NULL,
    position int NOT NULL,
    name varchar(200) NULL,
    instruction varchar(200) NULL,
    version int NOT NULL DEFAULT '1',
    removed_at datetime(3) NULL,
    INDEX IDX_c15cecafce17d0a157fa518c75 (material_id),
    INDEX IDX_ef28485c485242de07443cd46b (lesson_id, removed_at, position),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE sheets (
    id char(36) ${ascii} NOT NULL,
    material_id char(36) ${ascii} NOT NULL,
    station_id char(36) ${ascii} NULL,
    kind varchar(20) ${ascii} NOT NULL,
    paper varchar(10) ${ascii} NOT NULL,
    size_mm double NOT NULL,
    content json NOT NULL,
    file_name varchar(120) NOT NULL,
    made_at datetime(3) NOT NULL,
    INDEX IDX_2e9fd522bd2261f8849f109632 (station_id, id),
    INDEX IDX_a2bb5b31547c0ed077eb93a4d1 (material_id, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE class_devices (
    class_id char(36) ${ascii} NOT NULL,
    device_id char(36) ${ascii} NOT NULL,
    INDEX IDX_6a5a7f74cf49b645a81d0b1e65 (class_id),
    INDEX IDX_df8a7a815dc177fd12ea3d848a (device_id),
    PRIMARY KEY (class_id, device_id)
  ) ${table}`,
  `ALTER TABLE sessions ADD CONSTRAINT FK_da0cf19646ff5c6e3c0284468e5 FOREIGN KEY (account_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE materials ADD CONSTRAINT FK_865bf6b08ba79df5d00efc0e98e FOREIGN KEY (owner_id) REFERENCES accounts(id) ON DELETE RESTRICT ON UPDATE NO ACTION`,
  `ALTER TABLE access_checks ADD CONSTRAINT FK_1ef7b3b10dc5be061be70b9b680 FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE lessons ADD CONSTRAINT FK_fd8c867c5882b9f5905be433cdc FOREIGN KEY (owner_id) REFERENCES accounts(id) ON DELETE RESTRICT ON UPDATE NO ACTION`,
  `ALTER TABLE lessons ADD CONSTRAINT FK_e74cdae1a2f3312b240847dfa1f FOREIGN KEY (class_id) REFERENCES school_classes(id) ON DELETE SET NULL ON UPDATE NO ACTION`,
  `ALTER TABLE rehearsals ADD CONSTRAINT FK_6c6cefc1eef37cc823feac45adf FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE stations ADD CONSTRAINT FK_da395be2fbd7c14e8d48467dd9d FOREIGN KEY (lesson_id) REFERENCES lessons(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE stations ADD CONSTRAINT FK_c15cecafce17d0a157fa518c75a FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE RESTRICT ON UPDATE NO ACTION`,
  `ALTER TABLE sheets ADD CONSTRAINT FK_0144b7b35faac4105651d3a69b0 FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE sheets ADD CONSTRAINT FK_313ad295c52be7000da031228b9 FOREIGN KEY (station_id) REFERENCES stations(id) ON DELETE SET NULL ON UPDATE NO ACTION`,
  `ALTER TABLE class_devices ADD CONSTRAINT FK_6a5a7f74cf49b645a81d0b1e65b FOREIGN KEY (class_id) REFERENCES school_classes(id) ON DELETE CASCADE ON UPDATE CASCADE`,
  `ALTER TABLE class_devices ADD CONSTRAINT FK_df8a7a815dc177fd12ea3d848ad FOREIGN KEY (device_id) REFERENCES devices(id) ON DELETE CASCADE ON UPDATE CASCADE`,
];

export class Ground1790208000000 extends ForwardMigration {
  readonly name = 'Ground1790208000000';
  protected readonly statements = statements;
}
