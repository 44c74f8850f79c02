import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo } from 'react';
import type { Pencil } from '../../contracts/index.ts';
import { labOfHex, oklchOfLab, wheelOfHue, wordsFor } from '../../core/colour/index.ts';
import { pencilTypeById } from '../../core/laydown/index.ts';
import { useEditPencilMutation } from '../api/desk-api.ts';
import { usePaper } from '../api/use-paper.ts';
import { useSeenRows } from './use-seen-rows.ts';
import { coverWords, hardnessWords } from './pencil-words.ts';
import { BeliefMark, Laydown, Select } from '../parts/index.ts';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});
const column = createColumnHelper<typeof features, Pencil>();

/** Height of a usual row, CSS pixels. */
const ROW_PX = 72;

/** The tray as a table that sorts by any column. */
export function PencilTable({
  trayId,
  pencils,
  paper,
  scroller,
  onLook,
}: {
  trayId: string;
  pencils: readonly Pencil[];
  paper: string;
  /** What scrolls the table. */
  scroller: HTMLElement | null;
  onLook(pencil: Pencil): void;
}) {
  const [edit] = useEditPencilMutation();
  const use = usePaper(trayId, paper);
  const columns = useMemo(
    () =>
      column.columns([
        column.display({
          id: 'laydown',
          header: 'Laydown',
          cell: ({ row }) => <Laydown pencil={row.original} use={use} width={116} height={34} />,
        }),
        column.accessor('code', {
          header: 'Code',
          sortFn: 'alphanumeric',
          cell: ({ row: { original } }) => (
            <button
              type="button"
              aria-label={`Look at ${original.code}`}
              className="min-h-9 font-figure font-bold underline decoration-rule underline-offset-4"
              onClick={() => onLook(original)}
            >
              {original.code}
            </button>
          ),
        }),
        column.accessor((pencil) => pencil.ownName || pencil.name, {
          id: 'name',
          header: 'Name',
          sortFn: 'alphanumeric',
        }),
        column.accessor('set', { header: 'Set', sortFn: 'alphanumeric' }),
        column.accessor((pencil) => wheelOfHue(oklchOfLab(labOfHex(pencil.colour)).h), {
          id: 'hue',
          header: 'Colour',
          sortFn: 'basic',
          cell: ({ row }) => wordsFor(labOfHex(row.original.colour)),
        }),
        column.accessor((pencil) => Math.round(labOfHex(pencil.colour)[0]), {
          id: 'value',
          header: 'L*',
          sortFn: 'basic',
        }),
        column.accessor('type', {
          header: 'Type',
          sortFn: 'alphanumeric',
          cell: ({ getValue }) => <span title={pencilTypeById(getValue()).name}>{getValue()}</span>,
        }),
        column.accessor((pencil) => pencil.opacity ?? pencilTypeById(pencil.type).opacity, {
          id: 'covers',
          header: 'Covers',
          sortFn: 'basic',
          cell: ({ getValue }) => coverWords(getValue()),
        }),
        column.accessor((pencil) => pencil.hardness ?? -1, {
          id: 'core',
          header: 'Core',
          sortFn: 'basic',
          cell: ({ row }) => hardnessWords(row.original.hardness),
        }),
        column.accessor((pencil) => use?.beliefIn(pencil).apart ?? 0, {
          id: 'sure',
          header: 'Sure',
          sortFn: 'basic',
          cell: ({ row }) =>
            use && (
              <span className="flex items-center gap-1 font-figure whitespace-nowrap">
                <BeliefMark belief={use.beliefIn(row.original)} /> ±{use.beliefIn(row.original).apart.toFixed(1)}
              </span>
            ),
        }),
        column.accessor((pencil) => pencil.leadMm ?? -1, {
          id: 'lead',
          header: 'Lead',
          sortFn: 'basic',
          cell: ({ row }) => (row.original.leadMm === null ? '' : `${row.original.leadMm}\u00a0mm`),
        }),
        column.accessor('whereabouts', {
          header: 'Where',
          sortFn: 'alphanumeric',
          cell: ({ row: { original } }) => (
            <Select
              label={`Where ${original.code} is`}
              value={original.whereabouts}
              className="w-26!"
              options={[
                { value: 'here', label: 'here' },
                { value: 'stub', label: 'a stub' },
                { value: 'missing', label: 'missing' },
                { value: 'ordered', label: 'ordered' },
              ]}
              onChange={(whereabouts) => void edit({ trayId, pencilId: original.id, edit: { whereabouts } })}
            />
          ),
        }),
      ]),
    [edit, onLook, trayId, use],
  );
  const data = useMemo(() => [...pencils], [pencils]);
  const table = useTable({ features, columns, data });
  const { rows: all } = table.getRowModel();
  const { rows, above, below, holder, measured } = useSeenRows(all.length, scroller, ROW_PX);
  return (
    <table aria-rowcount={all.length + 1} className="w-full bg-leaf text-left text-[0.9rem]">
      <thead>
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id} className="border-b border-ink">
            {group.headers.map((header) => {
              const sorted = header.column.getIsSorted();
              return (
                <th
                  key={header.id}
                  scope="col"
                  className="px-1.5 py-1.5 font-semibold"
                  aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
                >
                  {header.column.getCanSort() ? (
                    <button
                      type="button"
                      className="flex min-h-9 items-center gap-1"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      <table.FlexRender header={header} />
                      {sorted === 'asc' && <ArrowUp size={14} aria-hidden />}
                      {sorted === 'desc' && <ArrowDown size={14} aria-hidden />}
                    </button>
                  ) : (
                    <table.FlexRender header={header} />
                  )}
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody ref={holder}>
        {above > 0 && <tr style={{ height: above }} aria-hidden />}
        {rows.map((i) => (
          <tr key={all[i].id} ref={measured} data-index={i} aria-rowindex={i + 2} className="border-b border-rule">
            {all[i].getAllCells().map((cell) => (
              <td key={cell.id} className="px-1.5 py-1">
                <table.FlexRender cell={cell} />
              </td>
            ))}
          </tr>
        ))}
        {below > 0 && <tr style={{ height: below }} aria-hidden />}
      </tbody>
    </table>
  );
}
