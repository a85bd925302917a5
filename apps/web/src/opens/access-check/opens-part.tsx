import type { AccessCheckView, MaterialPage, ReadinessView } from '@hapset/contract';
import { isWebAddress, mayBeAnswered } from '@hapset/core';
import type { ReactElement, ReactNode } from 'react';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { RepairList } from '../../gather/material/repair-list.js';
import { Button, TextButton } from '../../platform/design/button.js';
import { FoldingPanel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { ago, namesListed } from '../../platform/wording/figures.js';
import { mediaFormatWords } from '../../platform/wording/media.js';
import { obstacleWords, wordsOfVerdict } from '../../platform/wording/verdicts.js';
import { CheckDetails } from './check-details.js';
import { EarlierChecks } from './earlier-checks.js';
import { StudentLink } from './student-link.js';
import { WithStudentView } from './student-view.js';
import { TryYourself } from './try-yourself.js';
import { t } from '../words.js';

/** Does it open for a student? What is wrong is first, with the simplest step that opens it. */
export function OpensPart({
  page,
  toScan,
  onOpen,
}: {
  /** Its code, small, for whoever tries it. */
  readonly toScan: ReactNode;
  readonly page: MaterialPage;
  readonly onOpen: () => void;
}): ReactElement {
  const { readiness, check, material } = page;
  const { opens } = readiness;
  const done = check?.state === 'done' ? check : null;
  const title = titleOf(opens, done);
  return (
    <div aria-live="polite">
      <FoldingPanel
        id="opens"
        name={t('opensPart.howItOpens')}
        calm={opens.state === 'done' && !isDoubted(page)}
        mark={<StateMark mark={opens.state} words={t('opensPart.opens', { title })} />}
        title={title}
        aside={asideOf(opens, done !== null)}
        action={
          !opens.inTheCode && (
            <Button onClick={onOpen} disabled={opens.opening}>
              {done ? t('opensPart.checkAgain') : t('opensPart.checkAsAStudent')}
            </Button>
          )
        }
      >
        <InTheWay opens={opens} />
        {!opens.inTheCode && <StudentLink page={page} />}
        {done && <WhatWasFound page={page} check={done} toScan={toScan} />}
        {material.repairs.length > 0 && <Repaired page={page} />}
      </FoldingPanel>
    </div>
  );
}

function WhatWasFound({
  page,
  check,
  toScan,
}: {
  readonly page: MaterialPage;
  readonly check: AccessCheckView;
  readonly toScan: ReactNode;
}): ReactElement {
  const { material, readiness } = page;
  return (
    <>
      <WithStudentView check={check}>
        <CheckDetails check={check} />
      </WithStudentView>
      {check.verdict && (
        <TryYourself
          page={page}
          toScan={toScan}
          asked={mayBeAnswered(check.verdict) && readiness.opens.obstacle === null}
        />
      )}
      <EarlierChecks materialId={material.id} />
    </>
  );
}

/** It opens, and still there is something for a person to judge. */
function isDoubted({ check, material: { at } }: MaterialPage): boolean {
  return (check?.doubts.length ?? 0) > 0 || (at !== null && at.role !== null && at.role !== 'student');
}

function titleOf(opens: ReadinessView['opens'], done: AccessCheckView | null): string {
  const { inTheCode, obstacle, viewing, opening, answer } = opens;
  if (inTheCode) return t('opensPart.opensForEveryone');
  if (obstacle) return obstacleWords[obstacle].heading;
  if (answer) return answer.opens ? t('opensPart.opensTriedByAPerson') : t('opensPart.doesntOpenTriedByA');
  if (viewing) return t('opensPart.checkingInABrowser');
  return verdictTitle(opens, done) ?? (opening ? t('opensPart.checkingAsAStudent') : t('opensPart.notCheckedYet'));
}

/** Null before the first check. */
function verdictTitle({ verdict, unplayed }: ReadinessView['opens'], done: AccessCheckView | null): string | null {
  if (verdict === null) return null;
  if (verdict === 'open' && unplayed) return t('opensPart.someDevicesCantPlayIt');
  return wordsOfVerdict(verdict, done?.reasons[0]?.reason ?? null).heading;
}

function asideOf(
  { inTheCode, opening, checkedAt, stale, answer }: ReadinessView['opens'],
  openedBefore: boolean,
): string {
  if (inTheCode) return t('opensPart.theWordsAreInThe');
  if (opening) return openedBefore ? t('opensPart.checkingAgain') : '';
  if (answer) return t(stale ? 'opensPart.tooLongAgoToRely' : 'opensPart.text', { by: answer.by, ago: ago(answer.at) });
  if (!checkedAt) return '';
  return stale
    ? t('opensPart.checkedTooLongAgoTo', { ago: ago(checkedAt) })
    : t('opensPart.checked', { ago: ago(checkedAt) });
}

/** What keeps students out although the material itself is fine, and what to do. */
function InTheWay({ opens: { obstacle, unplayed } }: { readonly opens: ReadinessView['opens'] }): ReactElement {
  return (
    <>
      {obstacle && <p className="m-0 text-body">{obstacleWords[obstacle].remedy}</p>}
      {unplayed && (
        <p className="m-0 text-body">
          {t('opensPart.cantPlaySaveItAs', {
            devices: unplayed.by.length === 0 ? t('opensPart.manyPhones') : namesListed(unplayed.by),
            formats: namesListed(unplayed.formats.map((format) => mediaFormatWords[format])),
          })}
        </p>
      )}
    </>
  );
}

function Repaired({ page: { material } }: { readonly page: MaterialPage }): ReactElement {
  const change = useChangeMaterial(material.id);
  return (
    <p className="mt-2 mb-0 flex flex-wrap items-center gap-x-3 border-t border-line pt-2 text-small text-muted">
      <span className="min-w-0">
        {t('opensPart.correctedWhenPasted')} <RepairList repairs={material.repairs} />
      </span>
      {isWebAddress(material.pasted) && (
        <TextButton
          className=""
          disabled={change.isPending}
          onClick={() => change.mutate({ version: material.version, link: material.pasted })}
        >
          {t('opensPart.useThePastedText')}
        </TextButton>
      )}
    </p>
  );
}
