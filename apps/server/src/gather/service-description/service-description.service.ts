/**
 * The descriptions in use: the school's own, and those of the installation that it did not replace. Every reader asks
 * again, so that a change on one server is seen on all; compiling is done once for each state of the table.
 */
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { KeepService, ServiceView } from '@hapset/contract';
import {
  compileServices,
  descriptionProblems,
  type DescriptionProblem,
  type ServiceCatalogue,
  type ServiceDescription,
} from '@hapset/core';
import { compileRe2 } from '@hapset/core/re2';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { shapeProblems } from './description-shape.js';
import { readInstalledServices, type InstalledService } from './installed-services.js';
import { DescribedService } from './service-description.entity.js';

@Injectable()
export class ServiceDescriptionService {
  private readonly installed: readonly InstalledService[];
  private compiled: { readonly state: string; readonly catalogue: ServiceCatalogue } | null = null;

  constructor(
    @InjectRepository(DescribedService) private readonly rows: Repository<DescribedService>,
    @Inject(CONFIGURATION) configuration: Configuration,
    private readonly clock: Clock,
  ) {
    this.installed = readInstalledServices(configuration.servicesFolder);
  }

  /** All of them, by name, also those that are left out. */
  async list(): Promise<readonly ServiceView[]> {
    const rows = await this.rows.find({ order: { id: 'ASC' } });
    const own = rows.map((row) => this.toView(row));
    const untouched = this.installed.filter(({ description }) => !rows.some((row) => row.id === description.id));
    const installed = untouched.map(({ description, problems }): ServiceView => ({
      id: description.id,
      name: description.name,
      origin: 'installed',
      replacesInstalled: false,
      description,
      problems: problems.length > 0 ? problems : problemsOf(description),
      version: null,
    }));
    return [...own, ...installed].sort((a, b) => a.name.localeCompare(b.name));
  }

  /** Ready for use. A description with problems is left out of it. */
  async catalogue(): Promise<ServiceCatalogue> {
    const rows = await this.rows.find({ order: { id: 'ASC' } });
    const state = rows.map((row) => `${row.id} ${row.version} ${row.changedAt.getTime()}`).join('\n');
    if (this.compiled?.state === state) return this.compiled.catalogue;
    const own = rows.filter((row) => shapeProblems(row.description).length === 0).map((row) => row.description);
    const installed = this.installed.filter(
      ({ description, problems }) => problems.length === 0 && !rows.some((row) => row.id === description.id),
    );
    const catalogue = compileServices([...own, ...installed.map(({ description }) => description)], compileRe2);
    this.compiled = { state, catalogue };
    return catalogue;
  }

  /** Adds a description, or puts one in the place of another. @throws ProblemError invalid naming each problem, stale */
  async keep(id: string, { description, version }: KeepService): Promise<ServiceView> {
    requireUsable(description);
    if (description.id !== id) throw invalid([{ path: 'id', reason: 'wrong-value', detail: id }]);
    const changedAt = this.clock.now();
    if (version === null) {
      const { affected } = await this.rows.manager.transaction(async (manager) => {
        const known = await manager.findOne(DescribedService, { where: { id }, lock: { mode: 'pessimistic_write' } });
        if (known) return { affected: 0 };
        await manager.insert(DescribedService, { id, description, version: 1, changedAt });
        return { affected: 1 };
      });
      if (affected !== 1) throw stale('service');
    } else {
      const { affected } = await this.rows.update({ id, version }, { description, version: version + 1, changedAt });
      if (affected !== 1) throw stale('service');
    }
    return this.toView(await this.rows.findOneByOrFail({ id }));
  }

  /** Removes the school's own; an installed one of the same id is in use again. @throws ProblemError not-found */
  async remove(id: string): Promise<void> {
    const { affected } = await this.rows.delete({ id });
    if (affected !== 1) throw notFound('service');
  }

  private toView({ id, description, version }: DescribedService): ServiceView {
    const problems = problemsOf(description);
    const replacesInstalled = this.installed.some((installed) => installed.description.id === id);
    return { id, name: nameOf(description) ?? id, origin: 'school', replacesInstalled, description, problems, version };
  }
}

/** @throws ProblemError invalid, naming each problem with its place */
export function requireUsable(description: unknown): asserts description is ServiceDescription {
  const problems = problemsOf(description);
  if (problems.length > 0) throw invalid(problems);
}

function problemsOf(description: unknown): readonly DescriptionProblem[] {
  const shape = shapeProblems(description);
  return shape.length > 0 ? shape : descriptionProblems(description as ServiceDescription, compileRe2);
}

function invalid(problems: readonly DescriptionProblem[]): ProblemError {
  return new ProblemError('invalid', 'The description can’t be used as it is.', {
    fields: problems.map(({ path, reason, detail }) => ({
      field: path,
      message: reason,
      ...(detail !== '' && { detail }),
    })),
  });
}

/** What is in the table may be older than the shape, or written by hand. */
function nameOf(description: unknown): string | null {
  const name =
    typeof description === 'object' && description !== null && 'name' in description ? description.name : null;
  return typeof name === 'string' && name !== '' ? name.slice(0, 80) : null;
}
