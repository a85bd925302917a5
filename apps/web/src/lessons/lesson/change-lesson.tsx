import { routes, type LessonView } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { useRemoval } from '../../platform/undo/use-removal.js';
import { LessonForm } from './lesson-form.js';
import { useChangeLesson } from './lesson.queries.js';
import { t } from '../words.js';

/** Changes a lesson, or takes it off the list; both can be undone. */
export function ChangeLesson({
  lesson,
  onClose,
}: {
  readonly lesson: LessonView;
  readonly onClose: () => void;
}): ReactElement {
  const change = useChangeLesson(lesson.id);
  const removal = useRemoval({
    remove: routes.removeLesson,
    restore: routes.restoreLesson,
    params: { lessonId: lesson.id },
    words: t('changeLesson.wasRemoved', { name: lesson.name }),
    leadsTo: '/lessons',
  });
  return (
    <Dialog title={t('changeLesson.changeLesson')} onClose={onClose}>
      <LessonForm
        lesson={lesson}
        send={t('changeLesson.saveChanges')}
        sending={change.isPending}
        error={change.error ?? removal.error}
        onCancel={onClose}
        onSend={(request, saved) =>
          // The draft goes also when the dialog was closed meanwhile.
          void change
            .mutateAsync({ ...request, version: lesson.version }, { onSuccess: onClose })
            .then(saved, () => undefined)
        }
      />
      <div className="mt-5 flex items-center gap-3 border-t border-line pt-4 text-row text-muted">
        <span className="flex-1">{t('changeLesson.itsMaterialsStayOnThe')}</span>
        <Button onClick={removal.run}>{t('changeLesson.removeLesson')}</Button>
      </div>
    </Dialog>
  );
}
