/** The school's templates of sheets: made, changed, made usual, removed. */
import type { SheetTemplateView } from '@hapset/contract';
import { composedKinds, type SheetKind } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { sheetKindWords } from '../../platform/wording/sheets.js';
import { templatesQuery, useRemoveTemplate, useUsualTemplate } from './sheet.queries.js';
import { TemplateDialog } from './template-dialog.js';
import { SelectInput } from '../../platform/design/inputs.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

type Editing = { readonly kind: SheetKind; readonly before: SheetTemplateView | null };

export function TemplatesPage(): ReactElement {
  const templates = useQuery(templatesQuery);
  const [editing, setEditing] = useState<Editing | null>(null);
  const [kind, setKind] = useState<SheetKind>('poster');
  return (
    <>
      <PageHead
        title={t('templatesPage.sheetTemplates')}
        trail={<Link to="/school">{t('templatesPage.school')}</Link>}
        about={t('templatesPage.aColourForTitlesAnd')}
        actions={
          <>
            <SelectInput
              aria-label={t('templatesPage.kindOfSheet')}
              value={kind}
              onChange={(event) => setKind(event.target.value as SheetKind)}
            >
              {composedKinds.map((choice) => (
                <option key={choice} value={choice}>
                  {sheetKindWords[choice]}
                </option>
              ))}
            </SelectInput>
            <Button tone="main" onClick={() => setEditing({ kind, before: null })}>
              {t('templatesPage.newTemplate')}
            </Button>
          </>
        }
      />
      {templates.isPending && <Loading label={t('templatesPage.templatesAreLoading')} />}
      {hasFailed(templates) && <Failed words={wordsFor(templates.error)} onRetry={() => void templates.refetch()} />}
      {templates.data?.length === 0 && (
        <Empty title={t('templatesPage.noTemplatesYet')}>{t('templatesPage.sheetsArePlainBlackOn')}</Empty>
      )}
      {templates.data && templates.data.length > 0 && (
        <ul className="m-0 list-none rounded-sheet border border-line bg-sheet p-0">
          {templates.data.map((template) => (
            <TemplateRow
              key={template.id}
              template={template}
              onChange={() => setEditing({ kind: template.kind, before: template })}
            />
          ))}
        </ul>
      )}
      {editing && <TemplateDialog {...editing} onKept={() => setEditing(null)} onClose={() => setEditing(null)} />}
    </>
  );
}

function TemplateRow({
  template: { id, name, kind, accent, header, usual, mine },
  onChange,
}: {
  readonly template: SheetTemplateView;
  readonly onChange: () => void;
}): ReactElement {
  const administrator = useSession()?.role === 'administrator';
  const remove = useRemoveTemplate();
  const makeUsual = useUsualTemplate();
  const notice = useNotice();
  const sendChange = useSendChange();
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-4 py-3 last:border-b-0">
      <span
        aria-hidden
        className="size-7 shrink-0 rounded-full border border-line-strong"
        style={{ background: accent }}
      />
      <span className="min-w-0 flex-1 basis-48">
        <span className="block text-lead font-semibold">{name}</span>
        <span className="text-small text-muted">
          {usual ? t('templatesPage.default', { kind: sheetKindWords[kind] }) : sheetKindWords[kind]}
        </span>
      </span>
      {header && <img src={`/api/look-pictures/${header.pictureId}`} alt="" className="h-9 max-w-40 object-contain" />}
      {administrator && (
        <Button disabled={makeUsual.isPending} onClick={() => sendChange(makeUsual, { id, usual: !usual })}>
          {usual ? t('templatesPage.removeAsDefault') : t('templatesPage.makeDefault')}
        </Button>
      )}
      {mine && (
        <>
          <Button onClick={onChange}>{t('templatesPage.change')}</Button>
          <Button
            disabled={remove.isPending}
            onClick={() =>
              sendChange(remove, id, {
                onSuccess: () => notice({ words: t('templatesPage.wasRemovedEarlierPrintsStay', { name }) }),
              })
            }
          >
            {t('templatesPage.remove')}
          </Button>
        </>
      )}
    </li>
  );
}
