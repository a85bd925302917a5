/** Students of rosters, imports that can be undone, cards with their tokens, and cards that were read. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class Students1799000000000 extends ForwardMigration {
  readonly name = 'Students1799000000000';
  protected readonly statements = statements;
}

const toStudent = 'FOREIGN KEY (student_id) REFERENCES students(id) ON DELETE CASCADE ON UPDATE NO ACTION';

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `CREATE TABLE students (
    id char(36) ${ascii} NOT NULL,
    school_id varchar(40) NULL,
    prefix varchar(120) NOT NULL,
    given varchar(120) NOT NULL,
    middle varchar(120) NOT NULL,
    family varchar(120) NOT NULL,
    name varchar(200) NOT NULL,
    sorted_by varchar(250) NOT NULL,
    class_name varchar(60) NOT NULL,
    year varchar(60) NOT NULL,
    left_at datetime(3) NULL,
    version int NOT NULL DEFAULT 1,
    created_at datetime(3) NOT NULL,
    INDEX IDX_aa8edc7905ad764f8592456964 (school_id),
    INDEX IDX_928c138561009b7f78152f9b85 (sorted_by),
    INDEX IDX_e79e87a356b49e4c1cc830eab7 (class_name, sorted_by),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE roster_imports (
    id char(36) ${ascii} NOT NULL,
    imported_by_id char(36) ${ascii} NOT NULL,
    file_name varchar(200) NOT NULL,
    changes json NOT NULL,
    imported_at datetime(3) NOT NULL,
    undone_at datetime(3) NULL,
    INDEX IDX_ddab6f9446a425824eddeb1b0d (imported_by_id),
    PRIMARY KEY (id)
  ) ${table}`,
  'ALTER TABLE roster_imports ADD CONSTRAINT FK_ddab6f9446a425824eddeb1b0d6 FOREIGN KEY (imported_by_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  `CREATE TABLE student_cards (
    id char(36) ${ascii} NOT NULL,
    student_id char(36) ${ascii} NOT NULL,
    token varchar(20) ${ascii} NOT NULL,
    made_at datetime(3) NOT NULL,
    replaced_at datetime(3) NULL,
    INDEX IDX_607acd7e8117f40915b71c6fbb (student_id),
    UNIQUE INDEX IDX_d22db26bb91a30a0621b0e584b (token),
    PRIMARY KEY (id)
  ) ${table}`,
  `ALTER TABLE student_cards ADD CONSTRAINT FK_607acd7e8117f40915b71c6fbb8 ${toStudent}`,
  `CREATE TABLE printed_cards (
    id char(36) ${ascii} NOT NULL,
    print_id char(36) ${ascii} NOT NULL,
    student_id char(36) ${ascii} NOT NULL,
    position int NOT NULL,
    content json NOT NULL,
    replaced_at datetime(3) NULL,
    INDEX IDX_7ba16f49a9ebdcf86c9090e02e (print_id, position),
    INDEX IDX_78729dac33785610c169e4e56c (student_id),
    PRIMARY KEY (id)
  ) ${table}`,
  'ALTER TABLE printed_cards ADD CONSTRAINT FK_7cbc8dadf41bf7a76b730ff5992 FOREIGN KEY (print_id) REFERENCES prints(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  `ALTER TABLE printed_cards ADD CONSTRAINT FK_78729dac33785610c169e4e56c4 ${toStudent}`,
  `CREATE TABLE card_readings (
    id char(36) ${ascii} NOT NULL,
    student_id char(36) ${ascii} NOT NULL,
    read_by_id char(36) ${ascii} NOT NULL,
    read_at datetime(3) NOT NULL,
    INDEX IDX_75ab50b155e245ecdcab65d934 (read_by_id, id),
    INDEX IDX_2789c5e184a1581215b3c639d3 (student_id),
    PRIMARY KEY (id)
  ) ${table}`,
  `ALTER TABLE card_readings ADD CONSTRAINT FK_2789c5e184a1581215b3c639d39 ${toStudent}`,
  'ALTER TABLE card_readings ADD CONSTRAINT FK_fb5d41a1b28a7dab6bf74366c84 FOREIGN KEY (read_by_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION',
];
