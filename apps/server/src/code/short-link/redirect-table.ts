/**
 * Where every short link leads, in memory: a redirect costs a look into a map. The database stands behind it; what
 * changes there, by whichever server, is seen within a third of a second.
 */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { isAlwaysOpen, isWebAddress, type Opening, parseUrl } from '@hapset/core';
import { DataSource } from 'typeorm';
import { ChangeReader } from '../../platform/database/change-reader.js';
import { Loop } from '../../platform/loop/loop.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { addressOf } from '../../gather/material/material-address.js';
import { SchoolService } from '../../school/settings/school.service.js';

const lookMs = 300;

export interface Redirect {
  readonly slug: string;
  readonly materialId: string | null;
  /** Null where its material was taken off the shelf. */
  readonly target: string | null;
  /** The school keeps the page itself. */
  readonly kept: boolean;
  /** Null where it always leads on. */
  readonly opening: Opening | null;
  /** A real device is being tried: between these, milliseconds since 1970. */
  readonly trying: { readonly since: number; readonly until: number } | null;
}

export interface RedirectSchool {
  readonly name: string;
  readonly timeZone: string;
  readonly language: string;
  /** Hosts at whose root short links stand, in lower case: today's and all before. */
  readonly hosts: ReadonlySet<string>;
  /** Host of the application itself, in lower case. */
  readonly ownHost: string;
}

interface Row {
  readonly slug: string;
  readonly materialId: string | null;
  readonly link: string | null;
  readonly pageToken: string | null;
  readonly removedAt: Date | null;
  readonly opening: Opening;
  readonly tryingSince: Date | null;
  readonly tryingUntil: Date | null;
}

const columns = `SELECT links.slug, links.material_id AS materialId, materials.link, materials.page_token AS pageToken, materials.removed_at AS removedAt,
  links.opening, links.trying_since AS tryingSince, links.trying_until AS tryingUntil
  FROM short_links links LEFT JOIN materials ON materials.id = links.material_id`;

@Injectable()
export class RedirectTable implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private entries = new Map<string, Redirect>();
  private known: (RedirectSchool & { readonly version: number; readonly publicAddress: string }) | null = null;
  private readonly loop: Loop;
  private looking: Promise<void> | null = null;
  private readonly changes: ChangeReader;
  /** Of the school's settings when all were read. */
  private readWith: number | null = null;

  constructor(
    private readonly dataSource: DataSource,
    private readonly schools: SchoolService,
    @Inject(LOGGER) logger: AppLogger,
  ) {
    this.changes = new ChangeReader(dataSource);
    this.loop = new Loop(() => this.look(), { name: 'look for changed short links', everyMs: lookMs, logger });
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.loop.start().settled();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
    await this.looking?.catch(() => undefined);
  }

  get school(): RedirectSchool | null {
    return this.known;
  }

  get(slug: string): Redirect | undefined {
    return this.entries.get(slug);
  }

  /** Asks the database, for what was made a moment ago elsewhere. */
  async find(slug: string): Promise<Redirect | undefined> {
    this.put(await this.rows('WHERE links.slug = ?', [slug]));
    return this.entries.get(slug);
  }

  /** Takes over what changed lately. Whoever changed something waits for it, so that the next opening is right. */
  async look(): Promise<void> {
    await this.looking?.catch(() => undefined);
    this.looking = this.takeChanges().finally(() => (this.looking = null));
    return this.looking;
  }

  private async takeChanges(): Promise<void> {
    const { version, name, timeZone, language, publicAddress, shortLinkHost, formerShortHosts } =
      await this.schools.get();
    const hosts = [shortLinkHost, ...(formerShortHosts ?? [])]
      .filter((host) => host !== null)
      .map((host) => host.toLowerCase());
    this.known = {
      version,
      name,
      timeZone,
      language,
      publicAddress,
      hosts: new Set(hosts),
      ownHost: parseUrl(publicAddress)?.host.toLowerCase() ?? '',
    };
    // Addresses of kept pages hang on the school's own: with another one all are read again.
    await this.changes.read(async (since) => {
      const isRead = this.readWith === version;
      this.put(isRead ? await this.rows('WHERE links.changed_at >= ?', [since]) : await this.rows(''));
      this.readWith = version;
    });
  }

  private async rows(where: string, values: readonly string[] = []): Promise<readonly Row[]> {
    return (await this.dataSource.query(`${columns} ${where}`, [...values])) as Row[];
  }

  private put(rows: readonly Row[]): void {
    const publicAddress = this.known?.publicAddress ?? '';
    for (const row of rows) this.entries.set(row.slug, toRedirect(row, publicAddress));
  }
}

function toRedirect(
  { slug, materialId, link, pageToken, removedAt, opening, tryingSince, tryingUntil }: Row,
  publicAddress: string,
): Redirect {
  const address = materialId === null || removedAt !== null ? null : addressOf({ link, pageToken }, publicAddress);
  return {
    slug,
    materialId,
    // As a header carries it: characters beyond ASCII escaped (RFC 9110, 10.2.2).
    target: address !== null && isWebAddress(address) ? new URL(address).href : null,
    kept: pageToken !== null,
    opening: isAlwaysOpen(opening) ? null : opening,
    trying: tryingSince && tryingUntil ? { since: tryingSince.getTime(), until: tryingUntil.getTime() } : null,
  };
}
