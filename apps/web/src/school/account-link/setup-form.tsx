/** The school's first settings and its first administrator. */
import { limits, routes, type NewSchool } from '@hapset/contract';
import { paperNames } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { ChoiceField, SelectField, TextField } from '../../platform/design/field.js';
import { languageName, schoolLanguages } from '../../platform/language/school-languages.js';
import { paperWords } from '../../platform/wording/sheets.js';
import { t } from '../staff/words.js';
import { EnterEnd } from './enter-end.js';
import { nobody, PersonFields, type Person } from './person-fields.js';
import { useEntering } from './use-entering.js';

const languageNames = Object.fromEntries(schoolLanguages.map((tag) => [tag, languageName(tag)]));
const timeZones = ['UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'UTC')];

/** As this browser has it, where it can be chosen. */
function likeHere(): NewSchool {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  return {
    name: '',
    language: schoolLanguages.find((tag) => tag === navigator.language) ?? schoolLanguages[0] ?? 'en-GB',
    timeZone: timeZones.includes(timeZone) ? timeZone : 'UTC',
    paper: /-(?:US|CA)$/.test(navigator.language) ? 'Letter' : 'A4',
  };
}

export function SetupForm({
  token,
  onEntered,
}: {
  readonly token: string;
  readonly onEntered: () => void;
}): ReactElement {
  const school = useForm<NewSchool>({ defaultValues: likeHere() });
  const person = useForm<Person>({ defaultValues: nobody });
  const { send, problems, failure } = useEntering(
    (fields: Person) => call(routes.createAccount, { body: { ...fields, token, school: school.getValues() } }),
    onEntered,
  );
  const submit = async (): Promise<void> => {
    const isRight = await school.trigger();
    await person.handleSubmit((fields) => isRight && send.mutate(fields))();
  };
  return (
    <form
      className="flex flex-col gap-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <SchoolFields form={school} problems={problems} />
      <fieldset className="m-0 flex flex-col gap-4 rounded-sheet border border-line px-4 pt-1 pb-4">
        <legend className="px-1 text-body font-semibold">{t('setup.firstAdministrator')}</legend>
        <PersonFields register={person.register} errors={person.formState.errors} problems={problems} />
      </fieldset>
      <EnterEnd failure={failure} sending={send.isPending} words={t('setup.send')} />
    </form>
  );
}

function SchoolFields({
  form: { register, formState },
  problems,
}: {
  readonly form: UseFormReturn<NewSchool>;
  readonly problems: ReadonlyMap<string, string>;
}): ReactElement {
  return (
    <fieldset className="m-0 grid gap-4 rounded-sheet border border-line px-4 pt-1 pb-4 sm:grid-cols-2">
      <legend className="px-1 text-body font-semibold">{t('setup.yourSchool')}</legend>
      <div className="sm:col-span-2">
        <TextField
          label={t('setup.schoolName')}
          maxLength={limits.nameLength}
          autoFocus
          {...register('name', { validate: (value) => value.trim() !== '' || t('setup.schoolNameNeeded') })}
          problem={formState.errors.name?.message ?? problems.get('school.name')}
        />
      </div>
      <ChoiceField
        choices={schoolLanguages}
        words={languageNames}
        label={t('setup.language')}
        hint={t('setup.languageHint')}
        {...register('language')}
      />
      <SelectField label={t('setup.timeZone')} {...register('timeZone')} problem={problems.get('school.timeZone')}>
        {timeZones.map((zone) => (
          <option key={zone}>{zone}</option>
        ))}
      </SelectField>
      <ChoiceField choices={paperNames} words={paperWords} label={t('setup.paper')} {...register('paper')} />
    </fieldset>
  );
}
