import { limits, type BenchRow } from '@hapset/contract';
import { useRef, useState, type ReactElement } from 'react';
import { useChangeStation } from '../../lessons/station/station.queries.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { LineInput } from '../../platform/design/inputs.js';

/** The name as a field: Enter keeps it, Escape leaves it, an empty one goes back to the material's title. */
export function RenameStation({ row, onDone }: { readonly row: BenchRow; readonly onDone: () => void }): ReactElement {
  const [name, setName] = useState(row.name);
  const change = useChangeStation(row.stationId);
  const ended = useRef(false);
  const keep = (): void => {
    if (ended.current) return;
    ended.current = true;
    const typed = name.trim();
    if (typed === row.name) return onDone();
    change.mutate(
      { version: row.version, name: typed === '' ? null : typed },
      { onSuccess: onDone, onError: () => (ended.current = false) },
    );
  };
  return (
    <>
      <LineInput
        autoFocus
        aria-label="Name of the station"
        value={name}
        maxLength={limits.titleLength}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setName(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
          if (event.key === 'Escape') {
            ended.current = true;
            onDone();
          }
        }}
        className="w-full text-lead font-semibold"
      />
      {change.isError && (
        <span role="alert" className="block text-note font-semibold text-stop">
          {wordsFor(change.error)}
        </span>
      )}
    </>
  );
}
