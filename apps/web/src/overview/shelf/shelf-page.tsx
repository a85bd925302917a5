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
import { wordsFor } from '../../platform/wording/problems.js';
import { shelfQuery } from '../../gather/material/material.queries.js';
import { useAddTo } from '../add/use-add-to.js';
import { ChosenMaterials } from './chosen-materials.js';
import { ShelfRow } from './shelf-row.js';
import { TagBar } from './tag-bar.js';
import { SearchInput, SelectInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

export function ShelfPage(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const tag = search.get('tag');
  const [find, setFind] = useState(search.get('find') ?? '');
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
        title={t('shelfPage.shelf')}
        about={t('shelfPage.allYourMaterialsInLessons')}
        actions={<Ways find={find} onFind={setFind} autoFocus={search.get('focus') === 'find'} />}
      />
      <Intake
        label={t('shelfPage.nextMaterial')}
        placeholder={t('shelfPage.nextMaterialPasteLinksDrop')}
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
      {shelf.isPending && <Loading label={t('shelfPage.theShelfIsLoading')} />}
      {hasFailed(shelf) && <Failed words={wordsFor(shelf.error)} onRetry={() => void shelf.refetch()} />}
      {shelf.isSuccess && rows.length === 0 && <Nothing wanted={wanted} />}
      {rows.length > 0 && <Rows rows={rows} total={shelf.data?.pages[0]?.total ?? 0} {...rest} />}
      {shelf.hasNextPage && (
        <Button className="mt-3" disabled={shelf.isFetchingNextPage} onClick={() => void shelf.fetchNextPage()}>
          {t('shelfPage.showMore')}
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
        label={t('shelfPage.findOnTheShelf')}
        placeholder={t('shelfPage.findByTitleLinkOr')}
        value={find}
        autoFocus={autoFocus}
        onFind={(find) => onFind(find)}
      />
      <Link to="/inspect" className={buttonClass()}>
        {t('shelfPage.inspectACode')}
      </Link>
      <Link to="/shelf/short-links" className={buttonClass()}>
        {t('shelfPage.shortLinks')}
      </Link>
      <Link to="/shelf/files" className={buttonClass()}>
        {t('shelfPage.files')}
      </Link>
      <Link to="/add" className={buttonClass('main')}>
        {t('shelfPage.addSomething')}
      </Link>
    </>
  );
}

function Nothing({ wanted }: { readonly wanted: string }): ReactElement {
  return wanted === '' ? (
    <Empty title={t('shelfPage.theShelfIsEmpty')}>{t('shelfPage.whateverYouPasteAboveIs')}</Empty>
  ) : (
    <Empty title={t('shelfPage.nothingFoundFor', { wanted })}>{t('shelfPage.tryFewerLettersOrAnother')}</Empty>
  );
}

const orderWords: Readonly<Record<ShelfOrder, string>> = {
  newest: t('shelfPage.newestFirst'),
  oldest: t('shelfPage.oldestFirst'),
  title: t('shelfPage.byTitle'),
  kind: t('shelfPage.byKind'),
  state: t('shelfPage.problemsFirst'),
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
          {wanted === ''
            ? tag === null
              ? t('shelfPage.materials', { count: total })
              : t('shelfPage.materialsIn', { count: total, tag })
            : tag === null
              ? t('shelfPage.materialsFound', { count: total })
              : t('shelfPage.materialsFoundIn', { count: total, tag })}
        </p>
        <SelectInput
          aria-label={t('shelfPage.sortTheShelf')}
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
