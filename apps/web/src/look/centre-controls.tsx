import { lookLimits, type LookCentre, type LookDesign, type LookJudgement } from '@hapset/core';
import { iconNames, iconOf } from '@hapset/core/icons';
import { useState, type ReactElement } from 'react';
import { Button } from '../design/button.js';
import { ChooseFile } from '../design/choose-file.js';
import { Sheet } from '../design/sheet.js';
import { percent } from '../wording/figures.js';
import { wordsFor } from '../wording/problems.js';
import { useBringLookPicture } from './look.queries.js';

interface Props {
  readonly design: LookDesign;
  readonly judgement: LookJudgement;
  readonly onChange: (part: Partial<LookDesign>) => void;
}

/** A picture in the middle: an icon, or one of the school's own. By itself it is as large as leaves half of the repair. */
export function CentreControls({ design: { centre }, judgement, onChange }: Props): ReactElement {
  const [find, setFind] = useState('');
  const bring = useBringLookPicture();
  const put = (next: LookCentre | null): void => onChange({ centre: next });
  const found = iconNames.filter((name) => name.includes(find.trim().toLowerCase()));
  const side = centre?.side ?? null;
  return (
    <Sheet
      title="In the middle"
      aside={centre === null ? 'it takes from the repair' : judgement.centre === null ? 'this code has no room for it' : `${judgement.centre.width} × ${judgement.centre.height} modules`}
      action={
        <>
          <ChooseFile label={bring.isPending ? 'Bringing it…' : 'Own picture'} accept="image/png,image/jpeg,image/webp" onChoose={(file) => bring.mutate(file, { onSuccess: ({ id, aspect }) => put({ sort: 'picture', pictureId: id, aspect, side }) })} />
          {centre !== null && <Button onClick={() => put(null)}>Nothing</Button>}
        </>
      }
    >
      {bring.isError && (
        <p role="alert" className="mt-0 mb-2 text-[13.5px] font-semibold text-stop">
          {wordsFor(bring.error)}
        </p>
      )}
      <input type="search" aria-label="Find an icon" placeholder="Find an icon" value={find} onChange={(event) => setFind(event.target.value)} className="min-h-9 w-full max-w-64 rounded-small border border-line-strong bg-sheet px-3 text-[14.5px] placeholder:text-muted" />
      <ul aria-label="Icons" className="m-0 mt-2 flex max-h-[132px] list-none flex-wrap gap-1 overflow-y-auto p-0.5">
        {found.map((name) => {
          const chosen = centre?.sort === 'icon' && centre.icon === name;
          return (
            <li key={name}>
              <button type="button" aria-label={name} title={name} aria-pressed={chosen} onClick={() => put({ sort: 'icon', icon: name, side })} className={`flex size-10 items-center justify-center rounded-small border ${chosen ? 'border-marker-line bg-marker-soft' : 'border-line hover:border-ink'}`}>
                <Icon name={name} />
              </button>
            </li>
          );
        })}
        {found.length === 0 && <li className="py-2 text-[14px] text-muted">No icon of that name. Try another word, or bring a picture.</li>}
      </ul>
      {centre !== null && <SizeControl centre={centre} now={judgement.centre} onChange={put} />}
    </Sheet>
  );
}

function SizeControl({ centre, now, onChange }: { readonly centre: LookCentre; readonly now: LookJudgement['centre']; readonly onChange: (centre: LookCentre) => void }): ReactElement {
  const { least, most } = lookLimits.side;
  const byHand = centre.side !== null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-line pt-3 text-[14.5px]">
      <label className="flex min-h-9 items-center gap-2">
        <input type="checkbox" className="size-4 accent-ink" checked={!byHand} onChange={(event) => onChange({ ...centre, side: event.target.checked ? null : 0.22 })} />
        As large as leaves half of the repair
      </label>
      {byHand && (
        <label className="flex min-h-9 items-center gap-2.5">
          Width
          <input type="range" min={least} max={most} step={0.01} value={centre.side ?? least} onChange={(event) => onChange({ ...centre, side: Number(event.target.value) })} className="w-44 accent-ink" />
          <span className="w-12 text-muted">{percent(centre.side ?? least)}</span>
        </label>
      )}
      {now === null && <span className="text-[13.5px] text-muted">On codes with more repair it shows.</span>}
    </div>
  );
}

function Icon({ name }: { readonly name: string }): ReactElement {
  return (
    <svg viewBox="0 0 24 24" className="size-5.5" fill="none" stroke="currentColor" strokeWidth={1.8} strokeLinecap="round" strokeLinejoin="round" aria-hidden>
      {(iconOf(name) ?? []).map(([Element, attributes], index) => {
        const Tag = Element as 'path';
        return <Tag key={index} {...attributes} />;
      })}
    </svg>
  );
}
