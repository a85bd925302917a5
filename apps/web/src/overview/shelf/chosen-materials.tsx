/** What can be done with several materials of the shelf at once. */
import type { ShelfRow } from '@hapset/contract';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useRemoveMaterials, useRestoreMaterials } from '../../gather/material/material.queries.js';
import { composerOfMaterials } from '../../paper/sheet/places-of-address.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

const IntoLesson = lazy(() => import('./into-lesson.js').then(({ IntoLesson: component }) => ({ default: component })));
const TagChosen = lazy(() => import('./tag-chosen.js').then(({ TagChosen: component }) => ({ default: component })));

interface Props {
  /** Materials that are shown and chosen. */
  readonly rows: readonly ShelfRow[];
  readonly onClear: () => void;
}

export function ChosenMaterials({ rows, onClear }: Props): ReactElement {
  const [open, setOpen] = useState<'lesson' | 'tag' | null>(null);
  const remove = useRemoveChosen(onClear);
  const materialIds = rows.map(({ material }) => material.id);
  const close = (): void => setOpen(null);
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2.5" role="group" aria-label={t('chosenMaterials.selection')}>
      <span className="text-row font-semibold">{t('chosenMaterials.materialsSelected', { count: rows.length })}</span>
      <Button onClick={() => setOpen('lesson')}>{t('chosenMaterials.addToALesson')}</Button>
      <Button onClick={() => setOpen('tag')}>{t('chosenMaterials.tag')}</Button>
      <Link to={composerOfMaterials(materialIds)} className={buttonClass()}>
        {t('chosenMaterials.makeSheets')}
      </Link>
      <Button onClick={() => remove(materialIds)}>{t('chosenMaterials.delete')}</Button>
      <Button tone="quiet" onClick={onClear}>
        {t('chosenMaterials.clearSelection')}
      </Button>
      <Suspense>
        {open === 'lesson' && <IntoLesson materialIds={materialIds} onClose={close} onDone={onClear} />}
        {open === 'tag' && <TagChosen rows={rows} onClose={close} />}
      </Suspense>
    </div>
  );
}

/** Deletes with a way back, and says what a lesson still shows. */
function useRemoveChosen(onDone: () => void): (materialIds: readonly string[]) => void {
  const remove = useRemoveMaterials();
  const restore = useRestoreMaterials();
  const notice = useNotice();
  const sendChange = useSendChange();
  return (materialIds) =>
    sendChange(
      remove,
      { materialIds },
      {
        onSuccess: ({ materialIds: removed, used }) => {
          onDone();
          notice({
            words: removalWords(
              removed.length,
              used.map(({ title }) => title),
            ),
            ...(removed.length > 0 && { undo: () => sendChange(restore, { materialIds: removed }) }),
          });
        },
      },
    );
}

function removalWords(removed: number, used: readonly string[]): string {
  const done = t('chosenMaterials.materialsDeleted', { count: removed });
  if (used.length === 0) return done;
  const kept =
    used.length === 1
      ? t('chosenMaterials.isInALessonRemove', { title: used[0] ?? '' })
      : t('chosenMaterials.areInALessonRemove', { number: used.length });
  return removed === 0 ? kept : `${done} ${kept}`;
}
