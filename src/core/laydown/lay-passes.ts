import { type Lab, labOfSpectrum, spectrumOfLab } from '../colour/index.ts';
import { type Ground, bareShare, reflectanceOf } from './ground.ts';
import { groundAfter, passGeometry } from './pass.ts';
import { type PencilOptics } from './optics.ts';
import { type Pressure, pressOf } from './pressure.ts';
import { toolById } from './tools/index.ts';

/** One going-over with one pencil at one pressure. */
export interface Pass {
  pencil: PencilOptics;
  /** By name, or as a share of the hardest press (0..1) where a zone fades out. */
  pressure: Pressure | number;
}

/** One going-over with something else than a pencil. */
export interface ToolPass {
  /** Id of a tool. */
  tool: string;
  /** How hard, or how much of it: by name, or as a share (0..1). */
  pressure: Pressure | number;
  /** Colour of what it lays, where it lays any: thick, or one full coat on white. Default the tool's own, or white. */
  colour?: Lab;
}

/** What a point of the page looks like, and what it still takes. */
export interface Laid {
  /** The colour the eye sees, specks and all. */
  lab: Lab;
  /** Share of bare paper showing through, 0..1. */
  specks: number;
  /** Share of the tooth still empty, 0..1. */
  toothLeft: number;
}

/**
 * Lays passes on a ground in order and says what comes out.
 * @param ground where it starts, in the hand that it is laid in; it is not changed
 * @param passes of pencils and tools, in the order in which they are laid; a pass of no pressure changes nothing
 * @returns the end result, what stood after each pass, and the ground to go on from
 * @throws RangeError for a tool that is not known, and where a pencil or dry tool would go over wet paper
 */
export function layPasses(
  ground: Ground,
  passes: readonly (Pass | ToolPass)[],
): Laid & { after: Laid[]; ground: Ground } {
  let now = ground;
  const grounds = passes.map((pass) => (now = afterPass(now, pass)));
  return {
    ...describe(now),
    ground: now,
    // Most look at the end alone: what stood in between is seen when it is asked for.
    get after() {
      return grounds.map(describe);
    },
  };
}

/**
 * The ground alone after the same passes, for those who lay thousands and look at the last.
 * @throws RangeError as layPasses does
 */
export function groundAfterPasses(ground: Ground, passes: readonly (Pass | ToolPass)[]): Ground {
  return passes.reduce(afterPass, ground);
}

function afterPass(ground: Ground, pass: Pass | ToolPass): Ground {
  const press = pressOf(pass.pressure, ground.hand);
  if (press <= 0) return ground;
  const isMasked = ground.kept >= 1;
  if ('pencil' in pass) {
    if (isMasked) return ground;
    refuseWet(ground, 'a pencil goes over it');
    const pressed = Math.min(1, press * pass.pencil.presses);
    return groundAfter(ground, passGeometry(ground, pass.pencil.type, pressed), pass.pencil);
  }
  const tool = toolById(pass.tool);
  if (isMasked && !tool.unmasks) return ground;
  if (!tool.onWet) refuseWet(ground, `${tool.name} goes over it`);
  return tool.use(ground, press, spectrumOfLab(pass.colour ?? tool.usualColour ?? [100, 0, 0]));
}

function refuseWet(ground: Ground, what: string): void {
  if (ground.wet) throw new RangeError(`The paper is still wet; let it dry before ${what}.`);
}

function describe(ground: Ground): Laid {
  return { lab: labOfSpectrum(reflectanceOf(ground)), specks: bareShare(ground), toothLeft: 1 - ground.filled };
}
