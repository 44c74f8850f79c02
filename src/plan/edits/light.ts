import type { Draft } from 'immer';
import type { Lamp, Light, Plan } from '../../contracts/index.ts';
import { thingIn } from './things.ts';

/** How far and how bright a glow is when it is lit. */
export const USUAL_GLOW: Light = { reachMm: 20, strength: 0.8, pencil: null };

/** Lets a point of the page glow, mm. */
export function addLamp(plan: Draft<Plan>, at: Lamp['at']): void {
  // Ids in the order in which they were lit, so that they are listed so.
  const last = Math.max(0, ...Object.keys(plan.lamps).map((id) => Number(id.replace('lamp-', '')) || 0));
  const id = `lamp-${String(last + 1).padStart(4, '0')}`;
  plan.lamps[id] = { id, at, ...USUAL_GLOW };
}

/** Changes a glow, by the id of the thing or the point that glows; null puts it out. */
export function setGlow(plan: Draft<Plan>, id: string, glow: (Light & { at?: Lamp['at'] | null }) | null): void {
  const light = glow && { reachMm: glow.reachMm, strength: glow.strength, pencil: glow.pencil };
  const lamp = plan.lamps[id];
  if (!lamp) thingIn(plan, id).glow = light;
  else if (light) plan.lamps[id] = { id, at: glow.at ?? lamp.at, ...light };
  else delete plan.lamps[id];
}
