import type { MaterialPage } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Button } from '../design/button.js';
import { useNotice } from '../design/notice.js';
import { Sheet } from '../design/sheet.js';
import { StateMark } from '../design/state-mark.js';
import { carriedWords } from '../readiness/answers.js';
import { grainWords, metres, plural } from '../wording/figures.js';
import { useChangeMaterial } from '../material/material.queries.js';
import { wordsFor } from '../wording/problems.js';
import { CodePicture } from './code-picture.js';

/** What the code says and how fine that makes it. Further rungs of the ladder come beside this one. */
export function CarriesPart({ page }: { readonly page: MaterialPage }): ReactElement {
  const { code, readiness, material } = page;
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
  const least = readiness.reads.leastReachM;
  return (
    <div id="carries">
      <Sheet title="Code carries" aside={growth === 0 ? 'one character more makes the code finer' : `${plural(growth, 'more character')} fit before the code gets finer`}>
        <div className="mt-1 flex flex-wrap items-center gap-x-5 gap-y-2 rounded-small border border-marker-line bg-marker-soft px-3 py-2">
          <CodePicture code={code} label="" className="size-11 shrink-0" />
          <div className="min-w-52 flex-1">
            <p className="m-0 text-[15px] font-semibold">{carriedWords(code.carry, material.kind)}</p>
            <p className="m-0 truncate font-mono text-[13px] text-muted" title={code.payload}>
              {code.payload}
            </p>
          </div>
          <Figure title={grainWords[code.grain]} figure={`${code.modules} × ${code.modules} · ${plural([...code.payload].length, 'character')}`} />
          {least !== null && <Figure title={least === 0 ? 'Not read' : metres(least)} figure="weakest device" />}
          <StateMark mark={readiness.carries.state} words="Code" />
        </div>
        {readiness.carries.state === 'look-at' && code.charactersToShrink !== null && (
          <p className="mt-2 mb-0 text-[14px]">
            {plural(code.charactersToShrink, 'character')} fewer make the code one step coarser; {code.charactersToShrink === 1 ? 'it then reads' : 'removing less changes nothing. It then reads'} from farther away.
          </p>
        )}
        <Trimmed page={page} />
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

/** The link without what only counts visitors, where both were opened and led to the same page. */
function Trimmed({ page: { material, check } }: { readonly page: MaterialPage }): ReactElement | null {
  const change = useChangeMaterial(material.id);
  const notice = useNotice();
  const { link, version } = material;
  const trimmed = check?.trimmed;
  if (!trimmed || link === null) return null;
  const take = (): void =>
    change.mutate(
      { version, link: trimmed.link },
      { onSuccess: (changed) => notice({ words: 'The code carries the shorter link now.', undo: () => change.mutate({ version: changed.version, link }) }), onError: (error) => notice({ words: wordsFor(error) }) },
    );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-[14.5px]">
      <p className="m-0 min-w-52 flex-1">
        Without <span className="font-mono text-[13px]">{trimmed.removed.join(', ')}</span>, which only counts visitors, it leads to the same page: {plural(link.length - trimmed.link.length, 'character')} less. Both were opened.
      </p>
      <Button onClick={take} disabled={change.isPending}>
        Use the shorter link
      </Button>
    </div>
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
