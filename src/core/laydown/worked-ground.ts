import { BANDS, type Lab, spectrumOfLab } from '../colour/index.ts';
import { type Ground, bareGround } from './ground.ts';
import { type Relief, passGeometry } from './pass.ts';
import { type Paper } from './papers/index.ts';
import { pencilTypeById } from './pencil-types/index.ts';
import { toolById } from './tools/index.ts';
import { PRESS, type Pressure } from './pressure.ts';

/** How much a coloured place still takes, as a person feels it. */
export const TOOTH_LEFT = ['plenty', 'some', 'none'] as const;
export type ToothLeft = (typeof TOOTH_LEFT)[number];

/** The passes after which paper feels so: what was really laid there nobody knows any more. */
const FEELS_LIKE: Readonly<Record<ToothLeft, readonly Pressure[]>> = {
  plenty: ['light', 'light'],
  some: ['medium', 'medium', 'medium'],
  none: ['firm', 'firm', 'burnish'],
};
const USUAL_PENCIL = 'oil';

/**
 * Paper with a grey printed on it, or stained by a wash: another colour with all of its tooth.
 * @param lab colour as seen
 */
export function stainedGround(paper: Paper, lab: Lab): Ground {
  const bare = spectrumOfLab(lab);
  return { ...bareGround(paper), bare, covered: bare };
}

/** What an alcohol marker leaves of the paper: its dye fills the fibres, so that it is smoother and takes less. Assumptions. */
const MARKED = { rough: 0.8, tooth: 0.7, takes: 0.9 };

/**
 * Paper stained by an alcohol marker: its colour shows between pencil strokes, and it is smooth and takes less pencil.
 * @param lab colour as seen
 */
export function markedGround(paper: Paper, lab: Lab): Ground {
  const { rough, tooth, takes, ...stained } = stainedGround(paper, lab);
  return { ...stained, rough: MARKED.rough * rough, tooth: MARKED.tooth * tooth, takes: MARKED.takes * takes };
}

/**
 * Paper under a dry coat of paint: hidden, with little tooth left on the matt surface.
 * @param lab colour as seen
 */
export function paintedGround(paper: Paper, lab: Lab): Ground {
  return { ...toolById('paint').use(bareGround(paper), 1, spectrumOfLab(lab)), wet: false };
}

/**
 * A place that was coloured before: it looks as it is seen, and has lost as much tooth as it feels.
 * @param lab colour as seen, specks and all
 */
export function workedGround(paper: Paper, lab: Lab, toothLeft: ToothLeft): Ground {
  let state: Relief = bareGround(paper);
  for (const pressure of FEELS_LIKE[toothLeft]) {
    const { specks, filled, mass } = passGeometry(state, pencilTypeById(USUAL_PENCIL), PRESS[pressure]);
    state = { ...state, specks, filled, mass };
  }
  const paperGround = bareGround(paper);
  const n = paperGround.yuleNielsen;
  const { filled, mass } = state;
  // What covers the paper is what makes paper and cover together look as they do; see `seen`. A place darker than
  // so much bare paper allows shows less of it.
  const whole = spectrumOfLab(lab);
  const specks = whole.reduce(
    (most, value, i) => Math.min(most, 0.95 * (value / paperGround.bare[i]!) ** (1 / n)),
    state.specks,
  );
  const covered = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) {
    const root = (whole[i]! ** (1 / n) - specks * paperGround.bare[i]! ** (1 / n)) / (1 - specks);
    covered[i] = Math.min(1, root) ** n;
  }
  return { ...paperGround, covered, specks, filled, mass };
}
