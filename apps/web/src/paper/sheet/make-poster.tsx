import { useNavigate } from 'react-router';
import { sheetWarnings, type SheetWarning } from '@hapset/contract';
import type { PaperFormat } from '@hapset/core';
import type { ReactElement } from 'react';
import { ApiError } from '../../platform/api/problem-error.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark } from '../../platform/design/state-mark.js';
import type { PlaceId } from '../../gather/material/place-id.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { isStopping } from './sheet-notices.js';
import { warningWords } from '../../platform/wording/warnings.js';
import { useMakeSheet } from './sheet.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

interface Props {
  readonly place: PlaceId;
  readonly name: string;
  readonly paper: PaperFormat;
  readonly tone?: 'main' | 'plain';
}

/** The part of the material's page in which it is fixed. */
const partOfWarning: Readonly<Record<SheetWarning, string>> = {
  'no-code': 'carries',
  locked: 'opens',
  'not-opening': 'opens',
  'to-check': 'opens',
  'not-opened-yet': 'opens',
  'code-to-check': 'carries',
  'does-not-read': 'reads',
  'too-small': 'reads',
  'text-cut': 'paper',
  'text-left-out': 'paper',
  'missing-characters': 'paper',
  'text-small': 'paper',
  'address-long': 'carries',
  'address-not-reachable': 'opens',
};

/** Makes the poster in one click; what is not right is named first and printed only on purpose. */
export function MakePoster({ place, name, paper, tone = 'main' }: Props): ReactElement {
  const make = useMakeSheet(place);
  const navigate = useNavigate();
  const notice = useNotice();
  const sendChange = useSendChange();
  const send = (goAhead: readonly SheetWarning[]): void => {
    sendChange(
      make,
      { kind: 'poster', paper, goAhead },
      {
        onSuccess: (sheet) => notice({ words: t('makePoster.posterSaved', { fileName: sheet.fileName }) }),
        onError: null,
      },
    );
  };
  const { error } = make;
  const warnings =
    error instanceof ApiError && error.reason === 'sheet-needs-go-ahead'
      ? sheetWarnings.filter((warning) => error.warnings.includes(warning))
      : [];
  const [first] = warnings;
  const fixFirst = (): void => {
    make.reset();
    if (first) void navigate({ hash: partOfWarning[first] });
  };
  return (
    <>
      <Button tone={tone} disabled={make.isPending} onClick={() => send([])}>
        {make.isPending ? t('makePoster.making') : t('makePoster.makePoster')}
      </Button>
      {error && (
        <Dialog
          title={warnings.length > 0 ? t('makePoster.checkBeforeYouPrint') : t('makePoster.thePosterWasNotMade')}
          about={warnings.length > 0 ? `“${name}”` : undefined}
          onClose={() => make.reset()}
        >
          {warnings.length === 0 && <p className="m-0">{wordsFor(error)}</p>}
          <ul className="m-0 flex list-none flex-col gap-2 p-0">
            {warnings.map((warning) => (
              <li key={warning} className="flex items-start gap-2.5">
                <StateMark mark={isStopping(warning) ? 'stop' : 'look-at'} words={t('makePoster.warning')} />{' '}
                {warningWords[warning]}
              </li>
            ))}
          </ul>
          <div className="mt-5 flex justify-end gap-2">
            {warnings.length > 0 && <Button onClick={() => send(warnings)}>{t('makePoster.printAnyway')}</Button>}
            <Button tone="main" autoFocus onClick={fixFirst}>
              {first ? t('makePoster.fixItFirst') : t('makePoster.close')}
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}
