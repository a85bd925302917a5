import { limits, type MaterialPage } from '@hapset/contract';
import { letsIn, repairLink } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { TextArea } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { reasonSentence, verdictWords } from '../../platform/wording/verdicts.js';
import { useTryLink } from './short-link.queries.js';

/** A new target for what is on paper already: opened as a student first, then taken, with a way back. */
export function PointElsewhere({
  page: { material },
  onClose,
}: {
  readonly page: MaterialPage;
  readonly onClose: () => void;
}): ReactElement {
  const [text, setText] = useState('');
  const change = useChangeMaterial(material.id);
  const check = useTryLink();
  const notice = useNotice();
  const { link } = repairLink(text);
  const before = material.link;
  const verdict = check.data?.link === link ? check.data.verdict : null;
  const point = (): void =>
    change.mutate(
      { version: material.version, link },
      {
        onSuccess: ({ version }) => {
          notice({
            words: 'The short link leads there now. Nothing is to be printed again.',
            ...(before !== null && { undo: () => change.mutate({ version, link: before }) }),
          });
          onClose();
        },
      },
    );
  return (
    <Dialog
      title="Point elsewhere"
      about="Codes that are on paper lead to the new page from then on."
      onClose={onClose}
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (link !== '') check.mutate(link);
        }}
      >
        <p className="m-0 text-row">
          <span className="block text-muted">It leads to</span>
          <span className="font-mono text-small break-all">{before}</span>
        </p>
        <TextArea
          label="New target"
          rows={2}
          maxLength={limits.linkLength}
          value={text}
          onChange={(event) => setText(event.target.value)}
          autoFocus
        />
        {check.isPending && (
          <p role="status" className="m-0 text-body text-muted">
            Opening it as a student…
          </p>
        )}
        {verdict !== null && check.data && (
          <div role="status" className="text-body">
            <p className="m-0 flex items-center gap-2 font-semibold">
              <StateMark
                mark={verdict === 'open' ? 'done' : letsIn(verdict) ? 'look-at' : 'stop'}
                words={verdictWords[verdict].short}
              />{' '}
              {verdictWords[verdict].heading}
            </p>
            {check.data.evidence?.title && <p className="m-0 mt-1">{check.data.evidence.title}</p>}
            {verdict !== 'open' && check.data.reasons[0] && (
              <p className="m-0 mt-1 text-muted">
                {reasonSentence(check.data.reasons[0].reason, check.data.reasons[0].detail)}
              </p>
            )}
          </div>
        )}
        {(check.isError || check.data === null || change.isError) && (
          <p role="alert" className="m-0 text-row font-semibold text-stop">
            {check.data === null
              ? 'It was not opened within a minute. Try it once more.'
              : wordsFor(check.error ?? change.error)}
          </p>
        )}
        <div className="flex flex-wrap justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          {verdict === null ? (
            <Button type="submit" tone="main" disabled={link === '' || link === before || check.isPending}>
              Open it as a student
            </Button>
          ) : (
            <Button tone="main" onClick={point} disabled={change.isPending}>
              {letsIn(verdict) ? 'Point it there' : 'Point it there all the same'}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}
