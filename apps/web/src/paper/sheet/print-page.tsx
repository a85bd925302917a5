/** Nothing but the pages, in their size, handed to the browser's own print. */
import { routes, type PrintView } from '@hapset/contract';
import { pageSize } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, type ReactElement } from 'react';
import { useParams } from 'react-router';
import { call } from '../../platform/api/client.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { printPageAddress } from './sheet.queries.js';

export function PrintPage(): ReactElement {
  const printId = useParams().printId ?? '';
  const print = useQuery({
    queryKey: ['sheets', 'print', printId],
    queryFn: ({ signal }): Promise<PrintView> => call(routes.print, { params: { printId }, signal }),
  });
  if (print.isPending) return <Loading rows={3} label="The pages are loading" />;
  if (print.isError) return <Failed words={wordsFor(print.error)} onRetry={() => void print.refetch()} />;
  return <Pages print={print.data} />;
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
      <style>{`@page { size: ${widthMm}mm ${heightMm}mm; margin: 0 } body { background: #fff }`}</style>
      {Array.from({ length: pages }, (_, index) => (
        <img
          key={index}
          src={printPageAddress(id, index + 1)}
          alt={`Page ${index + 1} of ${pages}`}
          onLoad={loaded}
          className="block break-after-page last:break-after-auto"
          style={{ width: `${widthMm}mm`, height: `${heightMm}mm` }}
        />
      ))}
    </main>
  );
}
