import { Blend, Droplets, Eraser, type LucideIcon, PenTool } from 'lucide-react';
import type { Tool } from '../../contracts/index.ts';
import { useToolsQuery } from '../api/desk-api.ts';

/** What stands for a tool that has no colour of its own. */
const ICONS: Partial<Record<Tool['kind'], LucideIcon>> = {
  blender: Blend,
  solvent: Droplets,
  eraser: Eraser,
  tip: PenTool,
};

/** Pens and tools that lie beside the pencils, each with what to mind. */
export function Tools({ trayId }: { trayId: string }) {
  const { data: tools = [] } = useToolsQuery(trayId);
  if (tools.length === 0) return null;
  return (
    <section aria-label="Pens and tools" className="mt-6">
      <h2 className="mb-2 text-lg">Pens and tools</h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-3">
        {tools.map(({ id, kind, name, set, colour, note }) => (
          <li key={id} className="flex gap-3 bg-leaf p-2.5">
            <Mark kind={kind} colour={colour} />
            <span>
              <span className="block font-semibold">
                {name}
                {set && <span className="font-normal text-soft">, {set}</span>}
              </span>
              <span className="block text-[0.9rem] text-soft">{note}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Mark({ kind, colour }: Pick<Tool, 'kind' | 'colour'>) {
  const Icon = ICONS[kind];
  return (
    <span
      aria-hidden
      className="mt-0.5 flex h-9 w-9 shrink-0 items-center justify-center border border-rule"
      style={colour ? { background: colour } : undefined}
    >
      {!colour && Icon && <Icon size={20} strokeWidth={1.5} />}
    </span>
  );
}
