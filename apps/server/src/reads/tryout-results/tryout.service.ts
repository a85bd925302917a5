/** What real devices made of a code: seen when they opened a short link, or told by the teacher. */
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { TellTryout, TryoutView } from '@hapset/contract';
import { shortAddress, type TriedDevice, type VisitorKind } from '@hapset/core';
import { In, MoreThan, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { Tryout } from './tryout.entity.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';

const shown = 12;
/** One device may ask twice for one scan: once to look, once to open. */
const oneScanMs = 1500;
/** A page that is fetched so soon after belongs to the scan. */
const pageWithinMs = 60_000;

@Injectable()
export class TryoutService {
  constructor(
    @InjectRepository(Tryout) private readonly tryouts: Repository<Tryout>,
    private readonly school: SchoolService,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {}

  /** Writes down that a device opened the short link; the redirect does not wait for it. @param kept whether this server sees the page behind it */
  seen(materialId: string, visitor: VisitorKind, afterMs: number, kept: boolean): void {
    this.write(materialId, visitor, afterMs, kept).catch((error: unknown) =>
      this.logger.error({ err: error }, 'could not write a tryout'),
    );
  }

  private async write(materialId: string, visitor: VisitorKind, afterMs: number, kept: boolean): Promise<void> {
    const now = this.clock.now();
    const again = await this.tryouts.findOneBy({
      materialId,
      visitor,
      at: MoreThan(new Date(now.getTime() - oneScanMs)),
    });
    if (again) return;
    await this.tryouts.insert({
      id: newId(),
      materialId,
      deviceId: null,
      outcome: 'as-meant',
      visitor,
      afterMs: Math.max(0, afterMs),
      pageOpened: kept ? false : null,
      payload: await this.shortAddressOf(materialId),
      at: now,
    });
  }

  /** The page behind a code was fetched: if a device is just being tried, it opened. */
  async pageFetched(materialId: string): Promise<void> {
    await this.tryouts.update(
      { materialId, pageOpened: false, at: MoreThan(new Date(this.clock.now().getTime() - pageWithinMs)) },
      { pageOpened: true },
    );
  }

  async tell(materialId: string, payload: string, { deviceId, outcome }: TellTryout): Promise<void> {
    await this.tryouts.insert({
      id: newId(),
      materialId,
      deviceId,
      outcome,
      visitor: null,
      afterMs: null,
      pageOpened: null,
      payload,
      at: this.clock.now(),
    });
  }

  async change(id: string, deviceId: string | null): Promise<void> {
    await this.tryouts.update({ id }, { deviceId });
  }

  async remove(id: string): Promise<void> {
    await this.tryouts.delete({ id });
  }

  /** The last ones first. @param payload what the code says now */
  async list(material: Pick<MaterialRecord, 'id'>, payload: string): Promise<readonly TryoutView[]> {
    const rows = await this.tryouts.find({
      where: { materialId: material.id },
      relations: { device: true },
      order: { id: 'DESC' },
      take: shown,
    });
    return rows.map(({ id, deviceId, device, outcome, visitor, afterMs, pageOpened, payload: then, at }) => ({
      id,
      deviceId,
      deviceName: device?.name ?? null,
      outcome,
      visitor,
      afterMs,
      pageOpened,
      current: then === payload,
      at: at.toISOString(),
    }));
  }

  /**
   * By material id: the last outcome of each device with that payload. Devices that nobody named count as one.
   * @param codes what the codes say now
   */
  async lastOf(
    codes: readonly { readonly materialId: string; readonly payload: string }[],
  ): Promise<ReadonlyMap<string, readonly TriedDevice[]>> {
    if (codes.length === 0) return new Map();
    const payloadOf = new Map(codes.map(({ materialId, payload }) => [materialId, payload]));
    const rows = await this.tryouts.find({
      where: { materialId: In([...payloadOf.keys()]) },
      select: { id: true, materialId: true, deviceId: true, outcome: true, payload: true },
      order: { id: 'ASC' },
    });
    const last = new Map<string, Map<string | null, TriedDevice>>();
    for (const { materialId, deviceId, outcome, payload } of rows) {
      if (payloadOf.get(materialId) !== payload) continue;
      const devices = last.get(materialId) ?? new Map<string | null, TriedDevice>();
      last.set(materialId, devices.set(deviceId, { deviceId, outcome }));
    }
    return new Map([...last].map(([materialId, devices]) => [materialId, [...devices.values()]]));
  }

  private async shortAddressOf(materialId: string): Promise<string> {
    const { publicAddress, shortLinkHost } = await this.school.get();
    const rows = (await this.tryouts.query('SELECT slug FROM short_links WHERE material_id = ?', [materialId])) as {
      slug: string;
    }[];
    return shortAddress(publicAddress, shortLinkHost, rows[0]?.slug ?? '');
  }
}
