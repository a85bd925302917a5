/** Follows a link as a student would, hop by hop, when somebody asks for it. */
import { routes, type LinkCheckView } from '@hapset/contract';
import { hostNameOf, opensState, saidBy } from '@hapset/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useSession } from '../../school/account/session.queries.js';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { doubtSentence, reasonSentence, wordsOfVerdict } from '../../platform/wording/verdicts.js';
import { namesListed } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { AdoptCode } from './adopt-code.js';
import { t } from '../words.js';

const askedAgainMs = 400;

export function FollowLink({ link }: { readonly link: string }): ReactElement {
  const staff = useSession() !== undefined;
  const ask = useMutation({
    mutationFn: () => call(staff ? routes.askLinkCheck : routes.askVisitorInspection, { body: { link } }),
  });
  const id = ask.data?.id ?? null;
  const check = useQuery({
    queryKey: ['link-checks', id],
    enabled: id !== null,
    queryFn: ({ signal }): Promise<LinkCheckView> =>
      staff
        ? call(routes.linkCheck, { params: { linkCheckId: id ?? '' }, signal })
        : call(routes.visitorInspection, { params: { visitorInspectionId: id ?? '' }, signal }),
    refetchInterval: (query) =>
      query.state.data?.state === 'done' || query.state.data?.state === 'stopped' ? false : askedAgainMs,
  });
  const done = check.data?.state === 'done' ? check.data : null;
  const error = ask.error ?? check.error;
  return (
    <div className="mt-2.5" aria-live="polite">
      {!done && (
        <Button disabled={ask.isPending || id !== null} onClick={() => ask.mutate()}>
          {id === null ? t('followLink.followItAsAStudent') : t('followLink.followingIt')}
        </Button>
      )}
      {error && <p className="mt-2 mb-0 text-row font-semibold text-stop">{wordsFor(error)}</p>}
      {done && <Way check={done} mayAdopt={staff} />}
    </div>
  );
}

function Way({
  check: { link, verdict, reasons, doubts, evidence },
  mayAdopt,
}: {
  readonly check: LinkCheckView;
  readonly mayAdopt: boolean;
}): ReactElement {
  const strangers = doubts.filter(({ reason }) => reason === 'stranger-between').map(({ detail }) => detail);
  const target = evidence?.finalAddress ?? null;
  return (
    <div className="rounded-small border border-line px-3.5 py-3 text-body">
      <Verdict verdict={verdict} reasons={reasons} doubts={doubts} />
      <ol
        aria-label={t('followLink.theWay')}
        className="m-0 mt-2 list-decimal pl-5 font-mono text-note leading-relaxed break-all"
      >
        {(evidence?.hops ?? []).map(({ address, status }, index) => (
          <li key={index}>
            {address} <span className="text-muted">{status ?? ''}</span>
          </li>
        ))}
      </ol>
      {evidence?.title && (
        <p className="mt-2 mb-0 text-muted">{t('followLink.titleThere', { title: evidence.title })}</p>
      )}
      <p className="mt-2 mb-0">
        <strong>{t('followLink.worksAsLongAs')}</strong> {dependsOn(link, strangers, target)}
      </p>
      {mayAdopt && strangers.length > 0 && target !== null && (
        <p className="mt-2 mb-0 flex flex-wrap items-center gap-3">
          <span className="flex-1 basis-64">{t('followLink.makeYourOwnCodeWith')}</span>
          <AdoptCode text={link} said={saidBy(link)} link={target} words={t('followLink.putItsTargetOnThe')} />
        </p>
      )}
    </div>
  );
}

function Verdict({ verdict, reasons, doubts }: Pick<LinkCheckView, 'verdict' | 'reasons' | 'doubts'>): ReactElement {
  const words =
    verdict === null
      ? { short: t('followLink.notKnown'), heading: t('followLink.thisCouldNotBeFound') }
      : wordsOfVerdict(verdict, reasons[0]?.reason ?? null);
  return (
    <>
      <p className="m-0 flex items-center gap-2.5 font-semibold">
        <StateMark mark={opensState(verdict, 'none')} words={words.short} />
        {words.heading}
      </p>
      {verdict !== 'open' &&
        reasons.slice(0, 2).map(({ reason, detail }) => (
          <p key={reason} className="m-0 mt-1">
            {reasonSentence(reason, detail)}
          </p>
        ))}
      {doubts.map(({ reason, detail }) => (
        <p key={`${reason} ${detail}`} className="m-0 mt-1 flex items-start gap-2">
          <StateMark mark="look-at" words={t('followLink.pleaseCheck')} />
          {doubtSentence(reason, detail)}
        </p>
      ))}
    </>
  );
}

function dependsOn(link: string, strangers: readonly string[], target: string | null): string {
  const host = hostNameOf(target ?? link) ?? link;
  return strangers.length === 0
    ? t('followLink.thePageStaysAt', { host })
    : t('followLink.keepSendingVisitorsOnAnd', { count: strangers.length, between: namesListed(strangers), host });
}
