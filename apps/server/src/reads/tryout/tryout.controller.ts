import { Body, Controller, Delete, Get, Param, Patch, Post } from '@nestjs/common';
import type { TryoutListening, TryoutView } from '@hapset/contract';
import { Clock } from '../../platform/clock/clock.js';
import { DeviceService } from '../../school/device/device.service.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { notFound } from '../../platform/problem/problem.js';
import { ShortLinkService } from '../../code/short-link/short-link.service.js';
import { ChangeTryoutDto, TellTryoutDto } from './tryout.dto.js';
import { TryoutService } from '../tryout-results/tryout.service.js';
import { PlacedCodeService } from '../placed-code/placed-code.service.js';
import { placeAlone } from '../../lessons/station/place.js';

const listeningMs = 10 * 60 * 1000;

@Controller('api')
export class TryoutController {
  constructor(
    private readonly tryouts: TryoutService,
    private readonly materials: MaterialService,
    private readonly codes: PlacedCodeService,
    private readonly links: ShortLinkService,
    private readonly devices: DeviceService,
    private readonly clock: Clock,
  ) {}

  @Get('materials/:materialId/tryouts')
  async list(@Param('materialId') materialId: string): Promise<readonly TryoutView[]> {
    const material = await this.materials.require(materialId);
    return this.tryouts.list(material, await this.payloadOf(materialId));
  }

  /** Begins to take openings of the short link for the device that is tried. */
  @Post('materials/:materialId/tryouts/listening')
  async listen(@Param('materialId') materialId: string): Promise<TryoutListening> {
    const since = this.clock.now();
    const until = new Date(since.getTime() + listeningMs);
    await this.links.listen(await this.materials.require(materialId), since, until);
    return { until: until.toISOString() };
  }

  @Post('materials/:materialId/tryouts')
  async tell(@Param('materialId') materialId: string, @Body() body: TellTryoutDto): Promise<null> {
    await this.requireDevice(body.deviceId);
    await this.tryouts.tell((await this.materials.require(materialId)).id, await this.payloadOf(materialId), body);
    return null;
  }

  @Patch('tryouts/:tryoutId')
  async change(@Param('tryoutId') tryoutId: string, @Body() { deviceId }: ChangeTryoutDto): Promise<null> {
    await this.requireDevice(deviceId);
    await this.tryouts.change(tryoutId, deviceId);
    return null;
  }

  @Delete('tryouts/:tryoutId')
  async remove(@Param('tryoutId') tryoutId: string): Promise<null> {
    await this.tryouts.remove(tryoutId);
    return null;
  }

  private async payloadOf(materialId: string): Promise<string> {
    return (await this.codes.find(placeAlone(await this.materials.require(materialId)))).payload;
  }

  private async requireDevice(deviceId: string | null): Promise<void> {
    if (deviceId !== null && !(await this.devices.list()).some(({ id }) => id === deviceId)) throw notFound('device');
  }
}
