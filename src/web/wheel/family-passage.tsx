import { type Thing } from '../../contracts/index.ts';
import { type FamilyFacts } from '../../core/palette/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { PixelCanvas } from '../parts/index.ts';
import { pencilJobs, useAnswer } from '../workers/index.ts';

/** CSS pixels of a millimetre. */
const PX_PER_MM = 96 / 25.4;
const STRIP = { width: 308, height: 34 };

/** The passage of a thing's family as it will come out, and how it does. */
export function FamilyPassage({ thing, facts }: { thing: Thing; facts: FamilyFacts | undefined }) {
  const { page, pencilById, paperModel, recipes } = useDesk();
  const recipe = recipes.get(thing.id);
  const check = () => {
    const used = [...new Set(recipe!.layers.map(({ pencil }) => pencil))].flatMap((id) => pencilById.get(id) ?? []);
    return pencilJobs.start('checkRecipe', {
      recipe: recipe!,
      before: null,
      regions: thing.regionIds.flatMap((id) => page!.regions[id - 1] ?? []),
      pencils: used.map(paperModel.trayPencil),
      paper: paperModel.paper,
      onGround: null,
      beside: {},
      ...STRIP,
    });
  };
  const checked = useAnswer(recipe && page ? [check] : [], [recipe, page, pencilById, paperModel, thing.regionIds]);
  const strip = checked.value?.ramp ?? null;
  const halfWidth = recipe?.halfWidthMm ?? 1;
  const scale = Math.max(1, Math.floor(STRIP.width / (halfWidth * PX_PER_MM)));
  return (
    <>
      {strip && recipe && (
        <figure>
          <div
            className="overflow-hidden"
            style={{ width: `${Math.min(STRIP.width, halfWidth * PX_PER_MM * scale)}px` }}
          >
            <PixelCanvas pixels={strip} className="h-8 w-full" />
          </div>
          <figcaption className="text-[0.85rem] text-soft">
            from edge to middle, {halfWidth.toFixed(1)} mm
            {scale > 1 ? `, drawn ${scale} times as wide` : ', as wide as on the page'}
          </figcaption>
        </figure>
      )}
      {facts && (
        <p className="text-[0.92rem] leading-snug">
          {facts.steps.length > 0 && (
            <>
              Value steps {facts.steps.map(({ value }) => value.toFixed(0)).join(', ')}; the largest colour step is{' '}
              {facts.largestStep.toFixed(0)}.{' '}
            </>
          )}
          {facts.leastApart !== null && <>The nearest neighbour is {facts.leastApart.toFixed(0)} apart. </>}
          <span className="text-soft">{facts.blending}</span>
        </p>
      )}
    </>
  );
}
