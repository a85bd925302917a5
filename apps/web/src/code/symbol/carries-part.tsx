import type { MaterialPage } from '@hapset/contract';
import {
  addressCarries,
  ignoring,
  plainDrawing,
  planSymbol,
  type AddressCarry,
  type CodeDrawing,
  type ErrorCorrectionLevel,
  type Rung,
  type SymbolFigures,
} from '@hapset/core';
import { useMemo, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { FoldingPanel, Panel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { grainWords, metres, namesListed, tenths } from '../../platform/wording/figures.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { carriedWords, dependencyWords, rungReasonWords, rungWords } from '../../platform/wording/ladder.js';
import { ignoredSentence } from '../../platform/wording/scanners.js';
import { CodePicture } from './code-picture.js';
import { ChooseLevel } from './choose-level.js';
import { OfferPage } from './offer-page.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

/** What the code could carry, each with what it costs in steps; the one that it carries now is marked. */
export function CarriesPart({ page }: { readonly page: MaterialPage }): ReactElement {
  const { code, ladder, readiness } = page;
  const taking = useTaking(page);
  if (!code) return <TooLong page={page} />;
  const growth = code.charactersUntilGrowth;
  return (
    <FoldingPanel
      id="carries"
      name={t('carriesPart.whatTheCodeCarries')}
      calm={readiness.carries.state === 'done' && isRecommended(ladder, code.carry)}
      mark={<StateMark mark={readiness.carries.state} words={t('carriesPart.code')} />}
      title={t('carriesPart.codeCarries', { content: carriedWords[code.carry] })}
      aside={
        growth === 0
          ? t('carriesPart.oneMoreCharacterMakesThe')
          : t('carriesPart.moreCharactersFitBeforeThe', { count: growth })
      }
    >
      <ul aria-label={t('carriesPart.whatTheCodeCanCarry')} className="m-0 mt-1 flex list-none flex-col gap-1.5 p-0">
        {ladder.rungs.map((rung, index) => (
          <RungRow
            key={rung.kind}
            rung={rung}
            page={page}
            taking={taking}
            isNow={rung.kind === code.carry}
            recommended={index === ladder.recommended && ladder.rungs.length > 1}
          />
        ))}
      </ul>
      {ladder.rungs.length > 1 && <p className="mt-2 mb-0 text-row text-muted">{rungReasonWords[ladder.reason]}</p>}
      <CarryNotes page={page} code={code} />
      <OfferPage page={page} />
      <ChooseLevel page={page} />
      <details className="text-small text-muted">
        <summary className="w-fit cursor-pointer py-1">{t('carriesPart.detailsAndTermsOfThe')}</summary>
        <RungFigures page={page} />
        <p className="m-0">
          {t('carriesPart.versionErrorCorrectionLevelData', {
            version: code.version,
            level: code.level,
            mask: code.mask,
          })}
        </p>
      </details>
    </FoldingPanel>
  );
}

/** Nothing that it could carry instead would be better. */
function isRecommended({ rungs, recommended }: MaterialPage['ladder'], carry: AddressCarry | 'words'): boolean {
  return recommended === null || rungs[recommended]?.kind === carry;
}

function TooLong({ page }: { readonly page: MaterialPage }): ReactElement {
  return (
    <div id="carries">
      <Panel
        mark={<StateMark mark="stop" words={t('carriesPart.codeStops')} />}
        title={t('carriesPart.tooLongForACode')}
      >
        <p className="m-0 text-body">
          {page.material.level === null ? t('carriesPart.thisIsTooLongFor') : t('carriesPart.thisIsTooLongFor2')}
        </p>
        <OfferPage page={page} />
        <ChooseLevel page={page} />
      </Panel>
    </div>
  );
}

/** Scanners that do nothing with it, and what would make it coarser. */
function CarryNotes({
  page: { readiness },
  code: { charactersToShrink },
}: {
  readonly page: MaterialPage;
  readonly code: NonNullable<MaterialPage['code']>;
}): ReactElement {
  const { act, ignoredBy, grain } = readiness.carries;
  return (
    <>
      {act !== null && ignoredBy.length > 0 && (
        <p className="mt-2 mb-0 flex items-center gap-2 text-row">
          <StateMark mark="look-at" words={t('carriesPart.needsAttention')} />{' '}
          {t('carriesPart.thePosterSaysWhatTo', { ignored: ignoredSentence(act, ignoredBy) })}
        </p>
      )}
      {grain === 'very-fine' && charactersToShrink !== null && (
        <p className="mt-2 mb-0 text-row">
          {t('carriesPart.charactersFewerMakeTheCode', { count: charactersToShrink })}
        </p>
      )}
    </>
  );
}

/** What each rung costs, to the character. */
function RungFigures({ page: { ladder } }: { readonly page: MaterialPage }): ReactElement {
  return (
    <div className="mb-2 overflow-x-auto">
      <table className="w-full border-collapse text-left text-small">
        <thead>
          <tr className="border-b border-line">
            {[
              t('carriesPart.content'),
              t('carriesPart.version'),
              t('carriesPart.level'),
              t('carriesPart.printed'),
              t('carriesPart.moduleWidth'),
              t('carriesPart.roomLeft'),
              t('carriesPart.nextCoarserStep'),
            ].map((name) => (
              <th key={name} scope="col" className="py-1 pr-4 font-semibold whitespace-nowrap">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ladder.rungs.map(({ kind, figures }) =>
            figures === null ? null : (
              <tr key={kind}>
                <th scope="row" className="py-1 pr-4 font-normal">
                  {rungWords[kind]}
                </th>
                <td className="pr-4">{figures.version}</td>
                <td className="pr-4">{figures.level}</td>
                <td className="pr-4 whitespace-nowrap">
                  {t('carriesPart.mm', { sizeMm: Math.round(figures.sizeMm) })}
                </td>
                <td className="pr-4 whitespace-nowrap">{t('carriesPart.mm2', { sizeMm: tenths(figures.moduleMm) })}</td>
                <td className="pr-4 whitespace-nowrap">
                  {t('carriesPart.characters', { count: figures.charactersUntilGrowth })}
                </td>
                <td className="whitespace-nowrap">
                  {figures.charactersToShrink === null
                    ? t('carriesPart.none')
                    : t('carriesPart.charactersFewer', { count: figures.charactersToShrink })}
                </td>
              </tr>
            ),
          )}
        </tbody>
      </table>
    </div>
  );
}

interface RungProps {
  readonly rung: Rung;
  readonly page: MaterialPage;
  readonly taking: Taking;
  /** The code carries it now. */
  readonly isNow: boolean;
  readonly recommended: boolean;
}

function RungRow({ rung, page, taking, isNow, recommended }: RungProps): ReactElement {
  const { kind, figures } = rung;
  const { readiness } = page;
  return (
    <li
      className={`flex flex-wrap items-center gap-x-5 gap-y-2 rounded-small border px-3 py-2 md:grid md:grid-cols-[minmax(0,1fr)_156px_112px_132px] ${isNow ? 'border-marker-line bg-marker-soft' : 'border-line'}`}
    >
      <RungName rung={rung} page={page} isNow={isNow} recommended={recommended} />
      {figures ? (
        <>
          <Figure
            title={grainWords[figures.grain]}
            figure={t('carriesPart.characters2', { count: figures.characters, modules: figures.modules })}
          />
          <Reach figures={figures} rehearsedM={isNow ? readiness.reads.leastReachM : null} />
        </>
      ) : (
        <>
          <Figure title={t('carriesPart.tooLong')} figure={t('carriesPart.tooLongForACode2')} />
          <span aria-hidden />
        </>
      )}
      <div className="ml-auto">
        {isNow && <StateMark mark={readiness.carries.state} words={t('carriesPart.code')} />}
        {!isNow && isAddressCarry(kind) && figures && (
          <Button onClick={() => taking.take(kind)} disabled={taking.pending}>
            {t('carriesPart.useThis')}
          </Button>
        )}
      </div>
    </li>
  );
}

function RungName({ rung, page, isNow, recommended }: Omit<RungProps, 'taking'>): ReactElement {
  const { kind, payload } = rung;
  const { material } = page;
  // A short link that is not made yet has no code of its own.
  const toCome = kind === 'short-link' && page.shortLink === null;
  const picture = useMemo(
    () => (toCome ? null : pictureOf(payload, material.level)),
    [payload, material.level, toCome],
  );
  const title = kind === 'words' && material.kind !== 'message' ? kindWords[material.kind] : rungWords[kind];
  return (
    <div className="flex min-w-52 flex-1 items-center gap-x-4">
      {picture ? (
        <CodePicture drawing={picture} label="" className="size-11 shrink-0" />
      ) : (
        <span aria-hidden className="size-11 shrink-0 rounded-step border border-dashed border-line-strong" />
      )}
      <div className="min-w-0">
        <p className="m-0 text-field font-semibold">
          {title}
          {recommended && (
            <span className="ml-2 rounded-full bg-done/15 px-2 py-0.5 text-fine font-semibold">
              {t('carriesPart.recommended')}
            </span>
          )}
        </p>
        <p className="m-0 truncate font-mono text-note text-muted" title={payload}>
          {toCome ? payload.replace(/[^/]+$/, '…') : payload}
        </p>
        <p className="m-0 text-note text-muted">
          {isNow ? t('carriesPart.carriedNow', { dependence: dependence(rung, page) }) : dependence(rung, page)}
        </p>
      </div>
    </div>
  );
}

/** In the plain look: rungs are compared by their modules. */
function pictureOf(payload: string, level: ErrorCorrectionLevel | null): CodeDrawing | null {
  const planned = planSymbol(payload, level ?? undefined);
  return planned.ok ? plainDrawing(planned.value) : null;
}

/** What it depends on; of a bare address, whose scanners do nothing with it. */
function dependence({ kind, dependsOn }: Rung, { check, rehearsal }: MaterialPage): string {
  if (kind === 'trimmed' && check?.trimmed)
    return t('carriesPart.withoutBothLinksLeadTo', { parameters: check.trimmed.removed.join(', ') });
  if (kind !== 'bare') return dependencyWords[dependsOn];
  const textOnly = ignoring(rehearsal.devices, 'bare-address').map(({ name }) => name);
  if (textOnly.length === 0) return t('carriesPart.theseScannersReadItAs');
  return textOnly.length === rehearsal.devices.length
    ? t('carriesPart.allScannersOfThisClass')
    : t('carriesPart.showItAsTextThe', { devices: namesListed(textOnly) });
}

/** As it was rehearsed, where it was; by pixels a module otherwise. */
function Reach({
  figures: { reachM },
  rehearsedM,
}: {
  readonly figures: SymbolFigures;
  readonly rehearsedM: number | null;
}): ReactElement {
  if (rehearsedM !== null)
    return (
      <Figure
        title={rehearsedM === 0 ? t('carriesPart.notRead') : metres(rehearsedM)}
        figure={t('carriesPart.onTheWeakestDevice')}
      />
    );
  return reachM === null ? (
    <span aria-hidden />
  ) : (
    <Figure title={t('carriesPart.about', { metres: metres(reachM) })} figure={t('carriesPart.onTheWeakestDevice')} />
  );
}

function isAddressCarry(kind: Rung['kind']): kind is AddressCarry {
  return (addressCarries as readonly string[]).includes(kind);
}

interface Taking {
  readonly pending: boolean;
  readonly take: (carry: AddressCarry) => void;
}

/** Belongs to the whole part: the button that was pressed is gone once its rung is the one that is carried. */
function useTaking({ material }: MaterialPage): Taking {
  const change = useChangeMaterial(material.id);
  const notice = useNotice();
  const sendChange = useSendChange();
  const before = material.carry;
  const take = (carry: AddressCarry): void =>
    sendChange(
      change,
      { version: material.version, carry },
      {
        onSuccess: ({ version }) =>
          notice({
            words: t('carriesPart.theCodeCarriesNow', { content: rungWords[carry].toLowerCase() }),
            undo: () => sendChange(change, { version, carry: before }),
          }),
      },
    );
  return { pending: change.isPending, take };
}

function Figure({ title, figure }: { readonly title: string; readonly figure: string }): ReactElement {
  return (
    <div className="min-w-24 leading-snug">
      <p className="m-0 text-field font-semibold">{title}</p>
      <p className="m-0 text-note text-muted">{figure}</p>
    </div>
  );
}
