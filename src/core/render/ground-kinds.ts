import { type Lab } from '../colour/index.ts';
import {
  type Ground,
  type Paper,
  type ToothLeft,
  bareGround,
  markedGround,
  paintedGround,
  stainedGround,
  workedGround,
} from '../laydown/index.ts';

/** What can lie on a region before anything is laid by plan. */
export const GROUND_KINDS = ['bare', 'printed grey', 'marker', 'wash', 'paint', 'coloured'] as const;
export type GroundKind = (typeof GROUND_KINDS)[number];

/** What each is to a pencil, by its colour as seen and by how much it still takes, as far as somebody felt that. */
export const GROUND_OF: Readonly<Record<GroundKind, (paper: Paper, lab: Lab, toothLeft: ToothLeft | null) => Ground>> =
  {
    bare: bareGround,
    'printed grey': stainedGround,
    marker: markedGround,
    wash: stainedGround,
    paint: paintedGround,
    // Where nobody felt it, a coloured place is taken to have some tooth left.
    coloured: (paper, lab, toothLeft) => workedGround(paper, lab, toothLeft ?? 'some'),
  };
