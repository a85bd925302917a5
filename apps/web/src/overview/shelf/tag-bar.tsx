import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { composerOfTag } from '../../paper/sheet/places-of-address.js';
import { tagsQuery, useOpenTag } from '../../gather/material/material.queries.js';
import { t } from '../words.js';

/** The collections of the shelf. A chosen one can be opened as a whole. */
export function TagBar({
  chosen,
  onChoose,
}: {
  readonly chosen: string | null;
  readonly onChoose: (tag: string | null) => void;
}): ReactElement | null {
  const tags = useQuery(tagsQuery).data ?? [];
  const open = useOpenTag();
  if (tags.length === 0 && chosen === null) return null;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2" role="group" aria-label={t('tagBar.collections')}>
      {tags.map(({ tag, materials }) => (
        <button
          key={tag}
          type="button"
          aria-pressed={tag === chosen}
          onClick={() => onChoose(tag === chosen ? null : tag)}
          className={`min-h-8 rounded-small border px-3 text-row font-semibold ${tag === chosen ? 'border-marker-line bg-marker-soft' : 'border-line-strong bg-sheet hover:border-ink'}`}
        >
          {tag} <span className="font-normal text-muted">{materials}</span>
        </button>
      ))}
      {chosen !== null && (
        <span className="ml-auto flex gap-2">
          <Link to={composerOfTag(chosen)} className={buttonClass()}>
            {t('tagBar.makeSheets')}
          </Link>
          <Button disabled={open.isPending} onClick={() => open.mutate(chosen)}>
            {t('tagBar.checkAllAgain')}
          </Button>
        </span>
      )}
    </div>
  );
}
