import { useTable } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo } from 'react';
import type { Pencil } from '../../contracts/index.ts';
import { useEditPencilMutation } from '../api/desk-api.ts';
import { usePaper } from '../api/use-paper.ts';
import { features, pencilColumns } from './pencil-columns.tsx';
import { useSeenRows } from './use-seen-rows.ts';

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
    () => pencilColumns(use, onLook, ({ id: pencilId }, change) => void edit({ trayId, pencilId, edit: change })),
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
          <tr key={all[i]!.id} ref={measured} data-index={i} aria-rowindex={i + 2} className="border-b border-rule">
            {all[i]!.getAllCells().map((cell) => (
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
