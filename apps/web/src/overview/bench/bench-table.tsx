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

interface Props {
  readonly lessonId: string;
  readonly rows: readonly BenchRow[];
  readonly rehearsing: boolean;
}

/** Drawn again only when a station changed, not with every device that the rehearsal reports. */
export const BenchTable = memo(function BenchTable({ lessonId, rows, rehearsing }: Props): ReactElement {
  const order = useOrderStations(lessonId);
  const ids = useMemo(() => rows.map((row) => row.stationId), [rows]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const notice = useNotice();
  const sendChange = useSendChange();
  const move = (from: number, to: number): void => {
    const moved = rows[from];
    if (!moved || from === to || to < 0 || to >= ids.length) return;
    sendChange(order, arrayMove(ids, from, to), {
      // It is seen where it is now.
      onSuccess: () => notice({ words: `“${moved.name}” was moved.`, quiet: true, undo: () => sendChange(order, ids) }),
    });
  };
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
      <div role="table" aria-label="Stations" className="overflow-hidden rounded-sheet border border-line bg-sheet">
        <div
          role="row"
          className={`hidden border-b border-line text-small font-semibold text-muted lg:grid ${benchColumns}`}
        >
          {['Station', 'Opens for', 'Code carries', 'Reads from', 'On paper'].map((question) => (
            <span key={question} role="columnheader" className={`py-2.5 ${question === 'Station' ? 'pl-3.5' : ''}`}>
              {question}
            </span>
          ))}
          <span role="columnheader" className="sr-only">
            More
          </span>
        </div>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
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

/** What is read aloud while a station is moved by keyboard. */
function announcements(rows: readonly BenchRow[]): Announcements {
  const name = (id: string | number): string => rows.find((row) => row.stationId === id)?.name ?? 'Station';
  const place = (id: string | number): number => rows.findIndex((row) => row.stationId === id) + 1;
  return {
    onDragStart: ({ active }) =>
      `${name(active.id)} is picked up. Arrow keys move it, Space puts it down, Escape leaves it where it was.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} would be station ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} is station ${place(over.id)} now.` : undefined),
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
}
