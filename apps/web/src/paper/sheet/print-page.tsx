/** Nothing but the pages, in their size, handed to the browser's own print. */
import type { PrintView } from '@hapset/contract';
import { pageSize } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { Panel } from '../../platform/design/panel.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { PrintRow } from './print-row.js';
import { printPageAddress, printQuery } from './sheet.queries.js';
import { t } from '../words.js';

export function PrintPage(): ReactElement {
  const printId = useParams().printId ?? '';
  const print = useQuery(printQuery(printId));
  if (print.isPending) return <Loading rows={3} label={t('printPage.thePagesAreLoading')} />;
  if (hasFailed(print)) return <Failed words={wordsFor(print.error)} onRetry={() => void print.refetch()} />;
  return print.data.state === 'done' ? <Pages print={print.data} /> : <NoPages print={print.data} />;
}

/** Why there is nothing to print, or not yet. */
function NoPages({ print }: { readonly print: PrintView }): ReactElement {
  return (
    <main className="mx-auto max-w-[760px] p-5">
      <PageHead title={t('printPage.print')} trail={<Link to="/sheets">{t('printPage.sheets')}</Link>} />
      <Panel>
        <ul className="m-0 list-none p-0" aria-label={t('printPage.whatToPrint')}>
          <PrintRow print={print} />
        </ul>
      </Panel>
    </main>
  );
}

function Pages({ print: { id, fileName, paper, lying, pages } }: { readonly print: PrintView }): ReactElement {
  const { widthMm, heightMm } = pageSize(paper, lying);
  const left = useRef(pages);
  useEffect(() => {
    document.title = fileName;
  }, [fileName]);
  const loaded = (): void => {
    left.current -= 1;
    if (left.current === 0) window.print();
  };
  return (
    <main>
      <style>{t('printPage.pageSizeMmMmMargin', { widthMm, heightMm })}</style>
      {Array.from({ length: pages }, (_, index) => (
        <img
          key={index}
          src={printPageAddress(id, index + 1)}
          alt={t('printPage.pageOf', { page: index + 1, pages })}
          onLoad={loaded}
          className="block break-after-page last:break-after-auto"
          style={{ width: `${widthMm}mm`, height: `${heightMm}mm` }}
        />
      ))}
    </main>
  );
}
