/**
 * A finish: how metal shines. Metal shows what it faces, so its value jumps with the way that the surface turns, where
 * a dull surface only grows darker.
 */
export interface Finish {
  id: string;
  name: string;
  says: string;
  /**
   * Values from a surface that faces away from the light's side (-1) over one that faces the viewer (0) to one that faces
   * that side (1), in order: turn and tone, 0..1. Between them it runs evenly; two at nearly one turn are a hard edge.
   */
  profile: readonly (readonly [turn: number, tone: number])[];
  /**
   * Its white breaks along the form, into highlights of about so many mm with what is darker between them; undefined where
   * it runs on.
   */
  highlightsMm?: number;
  /** Dents all over it, mm from one to the next; undefined where it is smooth. */
  dentsMm?: number;
}
