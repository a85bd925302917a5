/** Stations out of materials that are on the shelf. */
import type { ShelfRow } from '@hapset/contract';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type FormEvent, type ReactElement } from 'react';
import { KindIcon } from '../../gather/material/kind-icon.js';
import { shelfQuery } from '../../gather/material/material.queries.js';
import { useAddStations } from '../../lessons/lesson/lesson.queries.js';
import { Button } from '../../platform/design/button.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { CheckBox, SearchInput } from '../../platform/design/inputs.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

interface Props {
  readonly lessonId: string;
  /** Materials that are stations of the lesson already. */
  readonly here: readonly string[];
  readonly onClose: () => void;
}

export function FromShelf({ lessonId, here, onClose }: Props): ReactElement {
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const add = useAddStations(lessonId);
  const send = (event: FormEvent): void => {
    event.preventDefault();
    add.mutate({ items: [], materialIds: chosen }, { onSuccess: onClose });
  };
  return (
    <Dialog title={t('fromShelf.addFromTheShelf')} wide onClose={onClose}>
      <form onSubmit={send} className="flex flex-col gap-4">
        <SearchInput label={t('fromShelf.findByTitleLinkOr')} value={find} onFind={setFind} autoFocus />
        <Found
          find={useDeferredValue(find.trim())}
          here={here}
          chosen={chosen}
          onTick={(id, ticked) => setChosen(ticked ? [...chosen, id] : chosen.filter((other) => other !== id))}
        />
        <DialogEnd
          failure={add.isError ? wordsFor(add.error) : null}
          send={
            chosen.length === 0 ? t('fromShelf.addStations') : t('fromShelf.addStations2', { count: chosen.length })
          }
          sending={add.isPending}
          disabled={chosen.length === 0}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

interface FoundProps {
  readonly find: string;
  readonly here: readonly string[];
  readonly chosen: readonly string[];
  readonly onTick: (materialId: string, ticked: boolean) => void;
}

function Found({ find, here, chosen, onTick }: FoundProps): ReactElement {
  const shelf = useInfiniteQuery(shelfQuery(find, null));
  const rows = shelf.data?.pages.flatMap((page) => page.rows) ?? [];
  if (shelf.isPending) return <Loading rows={4} label={t('fromShelf.theShelfIsLoading')} />;
  if (hasFailed(shelf)) return <Failed words={wordsFor(shelf.error)} onRetry={() => void shelf.refetch()} />;
  if (rows.length === 0)
    return (
      <Empty title={find === '' ? t('fromShelf.theShelfIsEmpty') : t('fromShelf.nothingFoundFor', { find })}>
        {t('fromShelf.pasteALinkOnThe')}
      </Empty>
    );
  return (
    <div className="max-h-[46vh] overflow-y-auto rounded-small border border-line p-1">
      <ul aria-label={t('fromShelf.materialsOfTheShelf')} className="m-0 list-none p-0">
        {rows.map((row) => (
          <li key={row.material.id}>
            <Choice
              row={row}
              isHere={here.includes(row.material.id)}
              ticked={chosen.includes(row.material.id)}
              onTick={(ticked) => onTick(row.material.id, ticked)}
            />
          </li>
        ))}
      </ul>
      {shelf.hasNextPage && (
        <Button className="m-1" disabled={shelf.isFetchingNextPage} onClick={() => void shelf.fetchNextPage()}>
          {t('fromShelf.showMore')}
        </Button>
      )}
    </div>
  );
}

function Choice({
  row: { material },
  isHere,
  ticked,
  onTick,
}: {
  readonly row: ShelfRow;
  readonly isHere: boolean;
  readonly ticked: boolean;
  readonly onTick: (ticked: boolean) => void;
}): ReactElement {
  return (
    <label className="flex min-h-11 items-center gap-3 rounded-step px-2.5 py-1 hover:bg-marker-soft">
      <CheckBox checked={ticked} onChange={(event) => onTick(event.target.checked)} />
      <KindIcon kind={material.kind} />
      <span className="min-w-0 flex-1 leading-snug">
        <span className="block truncate text-body font-semibold">{material.title}</span>
        <span className="block truncate text-small text-muted">
          {[kindWords[material.kind], material.link, isHere ? t('fromShelf.inThisLesson') : null]
            .filter((part) => part !== null)
            .join(' · ')}
        </span>
      </span>
    </label>
  );
}
