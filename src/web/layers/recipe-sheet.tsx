import { Printer } from 'lucide-react';
import { createPortal } from 'react-dom';
import type { Thing } from '../../contracts/index.ts';
import { toolById } from '../../core/laydown/index.ts';
import { type Recipe, cautionsOf, effectById, zoneMm, zoneWords } from '../../core/recipe/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Laydown } from '../parts/index.ts';

/** A thing's whole recipe on a printed sheet: every layer in order, with a box to tick. */
export function RecipeSheet({ thing, recipe }: { thing: Thing; recipe: Recipe }) {
  const { sheet, pencilById, paperModel } = useDesk();
  return (
    <>
      <Button look="bare" className="px-0!" onClick={() => window.print()}>
        <Printer size={16} aria-hidden /> Print these layers
      </Button>
      {createPortal(
        <div className="print-alone hidden bg-white p-4 text-black print:block" data-testid="recipe-sheet">
          <h1 className="text-xl">
            {sheet.title}: {thing.name}
          </h1>
          <p className="mb-3 text-sm">
            {effectById(recipe.effect).name}: {effectById(recipe.effect).says} {recipe.notes.join(' ')}
          </p>
          <ol>
            {recipe.layers.map((layer, i) => {
              const pencil = pencilById.get(layer.pencil);
              return (
                <li key={layer.id} className="mb-2 flex break-inside-avoid gap-3 border-t border-black pt-1 text-sm">
                  <span className="mt-1 h-4 w-4 shrink-0 border border-black" />
                  <span className="w-5 shrink-0 font-bold">{i + 1}</span>
                  {pencil && !layer.tool && <Laydown pencil={pencil} paperModel={paperModel} width={60} height={26} />}
                  <span>
                    {layer.tool ? (
                      <strong>{toolById(layer.tool).name}</strong>
                    ) : (
                      <>
                        <strong>{pencil?.code}</strong> {pencil?.ownName || pencil?.name}
                      </>
                    )}
                    : {layer.pressure}, {layer.passes === 1 ? 'once' : `${layer.passes} times`}, {layer.stroke}
                    {layer.direction && `, ${layer.direction}`}
                    {layer.pull && `, pulled from ${layer.pull}`}, {layer.point}. {zoneWords(layer.zone)} (
                    {zoneMm(layer.zone)}). {layer.purpose} {layer.dryMinutes ? `Dries ${layer.dryMinutes} min. ` : ''}
                    {cautionsOf(layer, pencil?.type ?? '').join(' ')}
                  </span>
                </li>
              );
            })}
          </ol>
        </div>,
        document.body,
      )}
    </>
  );
}
