import { type Region } from '../lineart/index.ts';
import { type Recipe, shareOfZone } from '../recipe/index.ts';
import { minutesFor } from './minutes.ts';
import { type Step } from './step.ts';

/** A thing with its recipe, ready to be done. */
export interface PlannedThing {
  id: string;
  regions: readonly Region[];
  recipe: Recipe;
}

/**
 * Turns recipes into steps: one for each layer of each thing, over all of its regions that are wide enough, each after
 * the one before it in the same thing. Layers that no region has room for make no step.
 * @param valueOf L* of each pencil's laydown, by id
 */
export function makeSteps(things: readonly PlannedThing[], valueOf: (pencil: string) => number): Step[] {
  return things.flatMap(({ id: thingId, regions, recipe }) => {
    const steps: Step[] = [];
    for (const layer of recipe.layers) {
      const wide = regions.filter((region) => region.usableWidthMm >= layer.fromWidthMm);
      if (wide.length === 0) continue;
      const area = wide.reduce((sum, region) => sum + region.areaMm2, 0);
      const last = steps.at(-1);
      steps.push({
        id: `${thingId}/${layer.id}`,
        thingId,
        layerId: layer.id,
        pencil: layer.pencil,
        regionIds: wide.map((region) => region.id),
        pressure: layer.pressure,
        passes: layer.passes,
        stroke: layer.stroke,
        point: layer.point,
        zone: layer.zone,
        purpose: layer.purpose,
        ...(layer.direction && { direction: layer.direction }),
        ...(layer.tool && { tool: layer.tool }),
        ...(layer.dryMinutes && { dryMinutes: layer.dryMinutes }),
        minutes: minutesFor(area, shareOfZone(layer.zone), {
          passes: layer.passes,
          point: layer.point,
          regions: wide.length,
        }),
        value: valueOf(layer.pencil),
        after: last ? [last.id] : [],
      });
    }
    return steps;
  });
}
