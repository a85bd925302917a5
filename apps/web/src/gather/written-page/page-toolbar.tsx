/** The editor's tools: what a paragraph is, how letters look, and what can be added. */
import type { Editor } from '@tiptap/react';
import { useEditorState } from '@tiptap/react';
import { palette, type PageColour, type PageFont, type PageSize } from '@hapset/core';
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
import { useState, type ReactElement, type ReactNode } from 'react';
import { LineSelect } from '../../platform/design/field.js';
import { LineInput } from '../../platform/design/inputs.js';
import { LinkDialog } from './link-dialog.js';
import { Tool, Word } from './toolbar-button.js';
import { t } from '../words.js';

const colourWords: Readonly<Record<PageColour, string>> = {
  ink: t('pageToolbar.black'),
  red: t('pageToolbar.red'),
  orange: t('pageToolbar.orange'),
  green: t('pageToolbar.green'),
  blue: t('pageToolbar.blue'),
  violet: t('pageToolbar.violet'),
};
const fontWords: Readonly<Record<PageFont, string>> = {
  text: t('pageToolbar.text'),
  heading: t('pageToolbar.heading'),
  typewriter: t('pageToolbar.typewriter'),
};
const sizeWords: Readonly<Record<PageSize, string>> = {
  small: t('pageToolbar.small'),
  large: t('pageToolbar.large'),
  huge: t('pageToolbar.veryLarge'),
};

export function PageToolbar({
  editor,
  children,
}: {
  readonly editor: Editor;
  readonly children?: ReactNode;
}): ReactElement {
  const [linking, setLinking] = useState(false);
  const now = useEditorNow(editor);
  return (
    <div
      role="toolbar"
      aria-label={t('pageToolbar.pageTools')}
      className="sticky top-0 z-20 flex flex-wrap items-center gap-x-1 gap-y-1 rounded-t-sheet border-b border-line bg-sheet px-2 py-1.5"
    >
      <LetterTools editor={editor} now={now} />
      <Gap />
      <MarkTools editor={editor} now={now} onLink={() => setLinking(true)} />
      <Gap />
      <BlockTools editor={editor} now={now} />
      <Gap />
      <AlignTools editor={editor} now={now} />
      <Gap />
      <Tool
        label={t('pageToolbar.undo')}
        icon={Undo2}
        onRun={() => editor.chain().focus().undo().run()}
        disabled={!now.undo}
      />
      <Tool
        label={t('pageToolbar.redo')}
        icon={Redo2}
        onRun={() => editor.chain().focus().redo().run()}
        disabled={!now.redo}
      />
      {children}
      {now.picture !== null && (
        <label className="flex w-full items-center gap-2 border-t border-line px-1 pt-1.5 text-row">
          <span className="text-muted">{t('pageToolbar.descriptionForScreenReaders')}</span>
          <LineInput
            value={now.picture}
            maxLength={300}
            onChange={(event) => editor.commands.updateAttributes('keptPicture', { alt: event.target.value })}
            className="min-w-40 flex-1"
          />
        </label>
      )}
      {linking && <LinkDialog editor={editor} onClose={() => setLinking(false)} />}
    </div>
  );
}

interface EditorNow {
  readonly block: 0 | 1 | 2 | 3;
  readonly look: { readonly colour?: PageColour; readonly font?: PageFont; readonly size?: PageSize };
  /** By the editor's own name of a mark or a block. */
  readonly active: Readonly<Record<string, boolean>>;
  readonly align: 'left' | 'center' | 'right';
  /** What the selected picture says instead of itself; null where none is selected. */
  readonly picture: string | null;
  readonly undo: boolean;
  readonly redo: boolean;
}

/** What holds where the cursor is. */
function useEditorNow(editor: Editor): EditorNow {
  return useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      block: ([1, 2, 3] as const).find((level) => current.isActive('heading', { level })) ?? 0,
      look: current.getAttributes('look'),
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
}

interface ToolsProps {
  readonly editor: Editor;
  readonly now: EditorNow;
}

