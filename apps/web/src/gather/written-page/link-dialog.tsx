/** The address of a link in a written page. */
import { isSafeLink, readLink } from '@hapset/core';
import type { Editor } from '@tiptap/react';
import { useState, type FormEvent, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { t } from '../words.js';

/** A link for the selection. What is pasted is repaired as everywhere. */
export function LinkDialog({
  editor,
  onClose,
}: {
  readonly editor: Editor;
  readonly onClose: () => void;
}): ReactElement {
  const before = editor.getAttributes('link').href as string | undefined;
  const [address, setAddress] = useState(before ?? '');
  const [problem, setProblem] = useState<string>();
  const keep = (event: FormEvent): void => {
    event.preventDefault();
    event.stopPropagation();
    const href = /^(?:mailto|tel):/i.test(address.trim()) ? address.trim() : (readLink(address)?.link ?? '');
    if (!isSafeLink(href)) return setProblem(t('linkDialog.thisLinkIsNotComplete'));
    const { empty } = editor.state.selection;
    if (empty && before === undefined)
      editor
        .chain()
        .focus()
        .insertContent({ type: 'text', text: href, marks: [{ type: 'link', attrs: { href } }] })
        .run();
    else editor.chain().focus().extendMarkRange('link').setLink({ href }).run();
    onClose();
  };
  return (
    <Dialog title={t('linkDialog.link')} about={t('linkDialog.whereTheLinkLeadsWithout')} onClose={onClose}>
      <form onSubmit={keep} noValidate className="flex flex-col gap-4">
        <TextField
          label={t('linkDialog.address')}
          value={address}
          autoFocus
          onChange={(event) => setAddress(event.target.value)}
          problem={problem}
        />
        <div className="flex justify-end gap-2">
          {before !== undefined && (
            <Button
              onClick={() => {
                editor.chain().focus().extendMarkRange('link').unsetLink().run();
                onClose();
              }}
            >
              {t('linkDialog.removeLink')}
            </Button>
          )}
          <Button type="submit" tone="main">
            {t('linkDialog.saveLink')}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
