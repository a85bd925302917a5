/** What one opening showed: why it is judged so, the steps that open it, what students would see. */
import { fillPath, routes, type AccessCheckView } from '@hapset/contract';
import { isUnproven, mayBeAnswered } from '@hapset/core';
import type { ReactElement } from 'react';
import { buttonClass } from '../../platform/design/button.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { doubtSentence, reasonSentence, rightsSentence, verdictWords } from '../../platform/wording/verdicts.js';
import { WithBold } from './with-bold.js';
import { t } from '../words.js';

const reasonsShown = 3;

/** Why, what to do, and what was seen. */
export function CheckDetails({ check }: { readonly check: AccessCheckView }): ReactElement {
  const { verdict, reasons } = check;
  // Said as what stops it already, with what to do.
  const doubts = check.doubts.filter(({ reason }) => reason !== 'address-loopback');
  // Locked items have a list of their own below.
  const told = reasons.filter(({ reason }) => reason !== 'holds-locked');
  return (
    <>
      {verdict !== 'open' &&
        told.slice(0, reasonsShown).map(({ reason, detail }) => (
          <p key={`${reason} ${detail}`} className="m-0 text-body">
            {reasonSentence(reason, detail)}
          </p>
        ))}
      <NotAsSeen check={check} />
      <Steps check={check} />
      <Locked check={check} />
      {check.notAsSeen === null && <Seen check={check} />}
      {check.inside && check.inside.opened > 0 && (
        <p className="mt-1.5 mb-0 text-row text-muted">
          {t(check.inside.left > 0 ? 'checkDetails.itemsInItWereOpened2' : 'checkDetails.itemsInItWereOpened', {
            count: check.inside.opened,
            left: check.inside.left,
          })}
        </p>
      )}
      {doubts.map(({ reason, detail }) => (
        <p key={`${reason} ${detail}`} className="mt-1.5 mb-0 flex items-start gap-2 text-body">
          <StateMark mark="look-at" words={t('checkDetails.pleaseCheck')} />
          {doubtSentence(reason, detail)}
        </p>
      ))}
      {check.hops.length > 0 && <Hops check={check} />}
    </>
  );
}

/** What the teacher saw there when it was added, beside what students get. */
function NotAsSeen({ check: { notAsSeen } }: { readonly check: AccessCheckView }): ReactElement | null {
  if (!notAsSeen) return null;
  return (
    <dl className="mt-2 mb-0 grid gap-x-4 gap-y-2 text-row sm:grid-cols-2">
      {(
        [
          [t('checkDetails.youSaw'), notAsSeen.saw],
          [t('checkDetails.studentsGet'), notAsSeen.got],
        ] as const
      ).map(([who, words]) => (
        <div key={who} className="min-w-0 border-l-[3px] border-line-strong pl-3">
          <dt className="font-semibold">{who}</dt>
          <dd className="m-0 line-clamp-4 text-muted">{words}</dd>
        </div>
      ))}
    </dl>
  );
}

/** What opens it; general advice only where nobody is asked to try it, which says the same better. */
function Steps({ check: { remedy, verdict } }: { readonly check: AccessCheckView }): ReactElement | null {
  const isForPerson = verdict !== null && mayBeAnswered(verdict);
  if (!remedy || remedy.steps.length === 0 || (isForPerson && !remedy.known)) return null;
  return (
    <div className="mt-1.5 flex flex-wrap items-end gap-x-6 gap-y-2">
      <ol className="m-0 min-w-64 flex-1 list-decimal pl-5 text-field leading-relaxed">
        {remedy.steps.map((step) => (
          <li key={step}>
            <WithBold step={step} />
          </li>
        ))}
      </ol>
      {remedy.ownerPage && (
        <a className={buttonClass()} href={remedy.ownerPage} target="_blank" rel="noreferrer">
          {t('checkDetails.goThereIn', { service: remedy.service ?? '' })}
        </a>
      )}
    </div>
  );
}

/** What in it does not open, each with its own way there. */
function Locked({ check: { inside } }: { readonly check: AccessCheckView }): ReactElement | null {
  if (!inside || inside.locked.length === 0) return null;
  return (
    <ul aria-label={t('checkDetails.whatDoesNotOpenInside')} className="mt-1.5 mb-0 list-none p-0 text-row">
      {inside.locked.map(({ address, name, verdict }) => (
        <li key={address} className="flex flex-wrap items-center gap-x-2 py-0.5">
          <StateMark mark="stop" words={verdictWords[verdict].short} />
          <a
            href={address}
            target="_blank"
            rel="noreferrer"
            className="font-semibold text-ink underline underline-offset-2"
          >
            {name}
          </a>
          <span className="text-muted">{verdictWords[verdict].short.toLowerCase()}</span>
        </li>
      ))}
    </ul>
  );
}

/** What a student would see there, and could do; also where it is for a person to judge whether that is the material. */
function Seen({ check }: { readonly check: AccessCheckView }): ReactElement | null {
  const { rights, reasons, title, firstLines, hasPicture, id } = check;
  if (rights === null && !isUnproven(reasons)) return null;
  const [proof] = reasons;
  return (
    <div className="mt-1.5 flex gap-3 border-l-[3px] border-line-strong pl-3 text-row">
      {hasPicture && (
        <img
          src={fillPath(routes.checkPicture.path, { accessCheckId: id })}
          alt=""
          className="h-[70px] w-28 shrink-0 rounded-fine object-cover"
        />
      )}
      <div className="min-w-0">
        <p className="m-0 font-semibold">
          {title ??
            (check.contentType?.startsWith('text/html')
              ? t('checkDetails.aPageWithoutATitle')
              : (check.contentType ?? ''))}
        </p>
        <p className="m-0 line-clamp-2 text-muted">{firstLines.filter((line) => line !== title).join(' · ')}</p>
        {rights && <p className="m-0">{rightsSentence(rights)}</p>}
        {check.verdict === 'open' && proof && proof.reason !== 'opened' && (
          <p className="m-0 text-note text-muted">{reasonSentence(proof.reason, proof.detail)}</p>
        )}
      </div>
    </div>
  );
}

/** Every request on the way, for those who want to know. */
function Hops({ check }: { readonly check: AccessCheckView }): ReactElement {
  return (
    <details className="mt-2 text-small text-muted">
      <summary className="w-fit cursor-pointer py-1">{t('checkDetails.stepsOfTheCheck')}</summary>
      <ol className="m-0 list-decimal pl-5 font-mono text-fine leading-relaxed">
        {check.hops.map((hop, index) => (
          <li key={index} className="break-all">
            {hop.address}{' '}
            <span className="whitespace-nowrap">
              {hop.status === null
                ? t('checkDetails.noAnswerMs', { elapsedMs: hop.elapsedMs })
                : t('checkDetails.answeredMs', { status: hop.status, elapsedMs: hop.elapsedMs })}
            </span>
          </li>
        ))}
      </ol>
      {check.ownShorteners.length > 0 && (
        <p className="mt-1 mb-0">
          {t('checkDetails.theSchoolsOwnShortLinks', { hosts: check.ownShorteners.join(', ') })}
        </p>
      )}
      <p className="mt-1 mb-0">{t('checkDetails.checkedFromTheSchoolsServer')}</p>
    </details>
  );
}
