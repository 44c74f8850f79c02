import { type Region } from '../lineart/index.ts';
import { type Layer, type LitRegion, type Recipe, coveredMm2 } from '../recipe/index.ts';
import { partsByPlace } from './parts-by-place.ts';
import { ASSUMED_RATES, type Rates, minutesFor } from './rates.ts';
import { boxAround } from './step.ts';
import type { Step } from './schemas.ts';

/** A thing with its recipe, ready to be done. */
export interface PlannedThing {
  id: string;
  regions: readonly (Region & LitRegion)[];
  recipe: Recipe;
  /** Whether a layer is done already on a region; default none is. */
  isDone?(layerId: string, region: number): boolean;
}

/** What steps need to know of pencils and of the hand. */
export interface StepFacts {
  /** L* of a pencil's laydown, by id. */
  valueOf(pencil: string): number;
  /** How many sharp points a layer wears down on so much area, mm2; default none. */
  pointsOf?(layer: Layer, areaMm2: number): number;
  /** Whether what a layer leaves smears under a hand; default it does not. */
  isSoft?(layer: Layer): boolean;
  /** Default the assumed ones. */
  rates?: Rates;
}

/** A step over several regions takes no longer than this, minutes; more of them are parted by place. */
export const LONGEST_STEP_MINUTES = 10;

/**
 * Turns recipes into steps: one for each layer of each thing over all of its regions that are wide enough, parted by
 * place where that takes too long, each after the one before it in the same thing. Layers that no region has room for,
 * and those that are done, make no step.
 */
export function makeSteps(things: readonly PlannedThing[], facts: StepFacts): Step[] {
  return things.flatMap(({ id: thingId, regions, recipe, isDone }) => {
    const steps: Step[] = [];
    for (const layer of recipe.layers) {
      const wide = regions.filter(
        ({ id, usableWidthMm }) => usableWidthMm >= layer.fromWidthMm && !isDone?.(layer.id, id),
      );
      if (wide.length === 0) continue;
      const minutesOf = (own: readonly LitRegion[]) => minutesOfLayer(layer, own, facts.rates);
      const parts = partsByPlace(wide, minutesOf, LONGEST_STEP_MINUTES);
      for (const [k, own] of parts.entries()) {
        const last = steps.at(-1);
        const { id: layerId, fromWidthMm: _fromWidthMm, role: _role, ...how } = layer;
        const covered = coveredMm2(layer, own);
        steps.push({
          ...how,
          id: parts.length === 1 ? `${thingId}/${layerId}` : `${thingId}/${layerId}~${k + 1}`,
          thingId,
          layerId,
          regionIds: own.map(({ id }) => id),
          minutes: minutesOf(own),
          coveredMm2: covered,
          value: facts.valueOf(layer.pencil),
          box: boxAround(own),
          soft: facts.isSoft?.(layer) ?? false,
          // A tool works what is laid: it wears no point.
          wear: layer.tool ? 0 : (facts.pointsOf?.(layer, covered) ?? 0),
          after: last ? [last.id] : [],
        });
      }
    }
    return steps;
  });
}

/** Minutes that a layer takes on some regions that are wide enough for it, before the pencil is picked up. */
export function minutesOfLayer(layer: Layer, regions: readonly LitRegion[], rates: Rates = ASSUMED_RATES): number {
  return minutesFor(coveredMm2(layer, regions), { ...layer, regions: regions.length }, rates);
}
