/** Puts materials of the shelf into a lesson, at its end. */
import { useInfiniteQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { lessonsQuery, useAddStations } from '../../lessons/lesson/lesson.queries.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { RadioButton } from '../../platform/design/inputs.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { lessonTime } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

interface Props {
  readonly materialIds: readonly string[];
  readonly onClose: () => void;
  readonly onDone: () => void;
}

export function IntoLesson({ materialIds, onClose, onDone }: Props): ReactElement {
  const lessons = useInfiniteQuery(lessonsQuery);
  const rows = lessons.data?.pages.flatMap((page) => page.rows) ?? [];
  const [lessonId, setLessonId] = useState('');
  const navigate = useNavigate();
  const add = useAddStations(lessonId);
  const send = (event: FormEvent): void => {
    event.preventDefault();
    add.mutate(
      { items: [], materialIds },
      {
        onSuccess: () => {
          onDone();
          void navigate(`/lessons/${lessonId}`);
        },
      },
    );
  };
  return (
    <Dialog
      title={t('intoLesson.addMaterialsToALesson', { count: materialIds.length })}
      about={t('intoLesson.eachBecomesAStationAt')}
      onClose={onClose}
    >
      <form onSubmit={send} className="flex flex-col gap-4">
        {lessons.isPending && <Loading rows={3} label={t('intoLesson.lessonsAreLoading')} />}
        {hasFailed(lessons) && <Failed words={wordsFor(lessons.error)} onRetry={() => void lessons.refetch()} />}
        {lessons.isSuccess && rows.length === 0 && (
          <Empty title={t('intoLesson.noLessonsYet')}>{t('intoLesson.createOneUnderLessonsThen')}</Empty>
        )}
        {rows.length > 0 && (
          <fieldset className="m-0 max-h-[46vh] overflow-y-auto rounded-small border border-line p-1">
            <legend className="sr-only">{t('intoLesson.lesson')}</legend>
            {rows.map((lesson) => (
              <label
                key={lesson.id}
                className="flex min-h-10 items-center gap-3 rounded-step px-2.5 hover:bg-marker-soft"
              >
                <RadioButton name="lesson" checked={lesson.id === lessonId} onChange={() => setLessonId(lesson.id)} />
                <span className="min-w-0 flex-1 truncate text-body">{lesson.name}</span>
                <span className="text-small text-muted">{lessonTime(lesson.date, lesson.startsAt)}</span>
              </label>
            ))}
          </fieldset>
        )}
        <DialogEnd
          failure={add.isError ? wordsFor(add.error) : null}
          send={t('intoLesson.addToLesson')}
          sending={add.isPending}
          disabled={lessonId === ''}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}
