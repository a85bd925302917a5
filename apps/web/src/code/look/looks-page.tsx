/** The looks of the school: all staff use them, the administrator decides which, and which one is the usual one. */
import { lookMakers, routes, type LookMakers, type LooksView, type LookView } from '@hapset/contract';
import { judgeLook } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { MoreHorizontal } from 'lucide';
import { useMemo, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { buttonClass } from '../../platform/design/button.js';
import { ChoiceField, SelectField } from '../../platform/design/field.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Menu } from '../../platform/design/menu.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { PageHead } from '../../platform/design/page-head.js';
import { CodePicture } from '../symbol/code-picture.js';
import { useRemoval } from '../../platform/undo/use-removal.js';
import { lookMakerWords, lookReasonWords, plainLookWords } from '../../platform/wording/looks.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { lookAddress } from './design-address.js';
import { looksQuery, useAllowLook, useChangeLookRules } from './look.queries.js';
import { drawSample, usualSample, type LookSample } from './sample.js';
import { Icon } from '../../platform/design/icon.js';
import { useDevicesOf } from '../../school/school-class/use-devices-of.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function LooksPage(): ReactElement {
  const looks = useQuery(looksQuery);
  const mayRule = useSession()?.role === 'administrator';
  const mayMake = mayRule || looks.data?.madeBy === 'staff';
  return (
    <>
      <PageHead
        title={t('looksPage.looks')}
        trail={
          <Link to="/school" className="text-ink/80">
            {t('looksPage.school')}
          </Link>
        }
        about={t('looksPage.coloursShapesCentrePictureAnd')}
        actions={
          mayMake && (
            <Link to="/school/looks/new" className={buttonClass('main')}>
              {t('looksPage.designALook')}
            </Link>
          )
        }
      />
      {looks.isPending && <Loading rows={3} label={t('looksPage.looksAreLoading')} />}
      {hasFailed(looks) && <Failed words={wordsFor(looks.error)} onRetry={() => void looks.refetch()} />}
      {looks.data && mayRule && <Rules looks={looks.data} />}
      {looks.data && <LookList looks={looks.data} mayRule={mayRule} />}
    </>
  );
}

function LookList({
  looks: { looks, defaultLookId, madeBy },
  mayRule,
}: {
  readonly looks: LooksView;
  readonly mayRule: boolean;
}): ReactElement {
  const devices = useDevicesOf(null);
  const sample = useMemo(() => usualSample(devices), [devices]);
  return (
    <>
      {looks.length === 0 && <Empty title={t('looksPage.noLooksYet')}>{t('looksPage.allCodesAreBlackOn')}</Empty>}
      {looks.length > 0 && sample && (
        <ul
          className="m-0 grid list-none grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-3 p-0"
          aria-label={t('looksPage.looksOfTheSchool')}
        >
          {looks.map((look) => (
            <LookCard
              key={look.id}
              look={look}
              sample={sample}
              isDefault={defaultLookId === look.id}
              mayRule={mayRule}
            />
          ))}
        </ul>
      )}
      {!mayRule && madeBy === 'administrator' && (
        <p className="mt-3 mb-0 text-small text-muted">{t('looksPage.atThisSchoolOnlyThe')}</p>
      )}
    </>
  );
}

function Rules({ looks: { looks, defaultLookId, madeBy } }: { readonly looks: LooksView }): ReactElement {
  const change = useChangeLookRules();
  const notice = useNotice();
  const sendChange = useSendChange();
  const keep = (rules: { defaultLookId: string | null; madeBy: LookMakers }): void =>
    sendChange(change, rules, {
      onSuccess: () => notice({ words: t('looksPage.rulesForLooksSaved') }),
    });
  return (
    <div className="mb-4 grid gap-4 sm:max-w-2xl sm:grid-cols-2">
      <SelectField
        label={t('looksPage.defaultLook')}
        value={defaultLookId ?? ''}
        disabled={change.isPending}
        onChange={(event) => keep({ defaultLookId: event.target.value || null, madeBy })}
      >
        <option value="">{plainLookWords}</option>
        {looks
          .filter(({ allowed }) => allowed)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </SelectField>
      <ChoiceField
        choices={lookMakers}
        words={lookMakerWords}
        label={t('looksPage.whoMayDesignLooks')}
        value={madeBy}
        disabled={change.isPending}
        onChange={(event) => keep({ defaultLookId, madeBy: event.target.value as LookMakers })}
      />
    </div>
  );
}

interface CardProps {
  readonly look: LookView;
  readonly sample: LookSample;
  readonly isDefault: boolean;
  readonly mayRule: boolean;
}

function LookCard({ look, sample, isDefault, mayRule }: CardProps): ReactElement {
  const { name, design, allowed, mayChange } = look;
  const drawing = useMemo(() => drawSample(sample, design), [sample, design]);
  const judgement = useMemo(() => judgeLook(sample.plan, design), [sample, design]);
  const [worst] = judgement.reasons;
  return (
    <li className="flex flex-col rounded-sheet border border-line bg-sheet p-3">
      <div className="flex h-44 items-center justify-center rounded-small border border-line bg-print p-2">
        <CodePicture drawing={drawing} label="" className={`max-h-full max-w-full ${allowed ? '' : 'opacity-45'}`} />
      </div>
      <div className="mt-2.5 flex items-start gap-2">
        <StateMark
          mark={allowed ? judgement.state : 'look-at'}
          words={judgement.state === 'done' ? t('looksPage.good') : t('looksPage.needsAttention')}
        />
        <div className="min-w-0 flex-1 leading-snug">
          <Link to={lookAddress(look)} className="text-lead font-semibold break-words text-ink">
            {name}
          </Link>
          <p className="m-0 text-note text-muted">
            {[worst ? lookReasonWords[worst].short : '', ...factsOf(look, isDefault)]
              .filter((part) => part !== '')
              .join(' · ')}
          </p>
        </div>
        {(mayChange || mayRule) && <LookMenu look={look} isDefault={isDefault} mayRule={mayRule} />}
      </div>
    </li>
  );
}

function factsOf({ uses, allowed }: LookView, isDefault: boolean): readonly string[] {
  return [
    isDefault ? t('looksPage.default') : '',
    uses > 0 ? t('looksPage.usedTimes', { count: uses }) : t('looksPage.notUsedYet'),
    allowed ? '' : t('looksPage.noLongerAllowed'),
  ];
}

function LookMenu({ look, isDefault, mayRule }: Omit<CardProps, 'sample'>): ReactElement {
  const { id, name, allowed, mayChange, uses } = look;
  const allow = useAllowLook();
  const sendChange = useSendChange();
  const navigate = useNavigate();
  const removal = useRemoval({
    remove: routes.removeLook,
    restore: routes.restoreLook,
    params: { lookId: id },
    words: t('looksPage.wasRemoved', { name }),
  });
  return (
    <Menu
      label={t('looksPage.moreFor', { name })}
      entries={[
        {
          label: mayChange ? t('looksPage.change') : t('looksPage.designACopy'),
          onSelect: () => void navigate(lookAddress(look)),
        },
        ...(mayRule
          ? [
              {
                label: allowed ? t('looksPage.stopAllowing') : t('looksPage.allowAgain'),
                onSelect: () => sendChange(allow, { lookId: id, allowed: !allowed }),
              },
            ]
          : []),
        { label: t('looksPage.remove'), onSelect: removal.run, danger: true, disabled: uses > 0 || isDefault },
      ]}
    >
      <Icon icon={MoreHorizontal} size={17} />
    </Menu>
  );
}
