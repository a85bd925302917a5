/** What checks that begin together share: read once for them. */
import { Injectable } from '@nestjs/common';
import type { ServiceCatalogue } from '@hapset/core';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { SchoolService } from '../../school/settings/school.service.js';

export interface Surroundings {
  readonly catalogue: ServiceCatalogue;
  readonly publicAddress: string;
  /** Addresses of this school's own server. */
  readonly ownAddresses: readonly string[];
}

@Injectable()
export class CheckSurroundings {
  private reading: Promise<Surroundings> | null = null;

  constructor(
    private readonly services: ServiceDescriptionService,
    private readonly school: SchoolService,
  ) {}

  read(): Promise<Surroundings> {
    this.reading ??= Promise.all([this.services.catalogue(), this.school.get()])
      .then(([catalogue, { publicAddress, shortLinkHost, formerShortHosts }]) => ({
        catalogue,
        publicAddress,
        ownAddresses: [
          publicAddress,
          ...[shortLinkHost, ...(formerShortHosts ?? [])].flatMap((host) => (host === null ? [] : `http://${host}`)),
        ],
      }))
      .finally(() => (this.reading = null));
    return this.reading;
  }
}
