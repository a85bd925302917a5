/** A look is designed on a code: each change shows at once what it leaves, and the weakest device tries to read it. */
import { limits, type LookView, type MaterialPage } from '@hapset/contract';
import { judgeLook, mendedColours, plainLook, withoutSurround, type LookDesign, type LookReason } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactElement, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { ApiError } from '../../platform/api/problem-error.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { pagePath } from '../../gather/material/page-path.js';
import { materialPageQuery, useChangeMaterial } from '../../gather/material/material.queries.js';
import { useQuickRehearsal } from '../../reads/rehearsal/use-quick-rehearsal.js';
import { PageHead } from '../../platform/design/page-head.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { DesignControls } from '../../code/look/design-controls.js';
import { ContrastFigure, ReasonList, RepairFigure } from '../../code/look/look-figures.js';
import { looksQuery, useKeepLook } from '../../code/look/look.queries.js';
import { QuickFigure } from './quick-figure.js';
import { drawSample, printedMm, sampleOf, usualSample, type LookSample } from '../../code/look/sample.js';
import { suggestedName } from '../../code/look/suggested-name.js';
import { useDevicesOf } from '../../school/school-class/use-devices-of.js';

export function Component(): ReactElement {
  const { lookId = 'new' } = useParams();
  const [search] = useSearchParams();
  const [stationId, materialId] = [search.get('station'), search.get('material')];
  const place = stationId !== null ? { stationId } : { materialId: materialId ?? '' };
  const onCode = stationId !== null || materialId !== null;
  const page = useQuery({ ...materialPageQuery(place), enabled: onCode });
  const looks = useQuery(looksQuery);
  const devices = useDevicesOf(null);
  const sample = useMemo(() => (page.data ? sampleOf(page.data) : usualSample(devices)), [page.data, devices]);
  if (looks.isPending || (onCode && page.isPending)) return <Loading label="The look is loading" />;
  if (looks.isError) return <Failed words={wordsFor(looks.error)} onRetry={() => void looks.refetch()} />;
  if (page.isError) return <Failed words={wordsFor(page.error)} onRetry={() => void page.refetch()} />;
  const before = looks.data.looks.find(({ id }) => id === lookId) ?? null;
  if (!sample)
    return (
      <Failed
        words="There is no code to design a look on. Shorten what it carries first."
        onRetry={() => void page.refetch()}
      />
    );
  const from = page.data ? { page: page.data, address: pagePath(page.data) } : null;
  return (
    <Editor key={lookId} before={before} sample={sample} names={looks.data.looks.map(({ name }) => name)} from={from} />
  );
}

interface Props {
  /** The look that is changed; null for a new one. */
  readonly before: LookView | null;
  readonly sample: LookSample;
  /** Those that are taken. */
  readonly names: readonly string[];
  /** The code for which it is designed. */
  readonly from: { readonly page: MaterialPage; readonly address: string } | null;
}

