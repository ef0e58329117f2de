import {
  decimals,
  freeId,
  putStoreItem,
  removeStoreItem,
  type ShoppingList,
  type StoreItem,
  safeties,
  sayBuy,
  sayKind,
  sayQuantity,
} from '@hosket/core';
import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { ChoiceField, WordsField } from '../../ui/Field.tsx';
import { Figure } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Table } from '../../ui/Table.tsx';
import { AddToCupboard } from './AddToCupboard.tsx';
import { type StoreRow, states, storeRows } from './rows.ts';
import { ShedRows } from './ShedRows.tsx';

const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
  filterFns: { includesString: filterFn_includesString },
});
const helper = createColumnHelper<typeof features, StoreRow>();
const groupings = ['how far it is', 'kind', 'place', 'nothing'] as const;
type Grouping = (typeof groupings)[number];
const groupOf: Record<Grouping, (row: StoreRow) => string> = {
  'how far it is': ({ state }) => state,
  kind: ({ form }) => form,
  place: ({ item }) => item?.place || 'no place',
  nothing: () => '',
};
const groupOrder = (a: string, b: string) => {
  const [i, j] = [a, b].map((name) => (states as readonly string[]).indexOf(name));
  return i >= 0 && j >= 0 ? i - j : a.localeCompare(b);
};

/** Columns that hold numbers. */
const NUMBERS = new Set(['needed', 'buy', 'cost', 'left']);

const columns = helper.columns([
  helper.accessor('name', { header: 'Material', sortFn: 'alphanumeric' }),
  helper.accessor(({ item, unit }) => `${unit} ${item?.amount ?? 0}`, {
    id: 'stock',
    header: 'In the cupboard',
    sortFn: 'alphanumeric',
  }),
  helper.accessor(({ item }) => item?.useBy ?? '', { id: 'useBy', header: 'Use by', sortFn: 'alphanumeric' }),
  helper.accessor(({ line }) => line?.wanted ?? 0, { id: 'needed', header: 'Needed', sortFn: 'basic' }),
  helper.accessor(({ line }) => line?.short ?? 0, { id: 'buy', header: 'To buy', sortFn: 'basic' }),
  helper.accessor(({ line }) => line?.buy?.cost ?? 0, { id: 'cost', header: 'Cost', sortFn: 'basic' }),
  helper.accessor(({ line }) => line?.left ?? 0, { id: 'left', header: 'Left over', sortFn: 'basic' }),
]);

/** Stock, needs and shopping in one table: sorted, filtered, grouped, and written where it stands. */
export function CupboardPage({ list }: { list: ShoppingList }) {
  const project = useProject();
  const [grouping, setGrouping] = useState<Grouping>('how far it is');
  const [wanted, setWanted] = useState('');
  const rows = useMemo(() => storeRows(project, list.shopping), [project, list]);
  const table = useTable({
    features,
    columns,
    data: rows,
    state: { globalFilter: wanted },
    onGlobalFilterChange: setWanted,
    globalFilterFn: 'includesString',
    getColumnCanGlobalFilter: (column) => column.id === 'name',
    getRowId: (row) => row.key,
  });
  const shown = table.getRowModel().rows.map(({ original }) => original);
  const groups = [...new Set(shown.map(groupOf[grouping]))].sort(groupOrder);
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <div className="w-[180px]">
          <WordsField label="Look for" value={wanted} onValue={setWanted} />
        </div>
        <ChoiceField label="Grouped by" value={grouping} options={groupings} onValue={setGrouping} />
        <ChoiceField
          label="How sure to have enough, %"
          value={String(project.stores.safety)}
          options={safeties.map(String)}
          onValue={(text) => {
            const safety = safeties.find((one) => String(one) === text);
            if (safety) edit((p) => ({ ...p, stores: { ...p.stores, safety } }));
          }}
        />
        <AddToCupboard />
      </div>
      <Table label="Cupboard, needs and shopping">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className={NUMBERS.has(header.id) ? 'number' : undefined}
                  >
                    <button
                      type="button"
                      className="inline-flex cursor-pointer items-center gap-0.5 whitespace-nowrap hover:text-graphite"
                      onClick={() => header.column.toggleSorting()}
                    >
                      <Word of={String(header.column.columnDef.header)}>
                        <table.FlexRender header={header} />
                      </Word>
                      {sorted === 'asc' && <ArrowUp size={12} aria-hidden />}
                      {sorted === 'desc' && <ArrowDown size={12} aria-hidden />}
                    </button>
                  </th>
                );
              })}
              <th scope="col">
                <span className="sr-only">Actions</span>
              </th>
            </tr>
          ))}
        </thead>
        {groups.map((name) => (
          <tbody key={name}>
            {name && (
              <tr>
                <th scope="rowgroup" colSpan={columns.length + 1}>
                  {name[0].toUpperCase() + name.slice(1)}
                </th>
              </tr>
            )}
            {shown
              .filter((row) => groupOf[grouping](row) === name)
              .map((row) => (
                <Row key={row.key} row={row} />
              ))}
          </tbody>
        ))}
        <ShedRows needs={list.sheets} wanted={wanted} columns={columns.length + 1} />
      </Table>
      {!shown.length && (
        <p className="mt-3 text-sm text-muted">
          {rows.length
            ? 'Nothing here is called that.'
            : 'Nothing is needed and nothing is stored yet. Draw some ground, or put something into the cupboard.'}
        </p>
      )}
      <p className="mt-3 text-xs text-muted">
        Write what is there into the column “In the cupboard”. How sheets and offcuts are sold, measured and kept is
        written in the shed (Layers).
      </p>
    </div>
  );
}

