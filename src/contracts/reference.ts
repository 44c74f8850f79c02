import { z } from 'zod';
import { Id } from '../core/primitives/schemas.ts';
import { Time } from './primitives.ts';

export const ReferenceName = z.string().trim().max(60, 'A name has at most 60 letters.');

/** A picture to look at while choosing colours and at the table, pinned to a sheet or to one of its things. */
export const Reference = z.object({
  id: Id,
  /** The thing that it shows; null for the whole sheet. */
  thingId: Id.nullable(),
  name: ReferenceName,
  /** Pixels. */
  width: z.int(),
  height: z.int(),
  hash: z.string(),
  at: Time,
});
export type Reference = z.infer<typeof Reference>;

/** What can be changed about a pinned picture; one that is taken down can be pinned again. */
export const ReferenceEdit = z.object({
  thingId: Id.nullable().optional(),
  name: ReferenceName.optional(),
  pinned: z.boolean().optional(),
});
export type ReferenceEdit = z.infer<typeof ReferenceEdit>;