function Editor({ before, sample, names, from }: Props): ReactElement {
  const [design, setDesign] = useState<LookDesign>(before?.design ?? plainLook);
  const [typedName, setTypedName] = useState<string | null>(before?.name ?? null);
  const [asking, setAsking] = useState(false);
  const name = typedName ?? suggestedName(design, names);
  const drawing = useMemo(() => drawSample(sample, design), [sample, design]);
  const judgement = useMemo(() => judgeLook(sample.plan, design), [sample, design]);
  const sizeMm = useMemo(() => printedMm(sample, design), [sample, design]);
  const quick = useQuickRehearsal({
    plan: sample.plan,
    look: withoutSurround(design),
    sizeMm,
    devices: sample.devices,
  });
  const mine = before?.mayChange ?? false;
  const keep = useKeep(mine ? before : null, from);
  const fallsShort = quick.result !== null && quick.result.reachM < sample.distanceM;
  const largerMm = fallsShort ? printedMm(sample, withoutSurround(design)) : sizeMm;
  const fails = judgement.state === 'stop' || (quick.result !== null && quick.result.reachM === 0);
  const send = (): void => {
    setAsking(false);
    keep.run({ name: name.trim() || suggestedName(design, names), design });
  };
  const change = (part: Partial<LookDesign>): void => setDesign((now) => ({ ...now, ...part }));
  return (
    <>
      <PageHead
        title={before ? (mine ? 'Change a look' : 'Design a look') : 'Design a look'}
        trail={
          <Link to={from?.address ?? '/school/looks'} className="text-ink/80">
            {from ? sample.name : 'Looks'}
          </Link>
        }
        about={aboutOf(before, mine, from !== null)}
        actions={
          <>
            <Link to={from?.address ?? '/school/looks'} className={buttonClass()}>
              Leave it
            </Link>
            <Button tone="main" disabled={keep.pending} onClick={() => (fails ? setAsking(true) : send())}>
              {from ? 'Keep and use it here' : 'Keep this look'}
            </Button>
          </>
        }
      />
      <div className="grid grid-cols-1 gap-4 md:grid-cols-[270px_minmax(0,1fr)] lg:grid-cols-[312px_minmax(0,1fr)] lg:gap-5">
        <aside className="self-start md:sticky md:top-4">
          <div className="flex justify-center rounded-sheet border border-line bg-print p-3">
            <CodePicture drawing={drawing} label="The code in this look" className="h-[216px] w-full" />
          </div>
          <div className="mt-1.5 px-1" role="status" aria-label="What this look leaves">
            <ContrastFigure judgement={judgement} />
            <RepairFigure judgement={judgement} />
            <QuickFigure quick={quick} distanceM={sample.distanceM} sizeMm={sizeMm} />
          </div>
          {judgement.reasons.length > 0 && (
            <div className="mt-1 border-t border-line px-1 pt-3">
              <ReasonList
                judgement={judgement}
                mend={(reason) => <Mend reason={reason} design={design} onMend={change} />}
              />
            </div>
          )}
          {fallsShort && judgement.state === 'done' && (
            <p className="mx-1 mt-1 mb-0 border-t border-line pt-3 text-[13.5px]">
              {largerMm > sizeMm
                ? `Without frame and words a poster shows it ${largerMm} mm wide instead of ${sizeMm}.`
                : 'Squares read farthest; darker colours help, and so does a smaller middle.'}
            </p>
          )}
        </aside>
        <div className="flex min-w-0 flex-col gap-3">
          <section className="rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5">
            <TextField
              label="Name of the look"
              value={name}
              maxLength={limits.lookNameLength}
              onChange={(event) => setTypedName(event.target.value)}
              problem={keep.error ?? undefined}
              hint="Under this name all staff find it."
            />
          </section>
          <DesignControls design={design} judgement={judgement} onChange={change} />
        </div>
      </div>
      {asking && (
        <Dialog
          title="This look fails"
          about="Students would stand in front of a code that does not read."
          onClose={() => setAsking(false)}
        >
          <ReasonList judgement={judgement} />
          {judgement.reasons.length === 0 && (
            <p className="m-0 text-[14.5px]">
              In the rehearsal {quick.device?.name ?? 'a device'} did not read it at any distance.
            </p>
          )}
          <p className="mt-3 mb-0 text-[14.5px] text-muted">
            If you keep it all the same, every station that has it stops until the look is mended.
          </p>
          <div className="mt-5 flex justify-end gap-2">
            <Button onClick={send}>Keep it all the same</Button>
            <Button tone="main" onClick={() => setAsking(false)}>
              Mend it first
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}

function aboutOf(before: LookView | null, mine: boolean, onCode: boolean): string {
  if (!before)
    return onCode
      ? 'It never changes what the code says. All staff find it under its name.'
      : 'All staff find it under its name. It never changes what a code says.';
  if (!mine) return `“${before.name}” belongs to somebody else: what you design becomes a look of its own.`;
  return before.uses === 0
    ? 'No code has it by choice yet.'
    : before.uses === 1
      ? 'One code or lesson has it, and changes with it.'
      : `${before.uses} codes and lessons have it, and change with it.`;
}

interface Keep {
  readonly pending: boolean;
  readonly error: string | null;
  readonly run: (wish: { readonly name: string; readonly design: LookDesign }) => void;
}

/** Keeps it, and gives it to the code for which it was designed. */
function useKeep(before: LookView | null, from: Props['from']): Keep {
  const keep = useKeepLook(before);
  const changeMaterial = useChangeMaterial(from?.page.material.id ?? '');
  const notice = useNotice();
  const navigate = useNavigate();
  const done = (words: string): void => {
    notice({ words });
    void navigate(from?.address ?? '/school/looks');
  };
  const run: Keep['run'] = (wish) =>
    keep.mutate(wish, {
      onSuccess: ({ id, name }) => {
        if (!from || from.page.look.id === id) return done(`“${name}” is kept.`);
        changeMaterial.mutate(
          { version: from.page.material.version, look: id },
          {
            onSuccess: () => done(`The code looks like “${name}” now.`),
            onError: () => done(`“${name}” is kept; choose it on the code’s page.`),
          },
        );
      },
    });
  const error =
    keep.error instanceof ApiError && keep.error.reason === 'not-allowed'
      ? 'At this school the administrator makes looks.'
      : keep.error
        ? wordsFor(keep.error)
        : null;
  return { pending: keep.isPending || changeMaterial.isPending, error, run };
}

/** The way out in one click, where there is one. */
function Mend({
  reason,
  design,
  onMend,
}: {
  readonly reason: LookReason;
  readonly design: LookDesign;
  readonly onMend: (part: Partial<LookDesign>) => void;
}): ReactElement | null {
  const mended = useMemo(() => mendedColours(design), [design]);
  if ((reason === 'too-little-contrast' || reason === 'little-contrast') && mended) {
    return (
      <MendButton onClick={() => onMend(mended)}>
        Take the nearest colours that pass
        {[mended.ink, mended.inkTo, mended.ground].map(
          (colour, index) =>
            colour !== null && (
              <span
                key={index}
                aria-hidden
                className="size-4 shrink-0 rounded-full border border-line-strong"
                style={{ background: colour }}
              />
            ),
        )}
      </MendButton>
    );
  }
  if (reason === 'light-on-dark')
    return (
      <MendButton onClick={() => onMend({ ink: design.ground, inkTo: null, ground: design.ink })}>
        Change the two colours for each other
      </MendButton>
    );
  if (design.centre && ['covers-patterns', 'beyond-repair', 'little-spare-repair'].includes(reason))
    return (
      <MendButton onClick={() => design.centre && onMend({ centre: { ...design.centre, side: null } })}>
        Take the largest that leaves half
      </MendButton>
    );
  return null;
}

function MendButton({
  onClick,
  children,
}: {
  readonly onClick: () => void;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <span className="mt-1.5 block">
      <Button onClick={onClick} className="max-w-full text-left !whitespace-normal">
        {children}
      </Button>
    </span>
  );
}
