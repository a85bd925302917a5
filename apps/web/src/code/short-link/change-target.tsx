import { limits, type MaterialPage } from '@hapset/contract';
import { letsIn, readLink, type AccessVerdict } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { CheckField, TextArea } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { reasonSentence, wordsOfVerdict } from '../../platform/wording/verdicts.js';
import { useTryLink } from './short-link.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

/** A new target for what is on paper already: opened as a student first, then taken, with a way back. */
export function ChangeTarget({
  page: { material },
  onClose,
}: {
  readonly page: MaterialPage;
  readonly onClose: () => void;
}): ReactElement {
  const { text, setText, link, check, opened, pageTitle } = useNewTarget();
  const [rename, setRename] = useState(false);
  const { change, point } = usePoint(
    material,
    { link, ...(rename && pageTitle !== '' && { title: pageTitle }) },
    onClose,
  );
  const before = material.link;
  const verdict = opened?.verdict ?? null;
  return (
    <Dialog title={t('changeTarget.changeTarget')} about={t('changeTarget.printedCodesThenLeadTo')} onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (link !== '') check.mutate(link);
        }}
      >
        <LeadsTo address={before} />
        <TextArea
          label={t('changeTarget.newTarget')}
          rows={2}
          maxLength={limits.linkLength}
          value={text}
          onChange={(event) => setText(event.target.value)}
          autoFocus
        />
        <WhatOpened check={check} verdict={verdict} />
        <RenameToo before={material.title} after={pageTitle} checked={rename} onChange={setRename} />
        {change.isError && <Alert words={wordsFor(change.error)} />}
        <div className="flex flex-wrap justify-end gap-2">
          <Button onClick={onClose}>{t('changeTarget.cancel')}</Button>
          {verdict === null ? (
            <Button type="submit" tone="main" disabled={link === '' || link === before || check.isPending}>
              {t('changeTarget.checkItAsAStudent')}
            </Button>
          ) : (
            <Button tone="main" onClick={point} disabled={change.isPending}>
              {letsIn(verdict) ? t('changeTarget.saveTarget') : t('changeTarget.saveTargetAnyway')}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}

/** What was typed, the link in it, and what opened there as a student; null until that is known. */
function useNewTarget() {
  const [text, setText] = useState('');
  const check = useTryLink();
  const link = readLink(text)?.link ?? '';
  const opened = check.data?.link === link ? check.data : null;
  const pageTitle = opened?.evidence?.title?.slice(0, limits.titleLength) ?? '';
  return { text, setText, link, check, opened, pageTitle };
}

/** Nothing where both have one name. */
function RenameToo({
  before,
  after,
  checked,
  onChange,
}: {
  readonly before: string;
  readonly after: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}): ReactElement | null {
  if (after === '' || after === before) return null;
  return (
    <CheckField
      label={t('changeTarget.callItToo', { after })}
      hint={t('changeTarget.printedSheetsSay', { before })}
      checked={checked}
      onChange={(event) => onChange(event.target.checked)}
    />
  );
}

/** Points it there, with a way back. */
function usePoint(
  { id, version, link: linkBefore, title: titleBefore }: MaterialPage['material'],
  wanted: { readonly link: string; readonly title?: string },
  onDone: () => void,
): { readonly change: ReturnType<typeof useChangeMaterial>; readonly point: () => void } {
  const change = useChangeMaterial(id);
  const notice = useNotice();
  const sendChange = useSendChange();
  const point = (): void =>
    sendChange(
      change,
      { version, ...wanted },
      {
        onSuccess: (changed) => {
          notice({
            words: t('changeTarget.theShortLinkLeadsThere'),
            ...(linkBefore !== null && {
              undo: () =>
                sendChange(change, {
                  version: changed.version,
                  link: linkBefore,
                  ...(wanted.title !== undefined && { title: titleBefore }),
                }),
            }),
          });
          onDone();
        },
        onError: null,
      },
    );
  return { change, point };
}

function LeadsTo({ address }: { readonly address: string | null }): ReactElement {
  return (
    <p className="m-0 text-row">
      <span className="block text-muted">{t('changeTarget.currentTarget')}</span>
      <span className="font-mono text-small break-all">{address}</span>
    </p>
  );
}

/** What the new target showed, as a student. */
function WhatOpened({
  check,
  verdict,
}: {
  readonly check: ReturnType<typeof useTryLink>;
  readonly verdict: AccessVerdict | null;
}): ReactElement | null {
  const { isPending, isError, error, data } = check;
  if (isPending)
    return (
      <p role="status" className="m-0 text-body text-muted">
        {t('changeTarget.checkingAsAStudent')}
      </p>
    );
  if (isError) return <Alert words={wordsFor(error)} />;
  if (data === null) return <Alert words={t('changeTarget.theCheckTookLongerThan')} />;
  if (verdict === null || !data) return null;
  const [reason] = data.reasons;
  const words = wordsOfVerdict(verdict, reason?.reason ?? null);
  return (
    <div role="status" className="text-body">
      <p className="m-0 flex items-center gap-2 font-semibold">
        <StateMark mark={markOf(verdict)} words={words.short} /> {words.heading}
      </p>
      {data.evidence?.title && <p className="m-0 mt-1">{data.evidence.title}</p>}
      {verdict !== 'open' && reason && (
        <p className="m-0 mt-1 text-muted">{reasonSentence(reason.reason, reason.detail)}</p>
      )}
    </div>
  );
}

function markOf(verdict: AccessVerdict): Mark {
  if (verdict === 'open') return 'done';
  return letsIn(verdict) ? 'look-at' : 'stop';
}
