/** One of the icons, found by its name. */
import { iconNames, iconOf } from '@hapset/core/icons';
import { useState, type ReactElement } from 'react';
import { SearchInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

interface Props {
  readonly chosen: string | null;
  /** Said where nothing is found. */
  readonly none: string;
  readonly onChoose: (icon: string) => void;
}

export function ChooseIcon({ chosen, none, onChoose }: Props): ReactElement {
  const [find, setFind] = useState('');
  const found = iconNames.filter((name) => name.includes(find.trim().toLowerCase()));
  return (
    <>
      <SearchInput
        label={t('chooseIcon.findAnIcon')}
        placeholder={t('chooseIcon.findAnIcon')}
        value={find}
        onFind={(find) => setFind(find)}
      />
      <ul
        aria-label={t('chooseIcon.icons')}
        className="m-0 mt-2 flex max-h-[132px] list-none flex-wrap gap-1 overflow-y-auto p-0.5"
      >
        {found.map((name) => (
          <li key={name}>
            <button
              type="button"
              aria-label={name}
              title={name}
              aria-pressed={name === chosen}
              onClick={() => onChoose(name)}
              className={`flex size-10 items-center justify-center rounded-small border ${name === chosen ? 'border-marker-line bg-marker-soft' : 'border-line hover:border-ink'}`}
            >
              <Icon name={name} />
            </button>
          </li>
        ))}
        {found.length === 0 && <li className="py-2 text-row text-muted">{none}</li>}
      </ul>
    </>
  );
}

function Icon({ name }: { readonly name: string }): ReactElement {
  return (
    <svg
      viewBox="0 0 24 24"
      className="size-5.5"
      fill="none"
      stroke="currentColor"
      strokeWidth={1.8}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      {(iconOf(name) ?? []).map(([Element, attributes], index) => {
        const Tag = Element as 'path';
        return <Tag key={index} {...attributes} />;
      })}
    </svg>
  );
}
