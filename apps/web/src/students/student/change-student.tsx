import type { StudentView } from '@hapset/contract';
import { rosterLimits } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useChangeStudent } from './roster.queries.js';
import { t } from '../words.js';

const fields = [
  ['given', t('changeStudent.givenName'), rosterLimits.nameLength],
  ['middle', t('changeStudent.middleNames'), rosterLimits.nameLength],
  ['prefix', t('changeStudent.prefixVanDe'), rosterLimits.nameLength],
  ['family', t('changeStudent.familyName'), rosterLimits.nameLength],
  ['className', t('changeStudent.class'), rosterLimits.classLength],
  ['year', t('changeStudent.year'), rosterLimits.classLength],
  ['schoolId', 'Id', rosterLimits.idLength],
] as const;

type Fields = Readonly<Record<(typeof fields)[number][0], string>>;

export function ChangeStudentDialog({
  student,
  onClose,
}: {
  readonly student: StudentView;
  readonly onClose: () => void;
}): ReactElement {
  const { given, middle, prefix, family, className, year, schoolId, version, id } = student;
  const [typed, setTyped] = useState<Fields>({
    given,
    middle,
    prefix,
    family,
    className,
    year,
    schoolId: schoolId ?? '',
  });
  const change = useChangeStudent(id);
  return (
    <Dialog title={t('changeStudent.changeAStudent')} onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          const { className: nextClass, year: nextYear, schoolId: nextId, ...name } = typed;
          change.mutate(
            { version, name, className: nextClass, year: nextYear, schoolId: nextId.trim() === '' ? null : nextId },
            { onSuccess: onClose },
          );
        }}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          {fields.map(([field, words, most]) => (
            <TextField
              key={field}
              label={words}
              maxLength={most}
              value={typed[field]}
              onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
            />
          ))}
        </div>
        <DialogEnd
          failure={change.isError ? wordsFor(change.error) : null}
          send={t('changeStudent.saveChanges')}
          sending={change.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}
