import type { ShelfPage as ShelfPageView, ShelfRow as ShelfRowView } from '@hapset/contract';
import { useInfiniteQuery, type InfiniteData, type UseInfiniteQueryResult } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Intake } from '../../gather/intake/intake.js';
import { composerOfMaterials } from '../../paper/sheet/places-of-address.js';
import { PageHead } from '../../platform/design/page-head.js';
import { plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { shelfQuery, useCreateMaterials } from '../../gather/material/material.queries.js';
import { ShelfRow } from './shelf-row.js';
import { TagBar } from './tag-bar.js';
import { SearchInput } from '../../platform/design/inputs.js';

export function ShelfPage(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const tag = search.get('tag');
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const shelf = useInfiniteQuery(shelfQuery(wanted, tag));
  const navigate = useNavigate();
  const create = useCreateMaterials();
  const rows = rowsOf(shelf);
  return (
    <>
      <PageHead
        title="Shelf"
        about="All your materials, in a lesson or in none."
        actions={<Ways find={find} onFind={setFind} autoFocus={search.get('focus') === 'find'} />}
      />
      <Intake
        label="Next material"
        placeholder="Next material: paste links, drop files or write a message…"
        noun="material"
        here={wanted === '' && tag === null ? rows.flatMap((row) => row.material.link ?? []) : []}
        onAdd={async (items) => {
          const ids = await create.mutateAsync(items);
          if (ids.length === 1) await navigate(`/shelf/${ids[0] ?? ''}`);
        }}
      />
      <TagBar chosen={tag} onChoose={(next) => setSearch(next === null ? {} : { tag: next })} />
      <div className="mt-4">
        <Found shelf={shelf} wanted={wanted} tag={tag} />
      </div>
    </>
  );
}

type Shelf = UseInfiniteQueryResult<InfiniteData<ShelfPageView>>;

function rowsOf(shelf: Shelf): readonly ShelfRowView[] {
  return shelf.data?.pages.flatMap((page) => page.rows) ?? [];
}

function Found({
  shelf,
  wanted,
  tag,
}: {
  readonly shelf: Shelf;
  readonly wanted: string;
  readonly tag: string | null;
}): ReactElement {
  const rows = rowsOf(shelf);
  return (
    <>
      {shelf.isPending && <Loading label="The shelf is loading" />}
      {shelf.isError && <Failed words={wordsFor(shelf.error)} onRetry={() => void shelf.refetch()} />}
      {shelf.isSuccess && rows.length === 0 && <Nothing wanted={wanted} />}
      {rows.length > 0 && <Rows rows={rows} total={shelf.data?.pages[0]?.total ?? 0} wanted={wanted} tag={tag} />}
      {shelf.hasNextPage && (
        <Button className="mt-3" disabled={shelf.isFetchingNextPage} onClick={() => void shelf.fetchNextPage()}>
          Show more
        </Button>
      )}
    </>
  );
}

function Ways({
  find,
  onFind,
  autoFocus,
}: {
  readonly find: string;
  readonly onFind: (find: string) => void;
  readonly autoFocus: boolean;
}): ReactElement {
  return (
    <>
      <SearchInput
        label="Find on the shelf"
        placeholder="Find by title, link or words"
        value={find}
        autoFocus={autoFocus}
        onFind={(find) => onFind(find)}
      />
      <Link to="/inspect" className={buttonClass()}>
        Inspect a code
      </Link>
      <Link to="/shelf/short-links" className={buttonClass()}>
        Short links
      </Link>
      <Link to="/shelf/files" className={buttonClass()}>
        Files
      </Link>
      <Link to="/add" className={buttonClass('main')}>
        Add something
      </Link>
    </>
  );
}

function Nothing({ wanted }: { readonly wanted: string }): ReactElement {
  return wanted === '' ? (
    <Empty title="The shelf is empty">Whatever you paste above stands here and can be used in any lesson.</Empty>
  ) : (
    <Empty title={`Nothing found for “${wanted}”`}>Try fewer letters, or another word of the title.</Empty>
  );
}

function Rows({
  rows,
  total,
  wanted,
  tag,
}: {
  readonly rows: readonly ShelfRowView[];
  readonly total: number;
  readonly wanted: string;
  readonly tag: string | null;
}): ReactElement {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  return (
    <>
      <p className="mt-0 mb-2 text-row text-muted" role="status">
        {plural(total, 'material')}
        {wanted === '' ? '' : ' found'}
        {tag === null ? '' : ` in “${tag}”`}
      </p>
      {chosen.length > 0 && (
        <div className="mb-2 flex flex-wrap items-center gap-2.5" role="group" aria-label="What is chosen">
          <span className="text-row font-semibold">{plural(chosen.length, 'material')} chosen</span>
          <Link to={composerOfMaterials(chosen)} className={buttonClass()}>
            Make sheets
          </Link>
          <Button onClick={() => setChosen([])}>Choose none</Button>
        </div>
      )}
      <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
        {rows.map((row) => (
          <ShelfRow
            key={row.material.id}
            row={row}
            ticked={chosen.includes(row.material.id)}
            onTick={(ticked) =>
              setChosen(ticked ? [...chosen, row.material.id] : chosen.filter((id) => id !== row.material.id))
            }
          />
        ))}
      </ul>
    </>
  );
}
