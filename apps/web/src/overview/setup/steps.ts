/** The steps of a school's setup: which are done, and where the others are done. */
import type { SetupSteps } from '@hapset/contract';
import { originOf } from '@hapset/core';

export const setupStepNames = [
  'address',
  'https',
  'short-host',
  'printer',
  'devices',
  'services',
  'colleagues',
  'roster',
] as const;
export type SetupStepName = (typeof setupStepNames)[number];

export interface SetupStep {
  readonly name: SetupStepName;
  readonly done: boolean;
  /** What a school can do without. */
  readonly optional: boolean;
}

/** In the order of the work. */
export function setupSteps(view: SetupSteps): readonly SetupStep[] {
  const done: Readonly<Record<SetupStepName, boolean>> = {
    address: isReached(view),
    https: view.publicAddress.startsWith('https://') && isReached(view),
    'short-host': view.shortLinkHost !== null,
    printer: view.printerTestedAt !== null,
    devices: view.devices > 0,
    services: view.services > 0,
    colleagues: view.colleagues > 0,
    roster: view.students > 0,
  };
  const optional: ReadonlySet<SetupStepName> = new Set(['short-host', 'roster']);
  return setupStepNames.map((name) => ({ name, done: done[name], optional: optional.has(name) }));
}

/** Whether a phone came by the public address itself. */
function isReached({ publicAddress, arrival }: SetupSteps): boolean {
  return arrival !== null && originOf(arrival.address) === originOf(publicAddress);
}
