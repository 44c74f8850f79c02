import { type Hand } from '../pressure.ts';

/** A paper as the layer model sees it. Roughness and tooth are relative to a smooth white book page, which is 1, 1. */
export interface Paper {
  id: string;
  /** As the colourist would say it. */
  name: string;
  /** The bare paper's colour, `#rrggbb`. */
  tint: string;
  /** How deep its valleys are; more leaves more specks. */
  rough: number;
  /** How much pigment its tooth holds. */
  tooth: number;
  /** Width of a feature of its grain, mm: how far apart its hills and valleys lie. */
  grainMm: number;
  /**
   * How far a press that reaches the hills strays into the valleys as well, 0..1; 1 for papers as they are declared. Below
   * it a second layer falls more where the first one fell.
   */
  stray?: number;
  /**
   * How coverage grows with what a pass offers, 1 for papers as they are declared: below 1, little pigment is spread thin
   * over more fibres; above 1, it sits in thick grains.
   */
  spread?: number;
  /** How much of the tooth a hard press crushes beside what its pencil's type does; 1 for papers as they are declared. */
  crush?: number;
  /** Yule and Nielsen's n of specks on it; 2 for papers as they are declared. */
  yuleNielsen?: number;
  /** How hard the person presses who lays on it, where that was found; as each pressure's name means by default. */
  hand?: Hand;
  /** One line on how it behaves. */
  says: string;
}
