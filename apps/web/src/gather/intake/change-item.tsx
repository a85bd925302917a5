/** Another link, other words or another title in the place of what was read. */
import { limits } from '@hapset/contract';
import type { IntakeItem } from '@hapset/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { ChoiceField, TextArea, TextField } from '../../platform/design/field.js';
import type { ItemChange } from './new-materials.js';
import { t } from '../words.js';

const kinds = ['link', 'words'] as const;
const kindNames = { link: 'A link', words: t('changeItem.words') } as const;

export function ChangeItem({
  item,
  onSave,
  onCancel,
}: {
  readonly item: IntakeItem;
  readonly onSave: (change: ItemChange) => void;
  readonly onCancel: () => void;
}): ReactElement {
  const [change, setChange] = useState<ItemChange>(() => asChange(item));
  const save = (event: FormEvent): void => {
    event.preventDefault();
    onSave(change);
  };
  return (
    <form onSubmit={save} className="grid max-w-xl gap-3 py-1">
      <ChoiceField
        label={t('changeItem.studentsGet')}
        choices={kinds}
        words={kindNames}
        value={change.kind}
        onChange={(event) => setChange({ ...change, kind: event.target.value as ItemChange['kind'] })}
      />
      <TextArea
        label={change.kind === 'link' ? t('changeItem.link') : t('changeItem.words')}
        rows={2}
        maxLength={change.kind === 'link' ? limits.linkLength : limits.wordsLength}
        value={change.text}
        onChange={(event) => setChange({ ...change, text: event.target.value })}
        autoFocus
      />
      <TextField
        label={t('changeItem.title')}
        hint={t('changeItem.leaveEmptyToUseThe')}
        maxLength={limits.titleLength}
        value={change.title}
        onChange={(event) => setChange({ ...change, title: event.target.value })}
      />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={change.text.trim() === ''}>
          {t('changeItem.save')}
        </Button>
        <Button tone="quiet" onClick={onCancel}>
          {t('changeItem.cancel')}
        </Button>
      </div>
    </form>
  );
}

function asChange(item: IntakeItem): ItemChange {
  const title = item.title ?? '';
  if (item.kind === 'link') return { kind: 'link', text: item.link, title };
  return {
    kind: item.kind === 'words' ? 'words' : 'link',
    text: item.kind === 'words' ? item.words : item.pasted.trim(),
    title,
  };
}
