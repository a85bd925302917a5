/** The editor's tools: what a paragraph is, how letters look, what stands between. */
import type { Editor } from '@tiptap/react';
import { useEditorState } from '@tiptap/react';
import { isSafeLink, palette, repairLink, type PageColour, type PageFont, type PageSize } from '@hapset/core';
import {
  AlignCenter,
  AlignLeft,
  AlignRight,
  Bold,
  Italic,
  Link2,
  List,
  ListOrdered,
  Minus,
  Quote,
  Redo2,
  Strikethrough,
  Table,
  Underline,
  Undo2,
} from 'lucide';
import { useState, type FormEvent, type ReactElement, type ReactNode } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { LineSelect, TextField } from '../../platform/design/field.js';
import { Icon, type IconNode } from '../../platform/design/icon.js';

const colourWords: Readonly<Record<PageColour, string>> = {
  ink: 'Ink',
  red: 'Red',
  orange: 'Orange',
  green: 'Green',
  blue: 'Blue',
  violet: 'Violet',
};
const fontWords: Readonly<Record<PageFont, string>> = { text: 'Text', heading: 'Heading', typewriter: 'Typewriter' };
const sizeWords: Readonly<Record<PageSize, string>> = { small: 'Small', large: 'Large', huge: 'Very large' };

export function PageToolbar({
  editor,
  children,
}: {
  readonly editor: Editor;
  readonly children?: ReactNode;
}): ReactElement {
  const [linking, setLinking] = useState(false);
  const now = useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      block: ([1, 2, 3] as const).find((level) => current.isActive('heading', { level })) ?? 0,
      look: current.getAttributes('look') as { colour?: PageColour; font?: PageFont; size?: PageSize },
      active: Object.fromEntries(
        ['bold', 'italic', 'underline', 'strike', 'bulletList', 'orderedList', 'blockquote', 'link', 'table'].map(
          (name) => [name, current.isActive(name)],
        ),
      ),
      align: (['center', 'right'] as const).find((textAlign) => current.isActive({ textAlign })) ?? 'left',
      picture: current.isActive('keptPicture') ? String(current.getAttributes('keptPicture').alt ?? '') : null,
      undo: current.can().undo(),
      redo: current.can().redo(),
    }),
  });
  const chain = () => editor.chain().focus();
  const tool = (
    label: string,
    icon: IconNode,
    run: () => unknown,
    pressed?: boolean,
    disabled = false,
  ): ReactElement => <Tool label={label} icon={icon} onRun={run} pressed={pressed} disabled={disabled} />;
  return (
    <div
      role="toolbar"
      aria-label="Page tools"
      className="sticky top-0 z-20 flex flex-wrap items-center gap-x-1 gap-y-1 rounded-t-sheet border-b border-line bg-sheet px-2 py-1.5"
    >
      <LineSelect
        label="Paragraph"
        value={String(now.block)}
        choices={[
          ['0', 'Text'],
          ['1', 'Large heading'],
          ['2', 'Heading'],
          ['3', 'Small heading'],
        ]}
        onChoose={(value) =>
          value === '0'
            ? chain().setParagraph().run()
            : chain()
                .setHeading({ level: Number(value) as 1 | 2 | 3 })
                .run()
        }
      />
      <LineSelect
        label="Font"
        value={now.look.font ?? 'text'}
        choices={Object.entries(fontWords)}
        onChoose={(font) =>
          chain()
            .setLook({ font: font === 'text' ? null : (font as PageFont) })
            .run()
        }
      />
      <LineSelect
        label="Size"
        value={now.look.size ?? ''}
        choices={[['', 'Usual'], ...Object.entries(sizeWords)]}
        onChoose={(size) =>
          chain()
            .setLook({ size: size === '' ? null : (size as PageSize) })
            .run()
        }
      />
      <LineSelect
        label="Colour"
        value={now.look.colour ?? 'ink'}
        choices={Object.keys(palette.colours).map((colour) => [colour, colourWords[colour as PageColour]])}
        onChoose={(colour) =>
          chain()
            .setLook({ colour: colour === 'ink' ? null : (colour as PageColour) })
            .run()
        }
      />
      <Gap />
      {tool('Bold', Bold, () => chain().toggleBold().run(), now.active.bold)}
      {tool('Italic', Italic, () => chain().toggleItalic().run(), now.active.italic)}
      {tool('Underline', Underline, () => chain().toggleUnderline().run(), now.active.underline)}
      {tool('Strike through', Strikethrough, () => chain().toggleStrike().run(), now.active.strike)}
      {tool('Link', Link2, () => setLinking(true), now.active.link)}
      <Gap />
      {tool('Bullet list', List, () => chain().toggleBulletList().run(), now.active.bulletList)}
      {tool('Numbered list', ListOrdered, () => chain().toggleOrderedList().run(), now.active.orderedList)}
      {tool('Quotation', Quote, () => chain().toggleBlockquote().run(), now.active.blockquote)}
      {tool('Line across', Minus, () => chain().setHorizontalRule().run())}
      {tool(
        now.active.table ? 'Remove the table' : 'Table',
        Table,
        () =>
          now.active.table
            ? chain().deleteTable().run()
            : chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run(),
        now.active.table,
      )}
      {now.active.table && (
        <>
          <Word onRun={() => chain().addRowAfter().run()}>Row</Word>
          <Word onRun={() => chain().addColumnAfter().run()}>Column</Word>
        </>
      )}
      <Gap />
      {tool('Left', AlignLeft, () => chain().setTextAlign('left').run(), now.align === 'left')}
      {tool('Centred', AlignCenter, () => chain().setTextAlign('center').run(), now.align === 'center')}
      {tool('Right', AlignRight, () => chain().setTextAlign('right').run(), now.align === 'right')}
      <Gap />
      {tool('Undo', Undo2, () => chain().undo().run(), undefined, !now.undo)}
      {tool('Redo', Redo2, () => chain().redo().run(), undefined, !now.redo)}
      {children}
      {now.picture !== null && (
        <label className="flex w-full items-center gap-2 border-t border-line px-1 pt-1.5 text-row">
          <span className="text-muted">What is to be seen, read aloud</span>
          <input
            value={now.picture}
            maxLength={300}
            onChange={(event) => editor.commands.updateAttributes('keptPicture', { alt: event.target.value })}
            className="min-h-8 min-w-40 flex-1 rounded-small border border-line-strong bg-sheet px-2"
          />
        </label>
      )}
      {linking && <LinkDialog editor={editor} onClose={() => setLinking(false)} />}
    </div>
  );
}

