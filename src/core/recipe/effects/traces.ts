import { type RegionContext } from './effect.ts';
import { type LayerDraft } from './fit.ts';

/** Less of a neighbour's colour than this is not worth laying. */
const FROM = 0.3;

/** The colours of what stands beside a shiny or white thing, each whispered on the side that faces it. */
export function traces(context: RegionContext, { and }: Pick<LayerDraft, 'and'> = {}): LayerDraft[] {
  return (context.shown ?? []).flatMap(({ name, pencil }, source): LayerDraft[] => {
    if (pencil === null) return [];
    return [
      {
        id: `reflected-${source + 1}`,
        role: 'reflected',
        pencil,
        pressure: 'whisper',
        passes: 1,
        field: 'reflect',
        source,
        from: FROM,
        to: 1,
        fades: 0.35,
        bands: 2,
        ...(and && { and }),
        purpose: `A trace of ${name}, on the side that faces it.`,
      },
    ];
  });
}
