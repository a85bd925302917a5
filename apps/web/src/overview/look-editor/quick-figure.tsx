import type { ReactElement } from 'react';
import type { QuickRehearsal } from '../../reads/rehearsal/use-quick-rehearsal.js';
import { metres } from '../../platform/wording/figures.js';
import { Figure } from '../../code/look/look-figures.js';

/** Whether the weakest device reads it from where students stand. */
export function QuickFigure({
  quick: { device, result, failed },
  distanceM,
  sizeMm,
}: {
  readonly quick: QuickRehearsal;
  readonly distanceM: number;
  readonly sizeMm: number;
}): ReactElement {
  const where = `${sizeMm} mm wide, students at ${metres(distanceM)}`;
  if (!device)
    return (
      <Figure mark="not-yet" title="Reads" figure="no devices in the list">
        With devices in it, the weakest tries to read each change.
      </Figure>
    );
  if (failed)
    return (
      <Figure mark="not-yet" title="Reads" figure="the rehearsal failed">
        Change something, and it starts once more.
      </Figure>
    );
  if (!result) return <Figure mark="not-yet" title="Reads" figure="rehearsing…">{`${device.name}, ${where}.`}</Figure>;
  if (result.reachM === 0)
    return <Figure mark="stop" title="Not read" figure={`by ${device.name}`}>{`At no distance, ${where}.`}</Figure>;
  const reaches = result.reachM >= distanceM && result.fromM <= distanceM;
  return (
    <Figure
      mark={reaches ? 'done' : 'look-at'}
      title={`Reads from ${metres(result.reachM)}`}
      figure={`with ${device.name}`}
    >{`The weakest device; ${where}.`}</Figure>
  );
}
