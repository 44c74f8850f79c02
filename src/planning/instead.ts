import type { Plan, PlanChange } from '../contracts/index.ts';
import { type Family, EXTRAS } from '../core/recipe/index.ts';

/**
 * What changes in a plan where one pencil takes another's place, in families, in changes made by hand and in repairs.
 * @param thingId only in this thing; null: everywhere
 */
export function withInstead(
  { families, layers, bench }: Pick<Plan, 'families' | 'layers' | 'bench'>,
  gone: string,
  instead: string,
  thingId: string | null,
): Pick<PlanChange, 'families' | 'layers' | 'bench'> {
  const inIt = <T>(all: Readonly<Record<string, T>>, changed: (value: T) => T) =>
    Object.fromEntries(
      Object.entries(all).map(([id, value]) => [id, thingId === null || thingId === id ? changed(value) : value]),
    );
  const other = (pencil: string) => (pencil === gone ? instead : pencil);
  return {
    families: inIt(families, (family) => familyWith(family, other)),
    layers: {
      ...layers,
      edits: inIt(layers.edits, (edits) => ({
        ...edits,
        ...(edits.layers && {
          layers: Object.fromEntries(
            Object.entries(edits.layers).map(([id, edit]) => [
              id,
              edit.pencil ? { ...edit, pencil: other(edit.pencil) } : edit,
            ]),
          ),
        }),
        ...(edits.added && { added: edits.added.map((layer) => ({ ...layer, pencil: other(layer.pencil) })) }),
      })),
    },
    bench: {
      ...bench,
      repairs: bench.repairs.map((repair) =>
        thingId === null || thingId === repair.thingId ? { ...repair, pencil: other(repair.pencil) } : repair,
      ),
    },
  };
}

/** A family keeps each pencil once. */
function familyWith(family: Family, other: (pencil: string) => string): Family {
  const extras = Object.fromEntries(EXTRAS.map((extra) => [extra, family[extra] && other(family[extra])]));
  return { ...family, ...extras, pencils: [...new Set(family.pencils.map(other))] };
}
