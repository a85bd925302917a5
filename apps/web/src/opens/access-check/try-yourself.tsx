/** The way on where the check can't tell: a person tries it as a student would, and says what happened. */
import { routes, type MaterialPage } from '@hapset/contract';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { call } from '../../platform/api/client.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';
import { Button, TextButton } from '../../platform/design/button.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { dayAndTime } from '../../platform/wording/figures.js';
import { T } from '../elements.js';
import { t } from '../words.js';

/** @param toScan its code, small @param asked whether a person's answer is needed; otherwise it is offered quietly */
export function TryYourself({
  page,
  asked,
  toScan,
}: {
  readonly page: MaterialPage;
  readonly asked: boolean;
  readonly toScan: ReactNode;
}): ReactElement | null {
  const { answer, state } = page.readiness.opens;
  const sending = useAnswer(page.material.id);
  if (answer)
    return (
      <p className="mt-2 mb-0 flex flex-wrap items-center gap-x-3 border-t border-line pt-2 text-body">
        <span>
          <strong>{answer.by}</strong>{' '}
          {answer.opens
            ? t('tryYourself.triedItOnItOpens', { time: dayAndTime(answer.at) })
            : t('tryYourself.triedItOnItDoesnt', { time: dayAndTime(answer.at) })}
        </span>
        <TextButton disabled={sending.pending} onClick={sending.withdraw}>
          {t('tryYourself.removeThisAnswer')}
        </TextButton>
      </p>
    );
  // What is known to stop students needs nobody to confirm it.
  if (!asked && state === 'stop') return null;
  if (asked) return <Ask page={page} toScan={toScan} sending={sending} />;
  return (
    <p className="mt-2 mb-0 text-small text-muted">
      {t('tryYourself.didItFailOnA')}{' '}
      <TextButton disabled={sending.pending} onClick={() => sending.answer(false)}>
        {t('tryYourself.itDoesntOpen')}
      </TextButton>
    </p>
  );
}

function Ask({
  page: { material, readiness },
  toScan,
  sending,
}: {
  readonly toScan: ReactNode;
  readonly page: MaterialPage;
  readonly sending: ReturnType<typeof useAnswer>;
}): ReactElement {
  const address = material.link ?? material.pageAddress ?? '';
  const before = readiness.opens.answerBefore;
  return (
    <div className="mt-2 flex flex-wrap items-start gap-x-5 gap-y-2 border-t border-line pt-3">
      {toScan}
      <div className="min-w-52 flex-1">
        <h3 className="m-0 text-group">{t('tryYourself.checkItYourself')}</h3>
        {before && (
          <p className="mt-1 mb-0 text-body">
            {before.opens
              ? t('tryYourself.thePageHasChangedSince', { by: before.by, time: dayAndTime(before.at) })
              : t('tryYourself.thePageHasChangedSince2', { by: before.by, time: dayAndTime(before.at) })}
          </p>
        )}
        <p className="mt-1 mb-0 text-body">
          <T
            k="tryYourself.scanTheCodeWithA"
            components={[
              <a
                key="2"
                className="font-semibold break-all text-ink"
                href={address}
                target="_blank"
                rel="noreferrer"
              />,
            ]}
          />
        </p>
        <p className="mt-2 mb-0 flex flex-wrap gap-2">
          <Button disabled={sending.pending} onClick={() => sending.answer(true)}>
            {t('tryYourself.itOpens')}
          </Button>
          <Button disabled={sending.pending} onClick={() => sending.answer(false)}>
            {t('tryYourself.itDoesntOpen2')}
          </Button>
        </p>
      </div>
    </div>
  );
}

function useAnswer(materialId: string): {
  readonly answer: (opens: boolean) => void;
  readonly withdraw: () => void;
  readonly pending: boolean;
} {
  const changed = useMaterialsChanged();
  const sendChange = useSendChange();
  const params = { materialId };
  const answering = useMutation({
    mutationFn: (opens: boolean) => call(routes.answerOpens, { params, body: { opens } }),
    onSettled: changed,
  });
  const withdrawing = useMutation({
    mutationFn: () => call(routes.withdrawAnswer, { params }),
    onSettled: changed,
  });
  return {
    answer: (opens) => sendChange(answering, opens),
    withdraw: () => sendChange(withdrawing, undefined),
    pending: answering.isPending || withdrawing.isPending,
  };
}
