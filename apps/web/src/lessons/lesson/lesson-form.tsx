import { limits, type CreateLesson, type LessonView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { classesQuery } from '../../school/school-class/school-class.queries.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { useFormDraft } from '../../platform/draft/use-draft.js';
import { SelectField, TextField } from '../../platform/design/field.js';
import { DialogEnd } from '../../platform/design/dialog.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

interface Fields {
  name: string;
  classId: string;
  date: string;
  startsAt: string;
  place: string;
  viewingDistanceM: string;
}

interface Props {
  readonly lesson?: LessonView;
  readonly send: string;
  readonly sending: boolean;
  readonly error: unknown;
  /** @param saved to be called once the server has it */
  readonly onSend: (request: CreateLesson, saved: () => void) => void;
  readonly onCancel: () => void;
}

export function LessonForm({ lesson, send, sending, error, onSend, onCancel }: Props): ReactElement {
  const classes = useQuery(classesQuery).data ?? [];
  const form = useForm<Fields>({
    defaultValues: lesson ? { ...fieldsOf(lesson), classId: undefined } : newLesson,
    // The list of classes arrives later than the form; its value is set once both are there.
    values: classes.length > 0 && lesson ? fieldsOf(lesson) : undefined,
    resetOptions: { keepDirtyValues: true },
  });
  const { register, handleSubmit, formState } = form;
  const draft = useFormDraft(useOwnPlace(`lesson ${lesson?.id ?? 'new'}`), form);
  useUnsaved(formState.isDirty && !sending, draft.remove);
  const cancel = (): void => {
    // What is being sent may yet be refused.
    if (!sending) draft.remove();
    onCancel();
  };
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => void handleSubmit((fields) => onSend(toRequest(fields), draft.remove))(event)}
    >
      <DraftOffer draft={draft} onUse={draft.use} />
      <TextField
        label={t('lessonForm.name')}
        maxLength={limits.nameLength}
        autoFocus
        {...register('name', { validate: (value) => value.trim() !== '' || t('lessonForm.aLessonNeedsAName') })}
        problem={formState.errors.name?.message}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <SelectField
          label={t('lessonForm.class')}
          hint={t('lessonForm.codesAreRehearsedOnThis')}
          {...register('classId')}
        >
          <option value="">{t('lessonForm.noClassYet')}</option>
          {classes.map((schoolClass) => (
            <option key={schoolClass.id} value={schoolClass.id}>
              {schoolClass.name}
            </option>
          ))}
        </SelectField>
        <TextField
          label={t('lessonForm.place')}
          maxLength={limits.placeLength}
          placeholder={t('lessonForm.biologyRoom')}
          {...register('place')}
        />
        <TextField label={t('lessonForm.day')} type="date" {...register('date')} />
        <TextField label={t('lessonForm.beginsAt')} type="time" {...register('startsAt')} />
        <DistanceField form={form} />
      </div>
      <DialogEnd failure={error ? wordsFor(error) : null} send={send} sending={sending} onCancel={cancel} />
    </form>
  );
}

function DistanceField({ form: { register, formState } }: { readonly form: UseFormReturn<Fields> }): ReactElement {
  const { least, most } = limits.viewingDistanceM;
  return (
    <TextField
      label={t('lessonForm.viewingDistanceM')}
      hint={t('lessonForm.howFarStudentsStandFrom')}
      inputMode="decimal"
      {...register('viewingDistanceM', {
        validate: (value) => within(value, least, most) || t('lessonForm.enterToMetres', { least, most }),
      })}
      problem={formState.errors.viewingDistanceM?.message}
    />
  );
}

const newLesson: Partial<Fields> = { name: '', date: '', startsAt: '', place: '', viewingDistanceM: '2' };

function fieldsOf(lesson: LessonView): Fields {
  return {
    name: lesson.name,
    classId: lesson.classId ?? '',
    date: lesson.date ?? '',
    startsAt: lesson.startsAt ?? '',
    place: lesson.place,
    viewingDistanceM: String(lesson.viewingDistanceM),
  };
}

function within(text: string, least: number, most: number): boolean {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && value >= least && value <= most;
}

function toRequest(fields: Fields): CreateLesson {
  return {
    name: fields.name.trim(),
    classId: fields.classId || null,
    date: fields.date || null,
    startsAt: fields.startsAt || null,
    place: fields.place.trim(),
    viewingDistanceM: Number(fields.viewingDistanceM.replace(',', '.')),
  };
}
