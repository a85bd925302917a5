import {
  shelfOrders,
  type ShelfOrder,
  type ShelfPage as ShelfPageView,
  type ShelfRow as ShelfRowView,
} from '@hapset/contract';
import { useInfiniteQuery, type InfiniteData, type UseInfiniteQueryResult } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Intake } from '../../gather/intake/intake.js';
import { PageHead } from '../../platform/design/page-head.js';
import { plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { shelfQuery } from '../../gather/material/material.queries.js';
import { useAddTo } from '../add/use-add-to.js';
import { ChosenMaterials } from './chosen-materials.js';
import { ShelfRow } from './shelf-row.js';
import { TagBar } from './tag-bar.js';
import { SearchInput, SelectInput } from '../../platform/design/inputs.js';

export function ShelfPage(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const tag = search.get('tag');
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const order = shelfOrders.find((known) => known === search.get('order')) ?? 'newest';
  const shelf = useInfiniteQuery(shelfQuery(wanted, tag, order));
  const add = useAddTo(null);
  const choose = (key: 'tag' | 'order', value: string | null): void => {
    const next = new URLSearchParams(search);
    if (value === null) next.delete(key);
    else next.set(key, value);
    setSearch(next);
  };
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
        here={[]}
        onAdd={add}
      />
      <TagBar chosen={tag} onChoose={(next) => choose('tag', next)} />
      <div className="mt-4">
        <Found
          {...{ shelf, wanted, tag, order }}
          onOrder={(next) => choose('order', next === 'newest' ? null : next)}
        />
      </div>
    </>
  );
}

type Shelf = UseInfiniteQueryResult<InfiniteData<ShelfPageView>>;

function rowsOf(shelf: Shelf): readonly ShelfRowView[] {
  return shelf.data?.pages.flatMap((page) => page.rows) ?? [];
}

interface FoundProps extends Omit<RowsProps, 'rows' | 'total'> {
  readonly shelf: Shelf;
}

function Found({ shelf, ...rest }: FoundProps): ReactElement {
  const { wanted } = rest;
  const rows = rowsOf(shelf);
  return (
    <>
      {shelf.isPending && <Loading label="The shelf is loading" />}
      {hasFailed(shelf) && <Failed words={wordsFor(shelf.error)} onRetry={() => void shelf.refetch()} />}
      {shelf.isSuccess && rows.length === 0 && <Nothing wanted={wanted} />}
      {rows.length > 0 && <Rows rows={rows} total={shelf.data?.pages[0]?.total ?? 0} {...rest} />}
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

const orderWords: Readonly<Record<ShelfOrder, string>> = {
  newest: 'Newest first',
  oldest: 'Oldest first',
  title: 'By title',
  kind: 'By kind',
  state: 'Problems first',
};

interface RowsProps {
  readonly rows: readonly ShelfRowView[];
  readonly total: number;
  readonly wanted: string;
  readonly tag: string | null;
  readonly order: ShelfOrder;
  readonly onOrder: (order: ShelfOrder) => void;
}

function Rows({ rows, total, wanted, tag, order, onOrder }: RowsProps): ReactElement {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const chosenRows = rows.filter(({ material }) => chosen.includes(material.id));
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <p className="m-0 text-row text-muted" role="status">
          {plural(total, 'material')}
          {wanted === '' ? '' : ' found'}
          {tag === null ? '' : ` in “${tag}”`}
        </p>
        <SelectInput
          aria-label="Sort the shelf"
          value={order}
          onChange={(event) => onOrder(event.target.value as ShelfOrder)}
        >
          {shelfOrders.map((one) => (
            <option key={one} value={one}>
              {orderWords[one]}
            </option>
          ))}
        </SelectInput>
      </div>
      {chosenRows.length > 0 && <ChosenMaterials rows={chosenRows} onClear={() => setChosen([])} />}
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
