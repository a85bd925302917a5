import type { StudentView } from '@hapset/contract';
import { asInRoster, rosterLimits } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { TextButton } from '../../platform/design/button.js';
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

function fieldsOf({ given, middle, prefix, family, className, year, schoolId }: NameAndPlace): Fields {
  return { given, middle, prefix, family, className, year, schoolId: schoolId ?? '' };
}

/** A name is edited as a whole. */
function isEdited({ edited }: StudentView, field: keyof Fields): boolean {
  return (field === 'className' || field === 'year' || field === 'schoolId' ? field : 'name') in edited;
}

type NameAndPlace = Pick<StudentView, 'given' | 'middle' | 'prefix' | 'family' | 'className' | 'year' | 'schoolId'>;

export function ChangeStudentDialog({
  student,
  onClose,
}: {
  readonly student: StudentView;
  readonly onClose: () => void;
}): ReactElement {
  const { version, id } = student;
  const [typed, setTyped] = useState<Fields>(fieldsOf(student));
  const change = useChangeStudent(id);
  const roster = fieldsOf(asInRoster(student, student.edited));
  const edited = fields.filter(([field]) => roster[field] !== typed[field] && isEdited(student, field));
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
        {edited.length > 0 && (
          <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-row">
            <span className="text-muted">{t('changeStudent.editedByHand')}</span>
            {edited.map(([field, words]) => (
              <TextButton key={field} onClick={() => setTyped({ ...typed, [field]: roster[field] })}>
                {t('changeStudent.useRosterValue', {
                  field: words,
                  value: roster[field] === '' ? t('changeStudent.noValue') : roster[field],
                })}
              </TextButton>
            ))}
          </div>
        )}
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
