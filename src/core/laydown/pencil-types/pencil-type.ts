/** How a kind of pencil behaves on paper, apart from its colour. All factors are of the layer model in pass.ts. */
export interface PencilType {
  id: string;
  /** As the colourist would say it. */
  name: string;
  /** Mass laid per pass, relative. */
  k: number;
  /** Tooth used per mass laid, relative. */
  tau: number;
  /** How much more tooth a hard press uses. */
  chi: number;
  /** Share of a pass that still lands when the tooth is full, 0..1. */
  floor: number;
  /** Opacity when a pencil's own is not known, 0 (translucent) to 1 (covering). */
  opacity: number;
  /** Share of what it lays that a soft tip moves about, 0..1. */
  loose: number;
  /** Share of what it lays that water dissolves, 0..1. */
  soluble: number;
  /** What to mind when it is laid, in one sentence. Default nothing special. */
  caution?: string;
}
