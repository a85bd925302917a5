/** From where somebody signs in, out of the request. */
import { Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { VisitorAddress } from '../visitor/visitor-address.js';
import { deviceNameOf } from './device-name.js';
import type { PasswordPlace } from './sign-in.service.js';
import type { SessionPlace } from './session.service.js';

@Injectable()
export class SessionPlaces {
  constructor(private readonly addresses: VisitorAddress) {}

  find(request: Request, keep = false): SessionPlace & PasswordPlace {
    return {
      keep,
      address: this.addresses.find(request),
      sharedAddress: this.addresses.isShared(request),
      device: deviceNameOf(request.headers['user-agent']),
    };
  }
}
