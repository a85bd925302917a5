/** Whether phones reach this server, and by which address: a code on the screen is scanned by one of them. */
import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ArrivalMade, ArrivalView } from '@hapset/contract';
import { IsNull, LessThan, MoreThan, Not, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { Arrival } from './arrival.entity.js';

/** A code is good for so long. */
const lifeMs = 3600 * 1000;
const addressLength = 220;

/** Who asks: by address and browser, as far as a request says so. */
export interface Asker {
  readonly address: string;
  readonly userAgent: string;
}

/** How a phone came. */
export interface Coming {
  /** Scheme and host: "http://192.0.2.7:4300". */
  readonly by: string;
  readonly device: string;
}

@Injectable()
export class ArrivalService {
  constructor(
    @InjectRepository(Arrival) private readonly arrivals: Repository<Arrival>,
    private readonly clock: Clock,
  ) {}

  /** Earlier codes that nobody scanned are over. */
  async make(maker: Asker): Promise<ArrivalMade> {
    await this.arrivals.delete({ arrivedAt: IsNull() });
    const token = randomBytes(9).toString('hex');
    await this.arrivals.insert({ id: newId(), token, makerHash: hashOf(token, maker), madeAt: this.clock.now() });
    return { token };
  }

  /** @returns whether it counts; null for a code that is over or never was. The device that made it does not count. */
  async note(token: string, asker: Asker, { by, device }: Coming): Promise<boolean | null> {
    const now = this.clock.now();
    const found = await this.arrivals.findOneBy({ token, madeAt: MoreThan(new Date(now.getTime() - lifeMs)) });
    if (!found) return null;
    if (found.makerHash === hashOf(token, asker)) return false;
    const coming = { arrivedAt: now, address: by.slice(0, addressLength), device };
    await this.arrivals.update({ id: found.id, arrivedAt: IsNull() }, coming);
    await this.arrivals.delete({ id: Not(found.id), madeAt: LessThan(found.madeAt) });
    return true;
  }

  /** The last phone that came; null while none has. */
  async last(): Promise<ArrivalView | null> {
    const found = await this.arrivals.findOne({ where: { arrivedAt: Not(IsNull()) }, order: { arrivedAt: 'DESC' } });
    if (!found?.arrivedAt) return null;
    return { arrivedAt: found.arrivedAt.toISOString(), address: found.address ?? '', device: found.device };
  }
}

function hashOf(token: string, { address, userAgent }: Asker): string {
  return createHash('sha256')
    .update(JSON.stringify([token, address, userAgent]))
    .digest('hex');
}
