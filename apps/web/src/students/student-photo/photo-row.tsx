import { useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { TextButton } from '../../platform/design/button.js';
import { LineInput } from '../../platform/design/inputs.js';
import { studentsQuery } from '../student/roster.queries.js';
import { t } from '../words.js';
import type { ChosenPhoto } from './chosen-photo.js';
import { PhotoCut } from './photo-cut.js';

/** A photo with its file's name and the student, who is chosen by hand where the name told nobody. */
export function PhotoRow({
  photo,
  onChange,
}: {
  readonly photo: ChosenPhoto;
  readonly onChange: (next: Partial<ChosenPhoto>) => void;
}): ReactElement {
  const { name, picture, student, at, state } = photo;
  return (
    <li className="flex items-start gap-4 border-b border-line py-2.5 last:border-b-0">
      <PhotoCut
        picture={picture}
        name={student?.name ?? name}
        at={at}
        onMove={state === 'added' ? null : (next) => onChange({ at: next })}
        onBroken={() => onChange({ state: 'broken' })}
      />
      <span className="min-w-0 flex-1">
        <span className="block truncate font-mono text-small text-muted">{name}</span>
        {student ? (
          <span className="block text-lead">
            <strong>{student.name}</strong> <span className="text-row text-muted">{student.className}</span>{' '}
            {state !== 'added' && (
              <TextButton onClick={() => onChange({ student: null })}>{t('photos.someoneElse')}</TextButton>
            )}
          </span>
        ) : (
          <ChooseStudent name={name} onChoose={(chosen) => onChange({ student: chosen })} />
        )}
        {state === 'added' && <span className="text-row text-muted">{t('photos.isAdded')}</span>}
        {state === 'broken' && <span className="text-row font-semibold">{t('photos.isBroken')}</span>}
      </span>
    </li>
  );
}

const mostShown = 5;

function ChooseStudent({
  name,
  onChoose,
}: {
  readonly name: string;
  readonly onChoose: (student: NonNullable<ChosenPhoto['student']>) => void;
}): ReactElement {
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const found = useInfiniteQuery({
    ...studentsQuery({ find: wanted, className: null, year: null, left: false }),
    enabled: wanted !== '',
  });
  const students = wanted === '' ? [] : (found.data?.pages[0]?.rows ?? []).slice(0, mostShown);
  return (
    <span className="block">
      <LineInput
        type="search"
        aria-label={t('photos.whoseIsIt', { name })}
        placeholder={t('photos.findStudent')}
        value={find}
        onChange={(event) => setFind(event.target.value)}
        className="w-full max-w-80 text-field"
      />
      <span className="mt-1 flex flex-wrap gap-x-3">
        {students.map(({ id, name: called, className }) => (
          <TextButton key={id} onClick={() => onChoose({ id, name: called, className })}>
            {t('photos.nameAndClass', { name: called, className })}
          </TextButton>
        ))}
      </span>
    </span>
  );
}
