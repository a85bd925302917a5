import { fillPath, routes, type AccessCheckView, type MaterialPage, type ReadinessView } from '@hapset/contract';
import { isWebAddress } from '@hapset/core';
import type { ReactElement, ReactNode } from 'react';
import { Button, buttonClass, TextButton } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { RepairList } from '../../gather/material/repair-list.js';
import { ago, plural } from '../../platform/wording/figures.js';
import { EarlierChecks } from './earlier-checks.js';
import { roleSentences } from '../../platform/wording/services.js';
import { doubtSentence, reasonSentence, rightsSentence, verdictWords } from '../../platform/wording/verdicts.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';

/** Does it open for a student? What is wrong stands first, with the steps that mend it. */
export function OpensPart({
  page,
  onOpen,
}: {
  readonly page: MaterialPage;
  readonly onOpen: () => void;
}): ReactElement {
  const { readiness, check, material } = page;
  const { opens } = readiness;
  if (opens.inTheCode) return <InTheCode />;
  const done = check?.state === 'done' ? check : null;
  const title = titleOf(done, opens.opening);
  return (
    <div id="opens" aria-live="polite">
      <Panel
        mark={<StateMark mark={opens.state} words={`Opens: ${title}`} />}
        title={title}
        aside={asideOf(opens, done !== null)}
        action={
          <Button onClick={onOpen} disabled={opens.opening}>
            {done ? 'Open again' : 'Open as a student'}
          </Button>
        }
      >
        {opens.closed && (
          <p className="m-0 text-body">
            Its short link does not lead on then. Change its opening hours under Short link.
          </p>
        )}
        {done && <CheckDetails check={done} />}
        {done && <EarlierChecks materialId={material.id} />}
        <ForOthers page={page} />
        {material.repairs.length > 0 && <Repaired page={page} />}
      </Panel>
    </div>
  );
}

function InTheCode(): ReactElement {
  return (
    <div id="opens">
      <Panel
        mark={<StateMark mark="done" words="Opens: done" />}
        title="Opens for anyone"
        aside="the words are in the code; no network, no account"
      />
    </div>
  );
}

function titleOf(done: AccessCheckView | null, opening: boolean): string {
  if (done?.verdict) return verdictWords[done.verdict].heading;
  return opening ? 'Opening it as a student…' : 'Not opened yet';
}

function asideOf({ opening, checkedAt, stale }: ReadinessView['opens'], openedBefore: boolean): string {
  if (opening) return openedBefore ? 'opening again…' : '';
  if (!checkedAt) return '';
  return `opened as a student ${ago(checkedAt)}${stale ? ', too long ago to rely on' : ''}`;
}

const reasonsShown = 3;

function CheckDetails({ check }: { readonly check: AccessCheckView }): ReactElement {
  const { mending, verdict, reasons } = check;
  // Locked items stand in a list of their own.
  const told = reasons.filter(({ reason }) => reason !== 'holds-locked');
  return (
    <>
      {verdict !== 'open' &&
        told.slice(0, reasonsShown).map(({ reason, detail }) => (
          <p key={`${reason} ${detail}`} className="m-0 text-body">
            {reasonSentence(reason, detail)}
          </p>
        ))}
      {mending && mending.steps.length > 0 && (
        <div className="mt-1.5 flex flex-wrap items-end gap-x-6 gap-y-2">
          <ol className="m-0 min-w-64 flex-1 list-decimal pl-5 text-field leading-relaxed">
            {mending.steps.map((step) => (
              <li key={step}>{withBold(step)}</li>
            ))}
          </ol>
          {mending.ownerPage && (
            <a className={buttonClass()} href={mending.ownerPage} target="_blank" rel="noreferrer">
              Go there in {mending.service}
            </a>
          )}
        </div>
      )}
      <Locked check={check} />
      <Seen check={check} />
      {check.inside && check.inside.opened > 0 && (
        <p className="mt-1.5 mb-0 text-row text-muted">
          {plural(check.inside.opened, 'thing')} in it {check.inside.opened === 1 ? 'was' : 'were'} opened as well
          {check.inside.left > 0 && `, ${check.inside.left} more were too many to open`}.
        </p>
      )}
      {check.doubts.map(({ reason, detail }) => (
        <p key={`${reason} ${detail}`} className="mt-1.5 mb-0 flex items-start gap-2 text-body">
          <StateMark mark="look-at" words="A doubt" />
          {doubtSentence(reason, detail)}
        </p>
      ))}
      <Hops check={check} />
    </>
  );
}