/** What a paragraph is, and how its letters look. */
function LetterTools({ editor, now: { block, look } }: ToolsProps): ReactElement {
  const chain = () => editor.chain().focus();
  const setBlock = (level: string): void => {
    if (level === '0') chain().setParagraph().run();
    else
      chain()
        .setHeading({ level: Number(level) as 1 | 2 | 3 })
        .run();
  };
  const setLook = (part: Parameters<ReturnType<typeof chain>['setLook']>[0]): void => void chain().setLook(part).run();
  return (
    <>
      <LineSelect
        label={t('pageToolbar.paragraph')}
        value={String(block)}
        choices={[
          ['0', t('pageToolbar.text')],
          ['1', t('pageToolbar.largeHeading')],
          ['2', t('pageToolbar.heading')],
          ['3', t('pageToolbar.smallHeading')],
        ]}
        onChoose={setBlock}
      />
      <LineSelect
        label={t('pageToolbar.font')}
        value={look.font ?? 'text'}
        choices={Object.entries(fontWords)}
        onChoose={(font) => setLook({ font: font === 'text' ? null : (font as PageFont) })}
      />
      <LineSelect
        label={t('pageToolbar.size')}
        value={look.size ?? ''}
        choices={[['', t('pageToolbar.default')], ...Object.entries(sizeWords)]}
        onChoose={(size) => setLook({ size: size === '' ? null : (size as PageSize) })}
      />
      <LineSelect
        label={t('pageToolbar.colour')}
        value={look.colour ?? 'ink'}
        choices={Object.keys(palette.colours).map((colour) => [colour, colourWords[colour as PageColour]])}
        onChoose={(colour) => setLook({ colour: colour === 'ink' ? null : (colour as PageColour) })}
      />
    </>
  );
}

function MarkTools({ editor, now: { active }, onLink }: ToolsProps & { readonly onLink: () => void }): ReactElement {
  const chain = () => editor.chain().focus();
  return (
    <>
      <Tool label={t('pageToolbar.bold')} icon={Bold} onRun={() => chain().toggleBold().run()} pressed={active.bold} />
      <Tool
        label={t('pageToolbar.italic')}
        icon={Italic}
        onRun={() => chain().toggleItalic().run()}
        pressed={active.italic}
      />
      <Tool
        label={t('pageToolbar.underline')}
        icon={Underline}
        onRun={() => chain().toggleUnderline().run()}
        pressed={active.underline}
      />
      <Tool
        label={t('pageToolbar.strikeThrough')}
        icon={Strikethrough}
        onRun={() => chain().toggleStrike().run()}
        pressed={active.strike}
      />
      <Tool label={t('pageToolbar.link')} icon={Link2} onRun={onLink} pressed={active.link} />
    </>
  );
}

function BlockTools({ editor, now: { active } }: ToolsProps): ReactElement {
  const chain = () => editor.chain().focus();
  const table = (): unknown =>
    active.table ? chain().deleteTable().run() : chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run();
  return (
    <>
      <Tool
        label={t('pageToolbar.bulletList')}
        icon={List}
        onRun={() => chain().toggleBulletList().run()}
        pressed={active.bulletList}
      />
      <Tool
        label={t('pageToolbar.numberedList')}
        icon={ListOrdered}
        onRun={() => chain().toggleOrderedList().run()}
        pressed={active.orderedList}
      />
      <Tool
        label={t('pageToolbar.quotation')}
        icon={Quote}
        onRun={() => chain().toggleBlockquote().run()}
        pressed={active.blockquote}
      />
      <Tool label={t('pageToolbar.horizontalLine')} icon={Minus} onRun={() => chain().setHorizontalRule().run()} />
      <Tool
        label={active.table ? t('pageToolbar.removeTheTable') : t('pageToolbar.table')}
        icon={Table}
        onRun={table}
        pressed={active.table}
      />
      {active.table && (
        <>
          <Word label={t('pageToolbar.addARow')} onRun={() => chain().addRowAfter().run()}>
            {t('pageToolbar.row')}
          </Word>
          <Word label={t('pageToolbar.addAColumn')} onRun={() => chain().addColumnAfter().run()}>
            {t('pageToolbar.column')}
          </Word>
        </>
      )}
    </>
  );
}

const alignTools = [
  ['left', t('pageToolbar.left'), AlignLeft],
  ['center', t('pageToolbar.centred'), AlignCenter],
  ['right', t('pageToolbar.right'), AlignRight],
] as const;

function AlignTools({ editor, now: { align } }: ToolsProps): ReactElement {
  return (
    <>
      {alignTools.map(([side, label, icon]) => (
        <Tool
          key={side}
          label={label}
          icon={icon}
          onRun={() => editor.chain().focus().setTextAlign(side).run()}
          pressed={align === side}
        />
      ))}
    </>
  );
}

function Gap(): ReactElement {
  return <span aria-hidden className="mx-1 h-6 w-px bg-line" />;
}
