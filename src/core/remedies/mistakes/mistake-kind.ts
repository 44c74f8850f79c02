import { type Ground, type PencilOptics } from '../../laydown/index.ts';
import { type Layer, type LooksOtherwise } from '../../recipe/index.ts';

/** Where something goes wrong: the middle of a shape with what of its recipe lies there. */
export interface WorkedPlace {
  /** Where the recipe starts. */
  ground: Ground;
  /** The layers that lie there, in order. */
  layers: readonly Layer[];
  /** The optics of their pencils, and those of the pencil that did it. */
  optics: ReadonlyMap<string, PencilOptics>;
  own: PencilOptics;
}

/** Something that can go wrong at the table. */
export interface MistakeKind {
  /** As the colourist would say it. */
  id: string;
  /** Whether it lies in one spot, mostly of a thing beside the one that is worked on. */
  inASpot: boolean;
  /** Whether pigment lies where it does not belong: it can be lifted, or be made to look meant. */
  strays: boolean;
  /** Whether an eraser takes what is too much. */
  lifts: boolean;
  /** Whether it was seen by whoever says so, however little the layer model makes of it. */
  isSeen: boolean;
  /** How the place looks, where the layers that are left can make up for it. */
  looks?: LooksOtherwise;
  /** What lay there before it happened, and what lies there now. */
  happen(place: WorkedPlace): { before: Ground; now: Ground };
}
