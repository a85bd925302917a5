/** What was made: progress while it is drawn, then file, print and pictures. */
import type { PrintView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { ago, plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { printStateWords } from '../../platform/wording/sheets.js';
import { printFileAddress, printPicturesAddress, printsQuery, useStopPrint } from './sheet.queries.js';

/** @param latest the one that was just made stands out */
export function Prints({ latest }: { readonly latest: string | null }): ReactElement | null {
  const prints = useQuery(printsQuery);
  if (prints.isPending) return <Loading rows={1} label="What was made before is loading" />;
  if (prints.isError) return <Failed words={wordsFor(prints.error)} onRetry={() => void prints.refetch()} />;
  if (prints.data.length === 0) return null;
  return (
    <Panel title="Made before">
      <ul className="m-0 list-none p-0" aria-label="Made before">
        {prints.data.map((print) => (
          <PrintRow key={print.id} print={print} stands={print.id === latest} />
        ))}
      </ul>
    </Panel>
  );
}

export function PrintRow({
  print,
  stands = false,
}: {
  readonly print: PrintView;
  readonly stands?: boolean;
}): ReactElement {
  const { state, fileName, codes, pages, madeAt } = print;
  return (
    <li
      className={`flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-line py-2 last:border-b-0 ${stands ? '-mx-2 rounded-small bg-marker-soft px-2' : ''}`}
    >
      <span className="min-w-0 flex-1 basis-60 text-row">
        <span className="block font-semibold wrap-anywhere">{fileName}</span>
        <span className="text-muted">
          {plural(codes, 'code')}, {plural(pages, 'page')}, {ago(madeAt)}
        </span>
      </span>
      {state === 'drawing' && <Drawing print={print} />}
      {state === 'done' && (
        <span className="flex flex-wrap gap-2">
          <a href={printFileAddress(print)} download={fileName} className={buttonClass()}>
            Save PDF
          </a>
          <a href={`/prints/${print.id}`} target="_blank" rel="noreferrer" className={buttonClass()}>
            Print
          </a>
          <a
            href={printPicturesAddress(print)}
            download
            className={buttonClass()}
            title="A ZIP file with a PNG picture of each page"
          >
            Pages as pictures
          </a>
        </span>
      )}
      {state !== 'drawing' && state !== 'done' && <span className="text-row text-muted">{printStateWords[state]}</span>}
    </li>
  );
}

function Drawing({ print: { id, drawn, pages } }: { readonly print: PrintView }): ReactElement {
  const stop = useStopPrint();
  return (
    <span className="flex items-center gap-3 text-row">
      <span role="status" className="text-muted">
        Drawing page {Math.min(drawn + 1, pages)} of {pages}
      </span>
      <Button disabled={stop.isPending} onClick={() => stop.mutate(id)}>
        Stop
      </Button>
    </span>
  );
}
