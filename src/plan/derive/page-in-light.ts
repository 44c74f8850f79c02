import type { Plan } from '../../contracts/index.ts';
import { type OpenPage } from '../../core/render/index.ts';
import { lightingOf } from '../select.ts';
import { type PlannedPage, formedThings, withLight } from './things-in-light.ts';

/** A page whose regions know what a plan's light does on them. */
export function pageInLight(open: OpenPage, plan: Plan): PlannedPage {
  const { regions, neighbours } = open.index;
  const page = { regions, neighbours };
  return withLight(page, open.samples(formedThings(plan, page), lightingOf(plan)));
}
