import type { MaterialPage, ShortLinkDetails } from '@hapset/contract';
import { alwaysOpen, isAlwaysOpen, openingProblem, type OpenHours, type Opening } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm, type UseFormRegister } from 'react-hook-form';
import { Button } from '../../platform/design/button.js';
import { TextField } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { openingProblemWords } from '../../platform/wording/short-links.js';
import { useChangeOpening } from './short-link.queries.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

interface Fields {
  from: string;
  until: string;
  days: string[];
  begins: string;
  ends: string;
}

const dayNames = [
  t('openingForm.mon'),
  t('openingForm.tue'),
  t('openingForm.wed'),
  t('openingForm.thu'),
  t('openingForm.fri'),
  t('openingForm.sat'),
  t('openingForm.sun'),
] as const;

/** When it leads on: from and until, and hours of the week, by the school's clock. Outside them students read when to come back. */
export function OpeningForm({
  link,
  page,
  lesson,
}: {
  readonly link: ShortLinkDetails;
  readonly page: MaterialPage;
  readonly lesson: { readonly from: string; readonly until: string } | null;
}): ReactElement {
  const change = useChangeOpening(page.material.id);
  const notice = useNotice();
  const sendChange = useSendChange();
  const { register, handleSubmit, reset, setValue, formState } = useForm<Fields>({ values: toFields(link.opening) });
  const keep = (opening: Opening): void => {
    const before = link.opening;
    sendChange(change, opening, {
      onSuccess: () => notice({ words: t('openingForm.openingHoursSaved'), undo: () => sendChange(change, before) }),
    });
  };
  return (
    <form
      noValidate
      className="mt-1 flex flex-col gap-3"
      onSubmit={(event) => void handleSubmit((fields) => keep(toOpening(fields)))(event)}
    >
      <Hours register={register} problem={formState.errors.until?.message ?? formState.errors.root?.message} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={change.isPending || !formState.isDirty}>
          {t('openingForm.saveOpeningHours')}
        </Button>
        {lesson && (
          <Button
            onClick={() => {
              setValue('from', lesson.from, { shouldDirty: true });
              setValue('until', lesson.until, { shouldDirty: true });
            }}
          >
            {t('openingForm.duringTheLesson')}
          </Button>
        )}
        {!isAlwaysOpen(link.opening) && (
          <Button
            tone="quiet"
            onClick={() => {
              reset(toFields(alwaysOpen));
              keep(alwaysOpen);
            }}
          >
            {t('openingForm.alwaysOpen')}
          </Button>
        )}
      </div>
    </form>
  );
}

function Hours({
  register,
  problem,
}: {
  readonly register: UseFormRegister<Fields>;
  readonly problem: string | undefined;
}): ReactElement {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField label={t('openingForm.openFrom')} type="datetime-local" {...register('from')} />
        <TextField
          label={t('openingForm.openUntil')}
          type="datetime-local"
          {...register('until', { validate: (_, fields) => problemOf(fields) })}
          problem={problem}
        />
      </div>
      <fieldset className="m-0 flex flex-wrap items-end gap-x-4 gap-y-2 border-0 p-0">
        <legend className="mb-1 text-small font-semibold">{t('openingForm.onlyOnTheseDays')}</legend>
        {dayNames.map((name, index) => (
          <label key={name} className="flex min-h-9 items-center gap-1.5 text-row">
            <CheckBox value={String(index + 1)} {...register('days')} /> {name}
          </label>
        ))}
        <span className="flex gap-3">
          <TextField label={t('openingForm.from')} type="time" {...register('begins')} />
          <TextField label={t('openingForm.until')} type="time" {...register('ends')} />
        </span>
      </fieldset>
    </>
  );
}

function toFields({ from, until, hours: [first] }: Opening): Fields {
  return {
    from: from ?? '',
    until: until ?? '',
    days: (first?.days ?? []).map(String),
    begins: first?.from ?? '',
    ends: first?.until ?? '',
  };
}

function toOpening({ from, until, days, begins, ends }: Fields): Opening {
  const hours: OpenHours[] =
    days.length > 0 || begins !== '' || ends !== ''
      ? [
          {
            days: days.length > 0 ? days.map(Number) : [1, 2, 3, 4, 5, 6, 7],
            from: begins || '00:00',
            until: ends || '23:59',
          },
        ]
      : [];
  return { from: from === '' ? null : from.slice(0, 16), until: until === '' ? null : until.slice(0, 16), hours };
}

function problemOf(fields: Fields): true | string {
  const found = openingProblem(toOpening(fields));
  return found === null || openingProblemWords[found];
}
