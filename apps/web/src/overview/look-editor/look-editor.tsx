/** A look while it is designed: how the code looks, what that leaves of it, and its controls. */
import { limits, type LookView } from '@hapset/contract';
import { judgeLook, plainLook, standing, withoutSurround, type LookDesign, type LookJudgement } from '@hapset/core';
import { useMemo, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { DesignControls } from '../../code/look/design-controls.js';
import { ContrastFigure, ReasonList, RepairFigure } from '../../code/look/look-figures.js';
import { drawSample, printedMm, type LookSample } from '../../code/look/sample.js';
import { suggestedName } from '../../code/look/suggested-name.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { PageHead } from '../../platform/design/page-head.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { isLike, useDraft, type DraftHandle } from '../../platform/draft/use-draft.js';
import { useQuickRehearsal, type QuickRehearsal } from '../../reads/rehearsal/use-quick-rehearsal.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { FixLook } from './fix-look.js';
import { QuickFigure } from './quick-figure.js';
import { useKeepLookHere, type DesignedFor, type KeepLook } from './use-keep-look-here.js';
import { t } from '../words.js';

interface Props {
  /** The look that is changed; null for a new one. */
  readonly before: LookView | null;
  readonly sample: LookSample;
  /** Those that are taken. */
  readonly names: readonly string[];
  readonly from: DesignedFor | null;
}

export function LookEditor({ before, sample, names, from }: Props): ReactElement {
  const [design, setDesign] = useState<LookDesign>(before?.design ?? plainLook);
  const leaves = useLeaves(sample, design);
  const mine = before?.mayChange ?? false;
  const keep = useKeepLookHere(mine ? before : null, from);
  const { name, typed, setName, nameToKeep } = useName(before, design, names);
  const { draft, changed } = useLookDraft(before, design, typed);
  useUnsaved(changed && !keep.pending, draft.remove);
  const use = ({ design: found, name: named }: DraftOfLook): void => {
    setDesign(found);
    setName(named);
  };
  const change = (part: Partial<LookDesign>): void => setDesign((now) => ({ ...now, ...part }));
  return (
    <>
      <PageHead
        title={mine ? t('lookEditor.changeALook') : t('lookEditor.designALook')}
        trail={
          <Link to={from?.address ?? '/school/looks'} className="text-ink/80">
            {from ? sample.name : t('lookEditor.looks')}
          </Link>
        }
        about={aboutOf(before, mine, from !== null)}
        actions={
          <KeepOrLeave
            from={from}
            leaves={leaves}
            keep={keep}
            onKeep={() => keep.run({ name: nameToKeep, design }, draft.remove)}
          />
        }
      />
      <div className="mb-3 empty:hidden">
        <DraftOffer draft={draft} onUse={use} />
      </div>
      <div className="grid grid-cols-1 gap-4 md:grid-cols-[270px_minmax(0,1fr)] lg:grid-cols-[312px_minmax(0,1fr)] lg:gap-5">
        <Leaves sample={sample} design={design} leaves={leaves} onFix={change} />
        <div className="flex min-w-0 flex-col gap-3">
          <section className="rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5">
            <TextField
              label={t('lookEditor.nameOfTheLook')}
              value={name}
              maxLength={limits.lookNameLength}
              onChange={(event) => setName(event.target.value)}
              problem={keep.error ?? undefined}
              hint={t('lookEditor.allStaffFindTheLook')}
            />
          </section>
          <DesignControls design={design} judgement={leaves.judgement} onChange={change} />
        </div>
      </div>
    </>
  );
}

interface DraftOfLook {
  readonly design: LookDesign;
  readonly name: string | null;
}

function isDraftOfLook(value: unknown): value is DraftOfLook {
  return isLike<DraftOfLook>({ design: plainLook, name: null })(value) && isLike(plainLook)(value.design);
}

/** Of what was changed since the look was opened. */
function useLookDraft(
  before: LookView | null,
  design: LookDesign,
  name: string | null,
): { readonly draft: DraftHandle<DraftOfLook>; readonly changed: boolean } {
  const [begun] = useState({ design, name });
  const changed = JSON.stringify({ design, name }) !== JSON.stringify(begun);
  const place = useOwnPlace(`look ${before?.id ?? 'new'}`);
  return { draft: useDraft(place, changed ? { design, name } : null, isDraftOfLook), changed };
}

/** As typed, or suggested by the design until somebody types. */
function useName(
  before: LookView | null,
  design: LookDesign,
  names: readonly string[],
): {
  readonly name: string;
  /** Null as long as it is suggested. */
  readonly typed: string | null;
  readonly setName: (name: string | null) => void;
  readonly nameToKeep: string;
} {
  const [typed, setName] = useState<string | null>(before?.name ?? null);
  const suggested = suggestedName(design, names);
  const name = typed ?? suggested;
  return { name, typed, setName, nameToKeep: name.trim() || suggested };
}

/** What a design leaves of the code. */
interface LeavesOfLook {
  readonly judgement: LookJudgement;
  readonly sizeMm: number;
  readonly quick: QuickRehearsal;
  /** It stops at a rule, or the weakest device reads it nowhere. */
  readonly fails: boolean;
}

function useLeaves(sample: LookSample, design: LookDesign): LeavesOfLook {
  const rules = useMemo(() => judgeLook(sample.plan, design), [sample, design]);
  const sizeMm = useMemo(() => printedMm(sample, design), [sample, design]);
  const quick = useQuickRehearsal({
    plan: sample.plan,
    look: withoutSurround(design),
    sizeMm,
    devices: sample.devices,
  });
  // What no rule foresees, readers tell.
  const judgement =
    quick.unreadBy.length === 0 ? rules : { ...rules, ...standing([...rules.reasons, 'not-read-flat']) };
  const fails = judgement.state === 'stop' || (quick.result !== null && quick.result.reachM === 0);
  return { judgement, sizeMm, quick, fails };
}

function Leaves({
  sample,
  design,
  leaves: { judgement, sizeMm, quick },
  onFix,
}: {
  readonly sample: LookSample;
  readonly design: LookDesign;
  readonly leaves: LeavesOfLook;
  readonly onFix: (part: Partial<LookDesign>) => void;
}): ReactElement {
  const drawing = useMemo(() => drawSample(sample, design), [sample, design]);
  const fallsShort = quick.result !== null && quick.result.reachM < sample.distanceM;
  const largerMm = fallsShort ? printedMm(sample, withoutSurround(design)) : sizeMm;
  return (
    <aside className="self-start md:sticky md:top-4">
      <div className="flex justify-center rounded-sheet border border-line bg-print p-3">
        <CodePicture drawing={drawing} label={t('lookEditor.codeWithThisLook')} className="h-[216px] w-full" />
      </div>
      <div className="mt-1.5 px-1" role="status" aria-label={t('lookEditor.howWellThisLookScans')}>
        <ContrastFigure judgement={judgement} />
        <RepairFigure judgement={judgement} />
        <QuickFigure quick={quick} distanceM={sample.distanceM} sizeMm={sizeMm} />
      </div>
      {judgement.reasons.length > 0 && (
        <div className="mt-1 border-t border-line px-1 pt-3">
          <ReasonList
            judgement={judgement}
            fix={(reason) => <FixLook reason={reason} design={design} onFix={onFix} />}
          />
        </div>
      )}
      {fallsShort && judgement.state === 'done' && (
        <p className="mx-1 mt-1 mb-0 border-t border-line pt-3 text-small">
          {largerMm > sizeMm
            ? t('lookEditor.withoutFrameAndWordsA', { largerMm, sizeMm })
            : t('lookEditor.squaresScanFarthestDarkerColours')}
        </p>
      )}
    </aside>
  );
}

/** A look that fails is kept on purpose only. */
function KeepOrLeave({
  from,
  leaves: { fails, judgement, quick },
  keep,
  onKeep,
}: {
  readonly from: DesignedFor | null;
  readonly leaves: LeavesOfLook;
  readonly keep: KeepLook;
  readonly onKeep: () => void;
}): ReactElement {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Link to={from?.address ?? '/school/looks'} className={buttonClass()}>
        {t('lookEditor.discard')}
      </Link>
      <Button tone="main" disabled={keep.pending} onClick={() => (fails ? setAsking(true) : onKeep())}>
        {from ? t('lookEditor.saveAndUseHere') : t('lookEditor.saveLook')}
      </Button>
      {asking && (
        <Dialog
          title={t('lookEditor.thisLookFails')}
          about={t('lookEditor.studentsCouldNotScanCodes')}
          onClose={() => setAsking(false)}
        >
          <ReasonList judgement={judgement} />
          {judgement.reasons.length === 0 && (
            <p className="m-0 text-body">
              {t('lookEditor.inTheRehearsalDidNot', { device: quick.device?.name ?? '' })}
            </p>
          )}
          <p className="mt-3 mb-0 text-body text-muted">{t('lookEditor.ifYouSaveItAnyway')}</p>
          <div className="mt-5 flex justify-end gap-2">
            <Button
              onClick={() => {
                setAsking(false);
                onKeep();
              }}
            >
              {t('lookEditor.saveAnyway')}
            </Button>
            <Button tone="main" onClick={() => setAsking(false)}>
              {t('lookEditor.fixItFirst')}
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}

function aboutOf(before: LookView | null, mine: boolean, onCode: boolean): string {
  if (!before) return onCode ? t('lookEditor.itNeverChangesWhatThe') : t('lookEditor.allStaffCanUseIt');
  if (!mine) return t('lookEditor.belongsToSomebodyElseYour', { name: before.name });
  return before.uses === 0
    ? t('lookEditor.noCodeUsesItYet')
    : before.uses === 1
      ? t('lookEditor.oneCodeOrLessonUses')
      : t('lookEditor.codesAndLessonsUseIt', { uses: before.uses });
}
