import type { TrialStep } from '../../../contracts/index.ts';
import { type Paper, type Pass, type PencilOptics, type ToolPass } from '../../../core/laydown/index.ts';
import { type RegionGround, OpticsStore, groundFinder } from '../../../core/render/index.ts';
import { type TrayPencil, onPaper } from '../../../core/tray/index.ts';

/** Pencils that were solved in this worker. */
const store = new OpticsStore();

export function opticsOf(pencil: TrayPencil): PencilOptics {
  return store.of(pencil).optics;
}

/** The optics of some pencils, by id. */
export function opticsById(pencils: readonly TrayPencil[]): Map<string, PencilOptics> {
  return new Map(pencils.map((pencil) => [pencil.id, opticsOf(pencil)]));
}

/** Some pencils as they come out on a paper. */
export function laidOn(paper: Paper, pencils: readonly TrayPencil[]) {
  return onPaper(pencils, paper, opticsById(pencils));
}

/** What a recipe starts from. @param onGround what lies there; null for bare paper */
export function groundOf(paper: Paper, onGround: RegionGround | null) {
  return groundFinder(paper, new Map(onGround ? [[1, onGround]] : []))(1).ground;
}

/** The passes of a trial patch. */
export function passesOf(steps: readonly TrialStep[], optics: ReadonlyMap<string, PencilOptics>): (Pass | ToolPass)[] {
  return steps.map((step) => ('pencil' in step ? { pencil: optics.get(step.pencil)!, pressure: step.pressure } : step));
}
