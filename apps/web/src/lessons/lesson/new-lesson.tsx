import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { Dialog } from '../../platform/design/dialog.js';
import { LessonForm } from './lesson-form.js';
import { useCreateLesson } from './lesson.queries.js';
import { t } from '../words.js';

/** Asks for a new lesson and goes to its bench. */
export function NewLesson({ onClose }: { readonly onClose: () => void }): ReactElement {
  const navigate = useNavigate();
  const create = useCreateLesson();
  return (
    <Dialog title={t('newLesson.newLesson')} onClose={onClose}>
      <LessonForm
        send={t('newLesson.createLesson')}
        sending={create.isPending}
        error={create.error}
        onCancel={onClose}
        onSend={(request, saved) =>
          // The draft goes also when the dialog was closed meanwhile.
          void create
            .mutateAsync(request, { onSuccess: ({ id }) => void navigate(`/lessons/${id}`) })
            .then(saved, () => undefined)
        }
      />
    </Dialog>
  );
}