function Tool({
  label,
  icon,
  onRun,
  pressed,
  disabled,
}: {
  readonly label: string;
  readonly icon: IconNode;
  readonly onRun: () => unknown;
  readonly pressed?: boolean | undefined;
  readonly disabled: boolean;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      disabled={disabled}
      onMouseDown={(event) => event.preventDefault()}
      onClick={onRun}
      className={`inline-flex size-9 items-center justify-center rounded-small disabled:opacity-35 ${pressed ? 'bg-marker-soft outline-1 outline-marker-line' : 'hover:bg-ink/5'}`}
    >
      <Icon icon={icon} size={17} />
    </button>
  );
}

function Word({ onRun, children }: { readonly onRun: () => unknown; readonly children: string }): ReactElement {
  return (
    <button
      type="button"
      aria-label={`Add a ${children.toLowerCase()}`}
      onMouseDown={(event) => event.preventDefault()}
      onClick={onRun}
      className="min-h-9 rounded-small px-2 text-small font-semibold hover:bg-ink/5"
    >
      + {children}
    </button>
  );
}

function Gap(): ReactElement {
  return <span aria-hidden className="mx-1 h-6 w-px bg-line" />;
}

/** A link for the selection. What is pasted is repaired as everywhere. */
function LinkDialog({ editor, onClose }: { readonly editor: Editor; readonly onClose: () => void }): ReactElement {
  const before = editor.getAttributes('link').href as string | undefined;
  const [address, setAddress] = useState(before ?? '');
  const [problem, setProblem] = useState<string>();
  const keep = (event: FormEvent): void => {
    event.preventDefault();
    event.stopPropagation();
    const href = /^(?:mailto|tel):/i.test(address.trim()) ? address.trim() : repairLink(address).link;
    if (!isSafeLink(href)) return setProblem('This is no whole address. Copy it once more from the address bar.');
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
    <Dialog
      title="Link"
      about="Where the words lead. Without a selection the address itself is written."
      onClose={onClose}
    >
      <form onSubmit={keep} noValidate className="flex flex-col gap-4">
        <TextField
          label="Address"
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
              Take the link off
            </Button>
          )}
          <Button type="submit" tone="main">
            Keep
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
