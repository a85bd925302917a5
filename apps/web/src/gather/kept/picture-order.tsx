/** The pictures of a set: order by drag or keys, what is under each, what is read aloud in its place. */
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type Announcements,
} from '@dnd-kit/core';
import { restrictToVerticalAxis } from '@dnd-kit/modifiers';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { KeptPicture } from '@hapset/core';
import type { FileView, MaterialView, PictureSetView } from '@hapset/contract';
import { X } from 'lucide';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { ChooseFiles } from '../../platform/design/choose-file.js';
import { TextField } from '../../platform/design/field.js';
import { useChangeMaterial } from '../material/material.queries.js';
import { UploadList } from '../upload/upload-list.js';
import { useUploads } from '../upload/use-uploads.js';
import { Icon } from '../../platform/design/icon.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

interface Row {
  /** A picture may be in the set twice. */
  readonly key: string;
  readonly file: FileView;
  readonly caption: string;
  readonly alternative: string;
}

export function PictureOrder({
  material,
  pictures,
}: {
  readonly material: MaterialView;
  readonly pictures: PictureSetView['pictures'];
}): ReactElement {
  const [rows, setRows] = useState<readonly Row[] | null>(null);
  const uploads = useUploads();
  const change = useChangeMaterial(material.id);
  const sendChange = useSendChange();
  const shown = rows ?? pictures.map((picture, index): Row => ({ ...picture, key: String(index) }));
  const added = uploads.items.flatMap(({ key, file }): Row[] =>
    file?.media === 'picture' ? [{ key: `new ${key}`, file, caption: '', alternative: '' }] : [],
  );
  const busy = uploads.items.some(({ state }) => state !== 'done' && state !== 'failed');
  const keep = (): void =>
    sendChange(
      change,
      { version: material.version, kept: { kind: 'picture-set', pictures: [...shown, ...added].map(toKept) } },
      {
        onSuccess: () => {
          uploads.clear();
          setRows(null);
        },
      },
    );
  return (
    <>
      <SortedPictures rows={shown} onChange={setRows} />
      {uploads.items.length > 0 && <UploadList uploads={uploads} />}
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <ChooseFiles label={t('pictureOrder.morePictures')} multiple accept="image/*" onChoose={uploads.add} />
        {(rows !== null || added.length > 0) && (
          <Button tone="main" className="ml-auto" disabled={busy || change.isPending} onClick={keep}>
            {t('pictureOrder.savePictures')}
          </Button>
        )}
      </div>
    </>
  );
}

function toKept({ file, caption, alternative }: Row): KeptPicture {
  return { fileId: file.id, caption, alternative };
}

function SortedPictures({
  rows,
  onChange,
}: {
  readonly rows: readonly Row[];
  readonly onChange: (rows: readonly Row[]) => void;
}): ReactElement {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const keys = rows.map(({ key }) => key);
  const edit = (key: string, more: Partial<Row>): void =>
    onChange(rows.map((row) => (row.key === key ? { ...row, ...more } : row)));
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (over) onChange(arrayMove([...rows], keys.indexOf(String(active.id)), keys.indexOf(String(over.id))));
  };
  return (
    <DndContext
      accessibility={{ announcements: announcements(keys) }}
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis]}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={keys} strategy={verticalListSortingStrategy}>
        <ul aria-label={t('pictureOrder.pictures')} className="m-0 mt-1 list-none p-0">
          {rows.map((row, index) => (
            <PictureRow
              key={row.key}
              row={row}
              position={index + 1}
              onEdit={(more) => edit(row.key, more)}
              onRemove={rows.length > 1 ? () => onChange(rows.filter(({ key }) => key !== row.key)) : null}
            />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}

function PictureRow({
  row,
  position,
  onEdit,
  onRemove,
}: {
  readonly row: Row;
  readonly position: number;
  readonly onEdit: (more: Partial<Row>) => void;
  readonly onRemove: (() => void) | null;
}): ReactElement {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: row.key,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-start gap-3 border-t border-line py-3 first:border-t-0 ${isDragging ? 'relative z-10 bg-marker-soft shadow-float' : ''}`}
    >
      <button
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={t('pictureOrder.pictureMove', { position })}
        title={t('pictureOrder.dragOrPressSpaceAnd')}
        className="shrink-0 cursor-grab touch-none rounded-fine border border-line bg-paper p-0"
      >
        <img src={`${row.file.address}/w640`} alt="" className="size-20 rounded-fine object-cover" />
      </button>
      <div className="grid min-w-0 flex-1 gap-2 sm:grid-cols-2">
        <TextField
          label={t('pictureOrder.caption')}
          value={row.caption}
          maxLength={300}
          onChange={(event) => onEdit({ caption: event.target.value })}
        />
        <TextField
          label={t('pictureOrder.descriptionForScreenReaders')}
          value={row.alternative}
          maxLength={300}
          onChange={(event) => onEdit({ alternative: event.target.value })}
        />
      </div>
      {onRemove && (
        <button
          type="button"
          aria-label={t('pictureOrder.removePicture', { position })}
          onClick={onRemove}
          className="mt-5 inline-flex size-8 shrink-0 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
        >
          <Icon icon={X} size={16} />
        </button>
      )}
    </li>
  );
}

/** What a screen reader hears while a picture is moved. */
function announcements(keys: readonly string[]): Announcements {
  const place = (key: string | number): number => keys.indexOf(String(key)) + 1;
  return {
    onDragStart: ({ active }) => t('pictureOrder.pictureIsPickedUpArrow', { from: place(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? t('pictureOrder.pictureWouldBePicture', { from: place(active.id), to: place(over.id) }) : undefined,
    onDragEnd: ({ active, over }) =>
      over ? t('pictureOrder.pictureIsPictureNow', { from: place(active.id), to: place(over.id) }) : undefined,
    onDragCancel: ({ active }) => t('pictureOrder.pictureWasNotMoved', { from: place(active.id) }),
  };
}