/** What in it does not open, each with its own way there. */
function Locked({ check: { inside } }: { readonly check: AccessCheckView }): ReactElement | null {
  if (!inside || inside.locked.length === 0) return null;
  return (
    <ul aria-label="What does not open in it" className="mt-1.5 mb-0 list-none p-0 text-row">
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

/** What a student would see there, and could do. */
function Seen({ check }: { readonly check: AccessCheckView }): ReactElement | null {
  const { rights, title, firstLines, hasPicture, id } = check;
  if (rights === null) return null;
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
          {title ?? (check.contentType?.startsWith('text/html') ? 'A page without a title' : (check.contentType ?? ''))}
        </p>
        <p className="m-0 line-clamp-2 text-muted">{firstLines.filter((line) => line !== title).join(' · ')}</p>
        <p className="m-0">{rightsSentence(rights)}</p>
      </div>
    </div>
  );
}

/** The link is known as a page of its editor's, or another that no student should get: says so, and offers the student's. */
function ForOthers({ page: { material } }: { readonly page: MaterialPage }): ReactElement | null {
  const { at, link, version } = material;
  const change = useChangeMaterial(material.id);
  const notice = useNotice();
  const sendChange = useSendChange();
  if (!at || at.role === null || at.role === 'student' || link === null) return null;
  const { studentLink } = at;
  const take = (): void => {
    if (studentLink === null) return;
    sendChange(
      change,
      { version, link: studentLink },
      {
        onSuccess: (changed) =>
          notice({
            words: 'The code carries the student’s link now.',
            undo: () => sendChange(change, { version: changed.version, link }),
          }),
      },
    );
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line pt-2 text-body">
      <StateMark mark="look-at" words="To be looked at" />
      <p className="m-0 min-w-52 flex-1">
        {roleSentences[at.role]}
        {studentLink !== null && <span className="block font-mono text-note break-all text-muted">{studentLink}</span>}
      </p>
      {studentLink !== null && (
        <Button onClick={take} disabled={change.isPending}>
          Use the student’s link
        </Button>
      )}
      {studentLink === null && at.steps.length > 0 && (
        <ol className="m-0 w-full list-decimal pl-5">
          {at.steps.map((step) => (
            <li key={step}>{withBold(step)}</li>
          ))}
        </ol>
      )}
    </div>
  );
}

/** Every request on the way, for those who want to know. */
function Hops({ check }: { readonly check: AccessCheckView }): ReactElement {
  return (
    <details className="mt-2 text-small text-muted">
      <summary className="w-fit cursor-pointer py-1">What happened on the way</summary>
      <ol className="m-0 list-decimal pl-5 font-mono text-fine leading-relaxed">
        {check.hops.map((hop, index) => (
          <li key={index} className="break-all">
            {hop.address}{' '}
            <span className="whitespace-nowrap">
              ({hop.status === null ? 'no answer' : `answered ${hop.status}`}, {hop.elapsedMs} ms)
            </span>
          </li>
        ))}
      </ol>
      {check.ownShorteners.length > 0 && (
        <p className="mt-1 mb-0">{check.ownShorteners.join(', ')}: the school’s own short links, nobody strange.</p>
      )}
      <p className="mt-1 mb-0">Opened from the school’s server; tablets may be on another network.</p>
    </details>
  );
}

function Repaired({ page: { material } }: { readonly page: MaterialPage }): ReactElement {
  const change = useChangeMaterial(material.id);
  return (
    <p className="mt-2 mb-0 flex flex-wrap items-center gap-x-3 border-t border-line pt-2 text-small text-muted">
      <span className="min-w-0">
        Corrected when pasted: <RepairList repairs={material.repairs} />
      </span>
      {isWebAddress(material.pasted) && (
        <TextButton
          className=""
          disabled={change.isPending}
          onClick={() => change.mutate({ version: material.version, link: material.pasted })}
        >
          Use it as pasted
        </TextButton>
      )}
    </p>
  );
}

/** `**words**` of a step are what stands on the service's page. */
function withBold(step: string): ReactNode {
  return step.split('**').map((part, index) => (index % 2 === 1 ? <strong key={index}>{part}</strong> : part));
}
