import { useDesk } from '../desk/desk-context.ts';
import { Laydown } from '../parts/index.ts';
import { type Near, useNearest } from './use-nearest.ts';

/** The pencils that come nearest to one of them, to choose from. */
export function ChooseNear({ pencilId, onChoose }: { pencilId: string; onChoose(near: Near): void }) {
  const { paperModel } = useDesk();
  const near = useNearest(pencilId);
  if (!near) return <p className="py-3 text-soft">Looking for what comes near …</p>;
  if (near.length === 0) return <p className="py-3">There is no other pencil in this tray.</p>;
  return (
    <ul className="mt-3 grid gap-1.5">
      {near.map((each) => (
        <li key={each.pencil.id}>
          <button
            type="button"
            className="flex min-h-14 w-full items-center gap-3 border border-edge bg-leaf px-2 py-1 text-left hover:border-ink"
            onClick={() => onChoose(each)}
          >
            <Laydown pencil={each.pencil} paperModel={paperModel} width={72} height={40} />
            <span className="min-w-0 flex-1">
              <span className="font-figure text-lg font-bold">{each.pencil.code}</span>{' '}
              {each.pencil.ownName || each.pencil.name}
              <span className="block text-sm text-soft">{each.differs}</span>
            </span>
            <span className="font-figure text-sm text-soft" title="CIEDE2000 at a medium press">
              {each.apart.toFixed(1)} apart
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
