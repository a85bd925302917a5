import { limits, type DeviceView, type SchoolClassView } from '@hapset/contract';
import { studentAccounts, type StudentAccounts } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { ChoiceField, TextField } from '../../platform/design/field.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useKeepClass } from './school-class.queries.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { t } from '../words.js';

interface Fields {
  name: string;
  studentAccounts: StudentAccounts;
  deviceIds: string[];
}

const accountWords: Readonly<Record<StudentAccounts, string>> = {
  none: t('classDialog.none'),
  school: t('classDialog.accountsOfTheSchool'),
};

export function ClassDialog({
  schoolClass,
  devices,
  onClose,
}: {
  readonly schoolClass: SchoolClassView | null;
  readonly devices: readonly DeviceView[];
  readonly onClose: () => void;
}): ReactElement {
  const keep = useKeepClass(schoolClass);
  const { register, handleSubmit, formState } = useForm<Fields>({
    defaultValues: {
      name: schoolClass?.name ?? '',
      studentAccounts: schoolClass?.studentAccounts ?? 'none',
      deviceIds: [...(schoolClass?.deviceIds ?? devices.map((device) => device.id))],
    },
  });
  const send = (fields: Fields): void => keep.mutate({ ...fields, name: fields.name.trim() }, { onSuccess: onClose });
  return (
    <Dialog
      title={schoolClass ? t('classDialog.class', { name: schoolClass.name }) : t('classDialog.newClass')}
      onClose={onClose}
    >
      <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void handleSubmit(send)(event)}>
        <TextField
          label={t('classDialog.name')}
          maxLength={limits.nameLength}
          autoFocus
          {...register('name', { validate: (value) => value.trim() !== '' || t('classDialog.aClassNeedsAName') })}
          problem={formState.errors.name?.message}
        />
        <ChoiceField
          choices={studentAccounts}
          words={accountWords}
          label={t('classDialog.studentAccounts')}
          {...register('studentAccounts')}
        />
        <fieldset className="m-0 border-0 p-0">
          <legend className="mb-1 p-0 text-small font-semibold">{t('classDialog.devices')}</legend>
          {devices.map((device) => (
            <label key={device.id} className="flex min-h-9 items-center gap-2.5 text-field">
              <CheckBox value={device.id} {...register('deviceIds')} />
              {device.name}
              <span className="text-small text-muted">
                {device.count === null ? t('classDialog.broughtFromHome') : device.count}
              </span>
            </label>
          ))}
        </fieldset>
        <DialogEnd
          failure={keep.isError ? wordsFor(keep.error) : null}
          send={t('classDialog.saveClass')}
          sending={keep.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}
