import { Printer } from 'lucide-react';
import { createPortal } from 'react-dom';
import { useMemo } from 'react';
import { type Pencil } from '../../contracts/index.ts';
import { pencilsOf } from '../../core/recipe/index.ts';
import { thingsOf } from '../../plan/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Laydown } from '../parts/index.ts';

/** Boxes to lay the page's pencils side by side on scrap before the page is touched, printed on a sheet of its own. */
export function StripForScrap() {
  const { sheet, pencilById, paperModel } = useDesk();
  const things = thingsOf(sheet.plan);
  const rows = useMemo(
    () =>
      things.flatMap(({ name, family }) => {
        const own = family ? pencilsOf(family).flatMap((pencil) => pencilById.get(pencil) ?? []) : [];
        return own.length > 0 ? [{ name, own }] : [];
      }),
    [things, pencilById],
  );
  if (rows.length === 0) return null;
  return (
    <>
      <Button look="bare" className="px-0!" onClick={() => window.print()}>
        <Printer size={16} /> Print a strip to swatch together
      </Button>
      {createPortal(
        <div className="print-alone hidden bg-white p-4 text-black print:block" data-testid="strip">
          <h1 className="text-xl">{sheet.title}: swatch these together on scrap</h1>
          <p className="mb-3 text-sm">
            Lay each pencil in its box beside its neighbours, on the same paper if there is any, and look at them in
            daylight. The small patch is what is foretold.
          </p>
          {groupsOf(rows).map(({ names, own }) => (
            <div key={names.join()} className="mb-2 break-inside-avoid">
              <p className="text-sm">{names.join(', ')}</p>
              <div className="flex">
                {own.map((pencil) => (
                  <div key={pencil.id} className="border border-black" style={{ width: '26mm', height: '17mm' }}>
                    <Laydown pencil={pencil} paperModel={paperModel} width={40} height={14} />
                    <span className="ml-1 text-xs font-bold">{pencil.code}</span>
                  </div>
                ))}
              </div>
            </div>
          ))}
        </div>,
        document.body,
      )}
    </>
  );
}

/** Things with the same pencils share a row. */
function groupsOf(rows: readonly { name: string; own: readonly Pencil[] }[]) {
  const groups = new Map<string, { names: string[]; own: readonly Pencil[] }>();
  for (const { name, own } of rows) {
    const key = own.map(({ id }) => id).join();
    const group = groups.get(key) ?? { names: [], own };
    groups.set(key, { ...group, names: [...group.names, name] });
  }
  return [...groups.values()];
}
