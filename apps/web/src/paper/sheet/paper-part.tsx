import type { MaterialPage } from '@hapset/contract';
import { paperNames, type PaperFormat } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { LineSelect } from '../../platform/design/field.js';
import { FoldingPanel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import type { PlaceId } from '../../gather/material/place-id.js';
import { ago } from '../../platform/wording/figures.js';
import { Link } from 'react-router';
import { buttonClass } from '../../platform/design/button.js';
import { changesListed, printStateWords, sheetKindWords } from '../../platform/wording/sheets.js';
import { MakePoster } from './make-poster.js';
import { composerOfMaterials } from './places-of-address.js';
import { sheetAddress } from './sheet.queries.js';
import { t } from '../words.js';

const titles = {
  'not-yet': t('paperPart.notOnPaperYet'),
  done: t('paperPart.onPaper'),
  'look-at': t('paperPart.outOfDate'),
  stop: t('paperPart.onPaper'),
} as const;

/** What is on paper, and whether it still says what the code says. */
export function PaperPart({
  page,
  place,
  name,
}: {
  readonly page: MaterialPage;
  readonly place: PlaceId;
  readonly name: string;
}): ReactElement | null {
  const { sheets, readiness, rehearsal, code } = page;
  const [paper, setPaper] = useState<PaperFormat>(page.paper);
  if (!code) return null;
  const { state, changed } = readiness.paper;
  const title = titles[state];
  return (
    <FoldingPanel
      id="paper"
      name={t('paperPart.whatIsOnPaper')}
      calm={state === 'done'}
      mark={<StateMark mark={state} words={t('paperPart.onPaper2', { title })} />}
      title={title}
      aside={
        changed.length > 0
          ? t('paperPart.changedSince', { changes: changesListed(changed) })
          : t('paperPart.aPosterWouldShowThe', { sizeMm: rehearsal.sizeMm })
      }
      action={
        <>
          <LineSelect
            label={t('paperPart.paper')}
            value={paper}
            choices={paperNames.map((choice) => [choice, choice])}
            onChoose={(choice) => setPaper(choice as PaperFormat)}
          />
          <Link
            to={'stationId' in place ? `/sheets?station=${place.stationId}` : composerOfMaterials([place.materialId])}
            className={buttonClass()}
          >
            {t('paperPart.otherSheets')}
          </Link>
          <MakePoster place={place} name={name} paper={paper} tone="plain" />
        </>
      }
    >
      {sheets.length > 0 && <SheetList sheets={sheets} />}
    </FoldingPanel>
  );
}

function SheetList({ sheets }: { readonly sheets: MaterialPage['sheets'] }): ReactElement {
  return (
    <ul className="m-0 mt-1 list-none p-0 text-row">
      {sheets.map((sheet) => (
        <li key={sheet.id} className="flex flex-wrap gap-x-3 py-1">
          {sheet.state === 'done' ? (
            <a href={sheetAddress(sheet)} target="_blank" rel="noreferrer" className="font-semibold text-ink">
              {sheet.fileName}
            </a>
          ) : (
            <span className="font-semibold">{sheet.fileName}</span>
          )}
          <span className="text-muted">
            {t(sheet.state === 'done' ? 'paperPart.codeMm' : 'paperPart.codeMm2', {
              kind: sheetKindWords[sheet.kind],
              paper: sheet.paper,
              sizeMm: Math.round(sheet.sizeMm),
              ago: ago(sheet.madeAt),
              state: sheet.state === 'done' ? '' : printStateWords[sheet.state],
            })}
          </span>
        </li>
      ))}
    </ul>
  );
}
