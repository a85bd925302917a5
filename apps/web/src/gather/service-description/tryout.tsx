import { limits, routes, type ServiceTryoutView } from '@hapset/contract';
import { opensState, type AccessVerdict, type ServiceDescription } from '@hapset/core';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactElement, type ReactNode } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { TextField } from '../../platform/design/field.js';
import { Panel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { roleWords, withoutStars } from '../../platform/wording/services.js';
import { reasonSentence, wordsOfVerdict } from '../../platform/wording/verdicts.js';
import { t } from '../words.js';

interface Props {
  /** As it is in the form now. */
  readonly description: () => ServiceDescription;
  readonly onProblems: (error: unknown) => void;
}

/** Tries the description on a link before it is kept: what it says of the address, and what a student would meet. */
export function Tryout({ description, onProblems }: Props): ReactElement {
  const [link, setLink] = useState('');
  const attempt = useMutation({
    mutationFn: () => call(routes.tryService, { body: { description: description(), link: link.trim() } }),
    onError: onProblems,
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    attempt.mutate();
  };
  return (
    <div className="lg:sticky lg:top-4">
      <Panel title={t('tryout.tryItOut')}>
        <p className="mt-0 mb-3 text-row text-muted">{t('tryout.testThisDescriptionOnA')}</p>
        <form onSubmit={submit} className="flex flex-col gap-3">
          <TextField
            label={t('tryout.link')}
            value={link}
            maxLength={limits.linkLength}
            onChange={(event) => setLink(event.target.value)}
          />
          <Button type="submit" disabled={link.trim() === '' || attempt.isPending}>
            {attempt.isPending ? t('tryout.checkingAsAStudent') : t('tryout.tryIt')}
          </Button>
        </form>
        <div aria-live="polite">
          {attempt.isError && <p className="mt-3 mb-0 text-row font-semibold text-stop">{wordsFor(attempt.error)}</p>}
          {attempt.data && <Outcome tryout={attempt.data} />}
        </div>
      </Panel>
    </div>
  );
}

function Outcome({ tryout }: { readonly tryout: ServiceTryoutView }): ReactElement {
  const { belongs, role, kind, studentLink, tracking, verdict, reasons, title, steps } = tryout;
  const part = !belongs
    ? t('tryout.theHostIsNotIn')
    : role === null
      ? t('tryout.theHostIsKnownBut')
      : t('tryout.text', { kind: kindWords[kind], role: roleWords[role] });
  return (
    <dl className="m-0 mt-4 flex flex-col gap-2.5 border-t border-line pt-3 text-body">
      <Answer name={t('tryout.theAddress')} mark={role === 'student' ? 'done' : 'look-at'}>
        {part}
      </Answer>
      {studentLink !== null && (
        <Answer name={t('tryout.theStudentsLink')} mark="done">
          <span className="font-mono text-note break-all">{studentLink}</span>
        </Answer>
      )}
      {tracking.length > 0 && (
        <Answer name={t('tryout.trackingParameters')} mark="done">
          <span className="font-mono text-note break-all">{tracking.join(', ')}</span>
        </Answer>
      )}
      <Answer name={t('tryout.forAStudent')} mark={opensMark(verdict)}>
        {wordsOfVerdict(verdict, reasons[0]?.reason ?? null).heading}
        {title !== null && <span className="block text-small text-muted">{title}</span>}
        {verdict !== 'open' &&
          reasons.map(({ reason, detail }) => (
            <span key={`${reason} ${detail}`} className="block text-small text-muted">
              {reasonSentence(reason, detail)}
            </span>
          ))}
      </Answer>
      {steps.length > 0 && (
        <Answer name={t('tryout.steps')} mark="done">
          {steps.map(withoutStars).join(' ')}
        </Answer>
      )}
    </dl>
  );
}

/** For a class without accounts. */
function opensMark(verdict: AccessVerdict): 'done' | 'look-at' | 'stop' {
  const state = opensState(verdict, 'none');
  return state === 'not-yet' ? 'look-at' : state;
}

const markWords = { done: t('tryout.oK'), 'look-at': t('tryout.needsAttention'), stop: t('tryout.stops') } as const;

function Answer({
  name,
  mark,
  children,
}: {
  readonly name: string;
  readonly mark: 'done' | 'look-at' | 'stop';
  readonly children: ReactNode;
}): ReactElement {
  return (
    <div className="flex gap-2.5">
      <StateMark mark={mark} words={markWords[mark]} />
      <div className="min-w-0">
        <dt className="text-small text-muted">{name}</dt>
        <dd className="m-0">{children}</dd>
      </div>
    </div>
  );
}
