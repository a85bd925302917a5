/** Descriptions that come with the installation: one JSON file each, in a folder. What can't be read is named, and spoils nothing. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { withTodaysNames, type DescriptionProblem, type ServiceDescription } from '@hapset/core';
import { shapeProblems } from './description-shape.js';

export interface InstalledService {
  readonly description: ServiceDescription;
  /** Why it can't be used; none where it has the right shape. */
  readonly problems: readonly DescriptionProblem[];
}

/** In the order of their names. @throws Error when the folder itself can't be read */
export function readInstalledServices(folder: string | null): readonly InstalledService[] {
  if (folder === null) return [];
  return readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .map((name) => readDescription(name, readFileSync(join(folder, name), 'utf8')));
}

function readDescription(fileName: string, text: string): InstalledService {
  const id = fileName.replace(/\.json$/, '');
  const nothing: ServiceDescription = { id, name: id, hosts: [], addresses: [], walls: [], fixes: [] };
  try {
    const given = withTodaysNames(JSON.parse(text));
    const problems = shapeProblems(given);
    return problems.length > 0
      ? { description: nothing, problems }
      : { description: given as ServiceDescription, problems };
  } catch (error) {
    return {
      description: nothing,
      problems: [{ path: '', reason: 'not-readable', detail: error instanceof Error ? error.message : '' }],
    };
  }
}
