import { Controller, Post, Req } from '@nestjs/common';
import type { ArrivalMade } from '@hapset/contract';
import type { Request } from 'express';
import { AdministratorOnly } from '../rights/access.decorators.js';
import { VisitorAddress } from '../visitor/visitor-address.js';
import { ArrivalService } from './arrival.service.js';

@Controller('api/arrivals')
export class ArrivalController {
  constructor(
    private readonly arrivals: ArrivalService,
    private readonly addresses: VisitorAddress,
  ) {}

  @AdministratorOnly()
  @Post()
  make(@Req() request: Request): Promise<ArrivalMade> {
    return this.arrivals.make({
      address: this.addresses.find(request),
      userAgent: request.headers['user-agent'] ?? '',
    });
  }
}
