/** One print: what it is, progress while it is drawn, then its file; or why there is none and what helps. */
import { routes, type PrintView } from '@hapset/contract';
import { MoreHorizontal } from 'lucide';
import type { ReactElement } from 'react';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Icon } from '../../platform/design/icon.js';
import { Menu, type MenuEntry } from '../../platform/design/menu.js';
import { useRemoval } from '../../platform/undo/use-removal.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { dayAndTime } from '../../platform/wording/figures.js';
import { designWords, printStateWords, waysRoundInLine } from '../../platform/wording/sheets.js';
import { composerOfPrint } from './places-of-address.js';
import { printFileAddress, printPicturesAddress, useDrawAgain, useStopPrint } from './sheet.queries.js';
import { t } from '../words.js';

/** @param main its file is what one is here for */
export function PrintRow({
  print,
  main = false,
}: {
  readonly print: PrintView;
  readonly main?: boolean;
}): ReactElement {
  const { state, fileName } = print;
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-line py-2.5 last:border-b-0">
      <span className="min-w-0 flex-1 basis-60 text-row">
        <span className="block font-semibold wrap-anywhere">{fileName}</span>
        <span className="block text-muted">{aboutPrint(print)}</span>
        {state !== 'drawing' && state !== 'done' && <span className="block">{printStateWords[state]}</span>}
      </span>
      <span className="flex flex-wrap items-center gap-2">
        {state === 'drawing' && <Drawing print={print} />}
        {state === 'done' && <FileLinks print={print} main={main} />}
        {print.canBeDrawnAgain && <DrawAgain print={print} />}
        <MoreForPrint print={print} />
      </span>
    </li>
  );
}

/** "5 codes on 2 pages, A4 portrait, plain design. 29 November, 14:03, Maren Dallow". */
function aboutPrint({ codes, pages, paper, lying, design, madeAt, author }: PrintView): string {
  const what = [
    t('printRow.codesOn', { count: codes, pages: t('printRow.pages', { count: pages }) }),
    `${paper} ${waysRoundInLine[lying ? 'lying' : 'upright']}`,
    designWords(design),
  ];
  return t('printRow.madeBy', { what: what.join(', '), time: dayAndTime(madeAt), author });
}

function FileLinks({ print, main }: { readonly print: PrintView; readonly main: boolean }): ReactElement {
  return (
    <>
      <a href={printFileAddress(print)} download={print.fileName} className={buttonClass(main ? 'main' : 'plain')}>
        {t('printRow.savePDF')}
      </a>
      <a href={`/prints/${print.id}`} target="_blank" rel="noreferrer" className={buttonClass()}>
        {t('printRow.print')}
      </a>
    </>
  );
}

/** The same as before, where its file is gone. */
export function DrawAgain({ print }: { readonly print: PrintView }): ReactElement {
  const drawAgain = useDrawAgain();
  const sendChange = useSendChange();
  return (
    <Button disabled={drawAgain.isPending} onClick={() => sendChange(drawAgain, print.id)}>
      {t('printRow.restoreFile')}
    </Button>
  );
}

function MoreForPrint({ print }: { readonly print: PrintView }): ReactElement {
  const removal = useRemoval({
    remove: routes.removePrint,
    restore: routes.restorePrint,
    params: { printId: print.id },
    words: t('printRow.wasDeletedPrintedSheetsStay', { fileName: print.fileName }),
  });
  const pictures: MenuEntry = { label: t('printRow.pagesAsPicturesZIP'), download: printPicturesAddress(print) };
  const again: MenuEntry = { label: t('printRow.makeAgain'), to: composerOfPrint(print) ?? '' };
  return (
    <Menu
      label={t('printRow.moreFor', { fileName: print.fileName })}
      entries={[
        ...(print.state === 'done' ? [pictures] : []),
        ...(composerOfPrint(print) === null ? [] : [again]),
        ...(print.state === 'deleted' ? [] : [{ label: 'Delete', onSelect: removal.run, danger: true }]),
      ]}
    >
      <Icon icon={MoreHorizontal} size={17} />
    </Menu>
  );
}

function Drawing({ print: { id, drawn, pages } }: { readonly print: PrintView }): ReactElement {
  const stop = useStopPrint();
  return (
    <span className="flex items-center gap-3 text-row">
      <span role="status" className="text-muted">
        {t('printRow.drawingPageOf', { page: Math.min(drawn + 1, pages), pages })}
      </span>
      <Button disabled={stop.isPending} onClick={() => stop.mutate(id)}>
        {t('printRow.stop')}
      </Button>
    </span>
  );
}