function Row({ row }: { row: StoreRow }) {
  const { currency } = useProject();
  const units = useView((view) => view.units);
  const { item, line, unit, material, which } = row;
  const name = sayKind(row);
  const change = (next: Partial<StoreItem>) => item && edit((p) => putStoreItem(p, { ...item, ...next }));
  const stock = (amount: number | null) => {
    if (item) return amount === null ? edit((p) => removeStoreItem(p, item.id)) : change({ amount });
    if (amount !== null)
      edit((p) =>
        putStoreItem(p, {
          id: freeId('store', p.stores.items),
          material,
          which,
          amount,
          unit,
          opened: null,
          useBy: null,
          place: '',
        }),
      );
  };
  const details = item && (
    <span className="mt-1 flex flex-wrap items-center gap-x-3 text-xs text-muted">
      opened
      <span className="w-[118px]">
        <DayField hideLabel label={`${name} opened on`} value={item.opened} onValue={(opened) => change({ opened })} />
      </span>
      colour or grade
      <span className="w-[110px]">
        <WordsField
          hideLabel
          label={`Colour or grade of ${name}`}
          most={60}
          value={item.which}
          onValue={(which) => change({ which })}
        />
      </span>
      kept in
      <span className="w-[110px]">
        <WordsField
          hideLabel
          label={`Place of ${name}`}
          most={60}
          value={item.place}
          onValue={(place) => change({ place })}
        />
      </span>
    </span>
  );
  return (
    <>
      <tr aria-label={name} data-goes-on={!!item}>
        <th scope="row" className="min-w-[150px]">
          {name}
          {line && line.steps.length > 0 && (
            <span className="block text-xs text-muted">{line.steps.map(({ title }) => title).join(', ')}</span>
          )}
        </th>
        <td className="min-w-[92px]">
          <QuantityField
            label={`${name} in the cupboard`}
            unit={item?.unit ?? unit}
            value={item?.amount ?? null}
            none="none"
            onValue={stock}
          />
          {line && line.pastDate > 0 && <span className="text-xs text-plum">past its date</span>}
        </td>
        <td>
          {item && (
            <DayField hideLabel label={`${name} use by`} value={item.useBy} onValue={(useBy) => change({ useBy })} />
          )}
        </td>
        <td className="number">{line && <Figure text={sayQuantity(line.wanted, unit, units)} />}</td>
        <td className="number">
          {line && line.short > 1e-9 && <Figure text={sayBuy(line, units)} />}
          {line && line.short > 1e-9 && !line.buy && <span className="block text-xs text-muted">no pack known</span>}
        </td>
        <td className="number">
          {line?.buy?.cost != null && <Figure text={`${decimals(line.buy.cost, 2)} ${currency}`} />}
        </td>
        <td className="number">{line && line.left > 0 && <Figure text={sayQuantity(line.left, unit, units)} />}</td>
        <td>
          {item && (
            <Button
              tone="quiet"
              aria-label={`Take ${name} out of the cupboard`}
              onClick={() => edit((p) => removeStoreItem(p, item.id))}
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          )}
        </td>
      </tr>
      {details && (
        <tr>
          <td colSpan={columns.length + 1}>{details}</td>
        </tr>
      )}
    </>
  );
}
