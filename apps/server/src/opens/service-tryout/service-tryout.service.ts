/** Tries a description on a link before it is kept: what it says of the address, and what opening it as a student shows. */
import { Injectable } from '@nestjs/common';
import type { ServiceTryoutView, TryService } from '@hapset/contract';
import { compileServices, describeAddress, judgeAccess, mendingFor, recogniseKind, trimLink } from '@hapset/core';
import { compileRe2 } from '@hapset/core/re2';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { requireUsable } from '../../gather/service-description/service-description.service.js';

@Injectable()
export class ServiceTryoutService {
  constructor(private readonly browser: StudentBrowser) {}

  /** @throws ProblemError invalid when the description can't be used */
  async try({ description, link }: TryService): Promise<ServiceTryoutView> {
    requireUsable(description);
    const catalogue = compileServices([description], compileRe2);
    const described = describeAddress(link, catalogue);
    const evidence = await this.browser.open(link);
    const { verdict, reasons } = judgeAccess(evidence, catalogue);
    return {
      belongs: described !== null,
      role: described?.address?.role ?? null,
      kind: recogniseKind(link, catalogue),
      studentLink: described?.studentLink ?? null,
      tracking: trimLink(link, catalogue)?.removed ?? [],
      verdict,
      reasons,
      title: evidence.final?.page?.title || null,
      finalAddress: evidence.final?.address ?? null,
      steps: mendingFor(verdict, link, catalogue)?.steps ?? [],
    };
  }
}
