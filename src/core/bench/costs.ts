/** What things cost at the table beside the colouring itself. Assumptions; each can be set otherwise. */
export interface Costs {
  /** Seconds to put one pencil down and take up another. */
  pickUpSeconds: number;
  /** Seconds to sharpen a point. */
  sharpenSeconds: number;
  /** Seconds to move on by 100 mm to the next place. */
  travelSeconds: number;
  /**
   * Seconds that it is worth to keep the hand off 1 cm2 of soft finished work. A risk and not a time: it steers the order
   * and is told apart from the minutes.
   */
  smearSeconds: number;
}

export const USUAL_COSTS: Costs = { pickUpSeconds: 12, sharpenSeconds: 20, travelSeconds: 0.6, smearSeconds: 0.15 };

/** What things cost a person of this pace. */
export function costsAt({ pickUpSeconds }: Pick<Costs, 'pickUpSeconds'>): Costs {
  return { ...USUAL_COSTS, pickUpSeconds };
}

export const HANDS = ['right', 'left'] as const;
/** The hand that holds the pencil. */
export type Handedness = (typeof HANDS)[number];
