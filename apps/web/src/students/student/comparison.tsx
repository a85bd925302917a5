import type { RosterComparisonView } from '@hapset/contract';
import type { ReactElement, ReactNode } from 'react';
import { rosterPartWords } from '../../platform/wording/students.js';
import { t } from '../words.js';

function changeWords({ name, parts, before, back }: RosterComparisonView['someChanged'][number]): string {
  const what = parts.map((part) => rosterPartWords[part]).join(', ');
  if (parts.length === 0) return back ? t('comparison.isBack', { name }) : name;
  return t(back ? 'comparison.wasIsBack' : 'comparison.was', { name, what, before });
}

/** The names that are known, and how many more there are. */
function listed(names: readonly string[], of: number): string {
  const shown = names.join('; ');
  return of > names.length ? `${shown} ${t('comparison.andMore', { more: of - names.length })}` : shown;
}

/** Who would be added, changed, and is not in the roster any more. */
export function Comparison({
  comparison: { added, changed, same, leftOut, someAdded, someChanged, someLeftOut, kept, someKept },
}: {
  readonly comparison: RosterComparisonView;
}): ReactElement {
  return (
    <>
      <div className="grid gap-x-6 gap-y-3 text-row sm:grid-cols-3">
        <Part title={t('comparison.new', { added })} names={someAdded} of={added} />
        <Part
          title={t('comparison.changed', { changed })}
          names={someChanged.map(changeWords)}
          of={changed}
          more={same === 0 ? null : same === 1 ? t('comparison.n1IsUnchanged') : t('comparison.areUnchanged', { same })}
        />
        <Part title={t('comparison.noLongerInIt', { leftOut })} names={someLeftOut} of={leftOut} />
      </div>
      {kept > 0 && (
        <p className="mt-2 mb-0 text-row text-muted">
          {t('comparison.kept', { count: kept, names: listed(someKept, kept) })}
        </p>
      )}
    </>
  );
}

function Part({
  title,
  names,
  of,
  more = null,
}: {
  readonly title: string;
  readonly names: readonly string[];
  readonly of: number;
  readonly more?: ReactNode;
}): ReactElement {
  return (
    <div className="min-w-0">
      <strong>{title}</strong>
      <ul className="m-0 list-none p-0 text-muted">
        {names.map((name, index) => (
          <li key={index} className="truncate" title={name}>
            <Isolated words={name} />
          </li>
        ))}
      </ul>
      {of > names.length && <p className="m-0 text-muted">{t('comparison.andMore', { more: of - names.length })}</p>}
      {more !== null && <p className="m-0 text-muted">{more}</p>}
    </div>
  );
}

/** A name that runs from right to left leaves what follows it where it is. */
function Isolated({ words }: { readonly words: string }): ReactElement {
  const cut = words.indexOf(', ');
  return cut < 0 ? (
    <bdi>{words}</bdi>
  ) : (
    <>
      <bdi>{words.slice(0, cut)}</bdi>
      {words.slice(cut)}
    </>
  );
}
