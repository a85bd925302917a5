/** Tries a description on a link before it is kept: what it says of the address, and what opening it as a student shows. */
import { Injectable } from '@nestjs/common';
import type { ServiceTryoutView, TryService } from '@hapset/contract';
import {
  compileServices,
  describeAddress,
  judgeAccess,
  remedyFor,
  recogniseKind,
  trimLink,
  type ServiceCatalogue,
} from '@hapset/core';
import { compileRe2 } from '@hapset/core/re2';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { requireUsable } from '../../gather/service-description/service-description.service.js';

/** What it says of the address alone. */
function ofAddress(
  link: string,
  catalogue: ServiceCatalogue,
): Pick<ServiceTryoutView, 'belongs' | 'role' | 'kind' | 'studentLink' | 'tracking'> {
  const described = describeAddress(link, catalogue);
  return {
    belongs: described !== null,
    role: described?.address?.role ?? null,
    kind: recogniseKind(link, catalogue),
    studentLink: described?.studentLink ?? null,
    tracking: trimLink(link, catalogue)?.removed ?? [],
  };
}

@Injectable()
export class ServiceTryoutService {
  constructor(private readonly browser: StudentBrowser) {}

  /** @throws ProblemError invalid when the description can't be used */
  async try({ description, link }: TryService): Promise<ServiceTryoutView> {
    requireUsable(description);
    const catalogue = compileServices([description], compileRe2);
    const evidence = await this.browser.open(link);
    const { verdict, reasons } = judgeAccess(evidence, catalogue);
    return {
      ...ofAddress(link, catalogue),
      verdict,
      reasons,
      title: evidence.final?.page?.title || null,
      finalAddress: evidence.final?.address ?? null,
      steps: remedyFor(verdict, link, catalogue)?.steps ?? [],
    };
  }
}
