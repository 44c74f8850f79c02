import { type PencilType } from './pencil-types/index.ts';

/** What of a pencil decides how it fills the paper, whatever its colour. */
export interface Lead {
  type: PencilType;
  /** How much harder it presses than a long pencil in the same hand. */
  presses: number;
}

/** A pencil as the layer model uses it. */
export interface PencilOptics extends Lead {
  /** Absorption per unit of film thickness, 36 bands. */
  k: Float64Array;
  /** Scattering per unit of film thickness, 36 bands. */
  s: Float64Array;
  /** 1 + K / S, and its b, as filmConstants gives them: kept, since every pass needs them. */
  a: Float64Array;
  b: Float64Array;
}
