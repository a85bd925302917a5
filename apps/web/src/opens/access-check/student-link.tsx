import type { MaterialPage } from '@hapset/contract';
import type { ReactElement } from 'react';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { roleSentences } from '../../platform/wording/services.js';
import { WithBold } from './with-bold.js';
import { t } from '../words.js';

/** The link is known as a page of its editor's, or another that no student should get: says so, and offers the student's. */
export function StudentLink({ page: { material } }: { readonly page: MaterialPage }): ReactElement | null {
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
            words: t('studentLink.theCodeHasTheStudents'),
            undo: () => sendChange(change, { version: changed.version, link }),
          }),
      },
    );
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line pt-2 text-body">
      <StateMark mark="look-at" words={t('studentLink.needsAttention')} />
      <p className="m-0 min-w-52 flex-1">
        {roleSentences[at.role]}
        {studentLink !== null && <span className="block font-mono text-note break-all text-muted">{studentLink}</span>}
      </p>
      {studentLink !== null && (
        <Button onClick={take} disabled={change.isPending}>
          {t('studentLink.useTheStudentsLink')}
        </Button>
      )}
      {studentLink === null && at.steps.length > 0 && (
        <ol className="m-0 w-full list-decimal pl-5">
          {at.steps.map((step) => (
            <li key={step}>
              <WithBold step={step} />
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
