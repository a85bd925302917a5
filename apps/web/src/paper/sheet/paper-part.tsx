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

const titles = {
  'not-yet': 'Not on paper yet',
  done: 'On paper',
  'look-at': 'Printed before the change',
  stop: 'On paper',
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
      name="what is on paper"
      calm={state === 'done'}
      mark={<StateMark mark={state} words={`On paper: ${title}`} />}
      title={title}
      aside={
        changed.length > 0
          ? `changed since: ${changesListed(changed)}`
          : `a poster would show the code ${rehearsal.sizeMm} mm wide`
      }
      action={
        <>
          <LineSelect
            label="Paper"
            value={paper}
            choices={paperNames.map((choice) => [choice, choice])}
            onChoose={(choice) => setPaper(choice as PaperFormat)}
          />
          <Link
            to={'stationId' in place ? `/sheets?station=${place.stationId}` : composerOfMaterials([place.materialId])}
            className={buttonClass()}
          >
            Other sheets
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
            {sheetKindWords[sheet.kind]}, {sheet.paper}, code {Math.round(sheet.sizeMm)} mm, {ago(sheet.madeAt)}
            {sheet.state !== 'done' && `. ${printStateWords[sheet.state]}`}
          </span>
        </li>
      ))}
    </ul>
  );
}
