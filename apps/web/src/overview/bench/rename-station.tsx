import { limits, type BenchRow } from '@hapset/contract';
import { useRef, useState, type ReactElement } from 'react';
import { useNotice } from '../../platform/design/notice.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { useChangeStation } from '../../lessons/station/station.queries.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { LineInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

/** The name as a field: Enter keeps it, Escape leaves it, an empty one goes back to the material's title. */
export function RenameStation({ row, onDone }: { readonly row: BenchRow; readonly onDone: () => void }): ReactElement {
  const [name, setName] = useState(row.name);
  const change = useChangeStation(row.stationId);
  const notice = useNotice();
  const sendChange = useSendChange();
  const ended = useRef(false);
  const keep = (): void => {
    if (ended.current) return;
    ended.current = true;
    const typed = name.trim();
    if (typed === row.name) return onDone();
    sendChange(
      change,
      { version: row.version, name: typed === '' ? null : typed },
      {
        onSuccess: () => {
          onDone();
          const back = { version: row.version + 1, name: row.name === row.material.title ? null : row.name };
          notice({ words: t('renameStation.wasRenamed', { name: row.name }), undo: () => sendChange(change, back) });
        },
        onError: () => (ended.current = false),
      },
    );
  };
  return (
    <>
      <LineInput
        autoFocus
        aria-label={t('renameStation.nameOfTheStation')}
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
