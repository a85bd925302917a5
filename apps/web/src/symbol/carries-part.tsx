import type { MaterialPage } from '@hapset/contract';
import type { Rung, RungFigures } from '@hapset/core';
import type { ReactElement } from 'react';
import { Button } from '../design/button.js';
import { useNotice } from '../design/notice.js';
import { Sheet } from '../design/sheet.js';
import { StateMark } from '../design/state-mark.js';
import { kindWords } from '../wording/kinds.js';
import { dependencyWords, rungReasonWords, rungWords } from '../wording/ladder.js';
import { grainWords, metres, plural } from '../wording/figures.js';
import { useChangeMaterial } from '../material/material.queries.js';
import { wordsFor } from '../wording/problems.js';
import { CodePicture } from './code-picture.js';

/** What the code could carry, each with what it costs in steps; the one that it carries now is marked. */
export function CarriesPart({ page }: { readonly page: MaterialPage }): ReactElement {
  const { code, ladder, readiness } = page;
  if (!code) {
    return (
      <div id="carries">
        <Sheet mark={<StateMark mark="stop" words="Code: stops" />} title="Too long for a code">
          <p className="m-0 text-[14.5px]">No code holds that much. Shorten it, or put it on a page and use that page’s link.</p>
        </Sheet>
      </div>
    );
  }
  const growth = code.charactersUntilGrowth;
  return (
    <div id="carries">
      <Sheet title="Code carries" aside={growth === 0 ? 'one character more makes the code finer' : `${plural(growth, 'more character')} fit before the code gets finer`}>
        <ul aria-label="What the code could carry" className="m-0 mt-1 flex list-none flex-col gap-1.5 p-0">
          {ladder.rungs.map((rung, index) => (
            <RungRow key={rung.kind} rung={rung} page={page} isNow={rung.payload === code.payload} recommended={index === ladder.recommended && ladder.rungs.length > 1} />
          ))}
        </ul>
        {ladder.rungs.length > 1 && <p className="mt-2 mb-0 text-[14px] text-muted">{rungReasonWords[ladder.reason]}</p>}
        {readiness.carries.state === 'look-at' && code.charactersToShrink !== null && (
          <p className="mt-2 mb-0 text-[14px]">
            {plural(code.charactersToShrink, 'character')} fewer make the code one step coarser; {code.charactersToShrink === 1 ? 'it then reads' : 'removing less changes nothing. It then reads'} from farther away.
          </p>
        )}
        <details className="mt-1.5 text-[13.5px] text-muted">
          <summary className="w-fit cursor-pointer py-1">In terms of the standard</summary>
          <p className="m-0">
            Version {code.version}, error correction level {code.level}, data mask {code.mask}, quiet zone 4 modules (ISO/IEC 18004).
          </p>
        </details>
      </Sheet>
    </div>
  );
}

interface RungProps {
  readonly rung: Rung;
  readonly page: MaterialPage;
  /** The code carries it now. */
  readonly isNow: boolean;
  readonly recommended: boolean;
}

function RungRow({ rung, page, isNow, recommended }: RungProps): ReactElement {
  const { kind, payload, figures, dependsOn } = rung;
  const { code, material, readiness } = page;
  const title = kind === 'words' && material.kind !== 'message' ? kindWords[material.kind] : rungWords[kind];
  return (
    <li className={`flex flex-wrap items-center gap-x-5 gap-y-2 rounded-small border px-3 py-2 md:grid md:grid-cols-[minmax(0,1fr)_156px_112px_168px] ${isNow ? 'border-marker-line bg-marker-soft' : 'border-line'}`}>
      <div className="flex min-w-52 flex-1 items-center gap-x-4">
        {isNow && code && <CodePicture code={code} label="" className="size-11 shrink-0" />}
        <div className="min-w-0">
          <p className="m-0 text-[15px] font-semibold">
            {title}
            {recommended && <span className="ml-2 rounded-full bg-done/15 px-2 py-0.5 text-[12.5px] font-semibold">recommended</span>}
          </p>
          <p className="m-0 truncate font-mono text-[13px] text-muted" title={payload}>
            {payload}
          </p>
          <p className="m-0 text-[13px] text-muted">{isNow ? `carried now, ${dependencyWords[dependsOn]}` : kind === 'trimmed' ? trimmedWords(page) : dependencyWords[dependsOn]}</p>
        </div>
      </div>
      {figures ? (
        <>
          <Figure title={grainWords[figures.grain]} figure={`${figures.modules} × ${figures.modules} · ${plural(figures.characters, 'character')}`} />
          <Reach figures={figures} rehearsedM={isNow ? readiness.reads.leastReachM : null} />
        </>
      ) : (
        <>
          <Figure title="Too long" figure="no code holds it" />
          <span aria-hidden />
        </>
      )}
      <div className="ml-auto">{isNow ? <StateMark mark={readiness.carries.state} words="Code" /> : kind === 'trimmed' ? <TakeTrimmed page={page} link={payload} /> : null}</div>
    </li>
  );
}

function trimmedWords({ check }: MaterialPage): string {
  return `without ${check?.trimmed?.removed.join(', ') ?? ''}; both were opened and lead to the same page`;
}

/** As it was rehearsed, where it was; by pixels a module otherwise. */
function Reach({ figures: { reachM }, rehearsedM }: { readonly figures: RungFigures; readonly rehearsedM: number | null }): ReactElement {
  if (rehearsedM !== null) return <Figure title={rehearsedM === 0 ? 'Not read' : metres(rehearsedM)} figure="weakest device" />;
  return reachM === null ? <span aria-hidden /> : <Figure title={`about ${metres(reachM)}`} figure="weakest device" />;
}

function TakeTrimmed({ page: { material }, link: trimmed }: { readonly page: MaterialPage; readonly link: string }): ReactElement {
  const change = useChangeMaterial(material.id);
  const notice = useNotice();
  const { link, version } = material;
  const take = (): void =>
    change.mutate(
      { version, link: trimmed },
      { onSuccess: (changed) => notice({ words: 'The code carries the shorter link now.', undo: () => link !== null && change.mutate({ version: changed.version, link }) }), onError: (error) => notice({ words: wordsFor(error) }) },
    );
  return (
    <Button onClick={take} disabled={change.isPending}>
      Use the shorter link
    </Button>
  );
}

function Figure({ title, figure }: { readonly title: string; readonly figure: string }): ReactElement {
  return (
    <div className="min-w-24 leading-snug">
      <p className="m-0 text-[15px] font-semibold">{title}</p>
      <p className="m-0 text-[13px] text-muted">{figure}</p>
    </div>
  );
}
