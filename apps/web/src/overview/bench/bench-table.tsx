/** The bench itself: one row a station, one column a question, in the order of the work. */
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import { restrictToVerticalAxis } from '@dnd-kit/modifiers';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { BenchRow } from '@hapset/contract';
import { memo, useMemo, type ReactElement } from 'react';
import { BenchTableRow, benchColumns } from './bench-table-row.js';
import { useNotice } from '../../platform/design/notice.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { useOrderStations } from '../../lessons/lesson/lesson.queries.js';
import { t } from '../words.js';

interface Props {
  readonly lessonId: string;
  readonly rows: readonly BenchRow[];
  readonly rehearsing: boolean;
}

/** Drawn again only when a station changed, not with every device that the rehearsal reports. */
export const BenchTable = memo(function BenchTable({ lessonId, rows, rehearsing }: Props): ReactElement {
  const { ids, move } = useMoveStations(lessonId, rows);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (over) move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis]}
      onDragEnd={onDragEnd}
      accessibility={{ announcements: announcements(rows) }}
    >
      <div
        role="table"
        aria-label={t('benchTable.stations')}
        className="overflow-hidden rounded-sheet border border-line bg-sheet"
      >
        <ColumnHeads />
        <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
          {rows.map((row, index) => (
            <BenchTableRow
              key={row.stationId}
              lessonId={lessonId}
              row={row}
              last={index === rows.length - 1}
              rehearsing={rehearsing}
              onMove={(by) => move(index, index + by)}
            />
          ))}
        </SortableContext>
      </div>
    </DndContext>
  );
});

/** A number is where a station goes to; the way back is offered. */
function useMoveStations(
  lessonId: string,
  rows: readonly BenchRow[],
): { readonly ids: readonly string[]; readonly move: (from: number, to: number) => void } {
  const order = useOrderStations(lessonId);
  const ids = useMemo(() => rows.map((row) => row.stationId), [rows]);
  const notice = useNotice();
  const sendChange = useSendChange();
  const move = (from: number, to: number): void => {
    const moved = rows[from];
    if (!moved || from === to || to < 0 || to >= ids.length) return;
    sendChange(order, arrayMove([...ids], from, to), {
      // It is seen where it is now.
      onSuccess: () =>
        notice({
          words: t('benchTable.wasMoved', { name: moved.name }),
          quiet: true,
          undo: () => sendChange(order, ids),
        }),
    });
  };
  return { ids, move };
}

function ColumnHeads(): ReactElement {
  const questions = [t('benchTable.opens'), t('benchTable.code'), t('benchTable.reads'), t('benchTable.onPaper')];
  return (
    <div
      role="row"
      className={`hidden border-b border-line text-small font-semibold text-muted lg:grid ${benchColumns}`}
    >
      <span role="columnheader" className="py-2.5 pl-3.5">
        {t('benchTable.station')}
      </span>
      {questions.map((question) => (
        <span key={question} role="columnheader" className="py-2.5">
          {question}
        </span>
      ))}
      <span role="columnheader" className="sr-only">
        {t('benchTable.more')}
      </span>
    </div>
  );
}

/** What is read aloud while a station is moved by keyboard. */
function announcements(rows: readonly BenchRow[]): Announcements {
  const name = (id: string | number): string =>
    rows.find((row) => row.stationId === id)?.name ?? t('benchTable.station');
  const place = (id: string | number): number => rows.findIndex((row) => row.stationId === id) + 1;
  return {
    onDragStart: ({ active }) => t('benchTable.isPickedUpArrowKeys', { name: name(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? t('benchTable.wouldBeStation', { name: name(active.id), place: place(over.id) }) : undefined,
    onDragEnd: ({ active, over }) =>
      over ? t('benchTable.isStationNow', { name: name(active.id), place: place(over.id) }) : undefined,
    onDragCancel: ({ active }) => t('benchTable.wasNotMoved', { name: name(active.id) }),
  };
}
