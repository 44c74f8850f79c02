import { z } from 'zod';
import { TOOTH_LEFT } from '../laydown/index.ts';
import { Hex } from '../primitives/schemas.ts';
import { GROUND_KINDS } from './ground-kinds.ts';

/** What lies on a region before anything is laid by plan. */
export const RegionGround = z.object({
  kind: z.enum(GROUND_KINDS),
  /** As seen; of no meaning where it is bare. */
  colour: Hex,
  /** How much a coloured place still takes, as it feels; null where nobody felt it. */
  toothLeft: z.enum(TOOTH_LEFT).nullable(),
});
export type RegionGround = z.infer<typeof RegionGround>;
