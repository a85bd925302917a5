/** A tag for several materials, or taken from them, with a way back. */
import { limits, type ShelfRow } from '@hapset/contract';
import { useState, type FormEvent, type ReactElement } from 'react';
import { useTagMaterials } from '../../gather/material/material.queries.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function TagChosen({
  rows,
  onClose,
}: {
  readonly rows: readonly ShelfRow[];
  readonly onClose: () => void;
}): ReactElement {
  const [tag, setTag] = useState('');
  const change = useTagMaterials();
  const notice = useNotice();
  const sendChange = useSendChange();
  const send = (wanted: string, tagged: boolean): void =>
    sendChange(
      change,
      { materialIds: rows.map(({ material }) => material.id), tag: wanted, tagged },
      {
        onSuccess: ({ materialIds }) => {
          onClose();
          notice({
            words: tagged
              ? t('tagChosen.taggedMaterials', { count: materialIds.length })
              : t('tagChosen.tagRemovedFromMaterials', { count: materialIds.length }),
            ...(materialIds.length > 0 && {
              undo: () => sendChange(change, { materialIds, tag: wanted, tagged: !tagged }),
            }),
          });
        },
        onError: null,
      },
    );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    send(tag.trim(), true);
  };
  return (
    <Dialog title={t('tagChosen.tagMaterials', { count: rows.length })} onClose={onClose}>
      <form onSubmit={submit} className="flex flex-col gap-4">
        <TextField
          label={t('tagChosen.tagToAdd')}
          maxLength={limits.tagLength}
          value={tag}
          onChange={(event) => setTag(event.target.value)}
          autoFocus
        />
        <KnownTags rows={rows} disabled={change.isPending} onRemove={(one) => send(one, false)} />
        <DialogEnd
          failure={change.isError ? wordsFor(change.error) : null}
          send={t('tagChosen.addTag')}
          sending={change.isPending}
          disabled={tag.trim() === ''}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

/** The tags that any of them has, each with a way to remove it. */
function KnownTags({
  rows,
  disabled,
  onRemove,
}: {
  readonly rows: readonly ShelfRow[];
  readonly disabled: boolean;
  readonly onRemove: (tag: string) => void;
}): ReactElement | null {
  const known = [...new Set(rows.flatMap(({ material }) => material.tags))].sort((one, other) =>
    one.localeCompare(other),
  );
  if (known.length === 0) return null;
  return (
    <div role="group" aria-label={t('tagChosen.removeATag')}>
      <p className="m-0 mb-1 text-small font-semibold">{t('tagChosen.removeATag')}</p>
      <div className="flex flex-wrap gap-2">
        {known.map((tag) => (
          <button
            key={tag}
            type="button"
            disabled={disabled}
            onClick={() => onRemove(tag)}
            className="min-h-8 rounded-small border border-line-strong bg-sheet px-3 text-row font-semibold hover:border-ink"
          >
            {tag} <span aria-hidden>×</span>
          </button>
        ))}
      </div>
    </div>
  );
}
