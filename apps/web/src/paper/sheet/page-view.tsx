/** One page as it will be printed: whole, or at its real size; in grey as well. */
import type { SheetsPreview } from '@hapset/contract';
import { useMemo, useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { gridProblemWords, pagesWords } from '../../platform/wording/sheets.js';
import { Tick } from '../../platform/design/tick.js';
import { t } from '../words.js';

interface Props {
  readonly preview: SheetsPreview;
  readonly fresh: boolean;
  readonly onPage: (page: number) => void;
}

export function PageView({ preview, fresh, onPage }: Props): ReactElement {
  const { page, pages, side, svg, widthMm, heightMm, problem, sizesMm } = preview;
  const [grey, setGrey] = useState(false);
  const [real, setReal] = useState(false);
  const address = useMemo(() => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`, [svg]);
  if (problem !== null)
    return (
      <p role="alert" className="m-0 rounded-sheet border border-line bg-sheet p-5 text-field font-semibold text-stop">
        {gridProblemWords[problem]}
      </p>
    );
  return (
    <div className="min-w-0">
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-row">
        <span role="status" className="text-muted">
          {pagesWords(pages, sizesMm)}
        </span>
        <span className="ml-auto flex items-center gap-4">
          <Tick words={t('pageView.inGreyscale')} ticked={grey} onTick={setGrey} />
          <Tick words={t('pageView.realSize')} ticked={real} onTick={setReal} />
        </span>
      </div>
      <div className={`flex justify-center rounded-sheet bg-band p-4 ${real ? 'overflow-auto' : ''}`}>
        <img
          src={address}
          alt={t('pageView.pageOf', { page: page + 1, pages, side })}
          className={`block bg-print shadow-float ${real ? 'max-w-none' : 'max-h-[68vh] max-w-full'} ${grey ? 'grayscale' : ''} ${fresh ? '' : 'opacity-60'}`}
          style={
            real
              ? { width: `${widthMm}mm`, height: `${heightMm}mm` }
              : { aspectRatio: `${widthMm} / ${heightMm}`, height: '68vh' }
          }
        />
      </div>
      {pages > 1 && (
        <nav aria-label={t('pageView.pages')} className="mt-3 flex items-center justify-center gap-3 text-row">
          <Button disabled={page === 0} onClick={() => onPage(page - 1)}>
            {t('pageView.previousPage')}
          </Button>
          <span>
            {side === 'back'
              ? t('pageView.ofBack', { page: page + 1, pages })
              : t('pageView.of', { page: page + 1, pages })}
          </span>
          <Button disabled={page + 1 >= pages} onClick={() => onPage(page + 1)}>
            {t('pageView.nextPage')}
          </Button>
        </nav>
      )}
    </div>
  );
}
