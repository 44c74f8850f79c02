import { z } from 'zod';
import { PRESSURES } from '../core/laydown/index.ts';
import { Hex, Id } from '../core/primitives/schemas.ts';
import { Origin, Time } from './primitives.ts';

/** Something written down about a sheet: a note, or a mistake to learn from. */
export const NewNote = z.object({
  id: Id,
  kind: z.enum(['note', 'mistake']),
  text: z.string().trim().min(1, 'Write a few words first.').max(400, 'A note has at most 400 letters.'),
  at: Time,
});
export type NewNote = z.infer<typeof NewNote>;
export const Note = NewNote.extend({ origin: Origin });
export type Note = z.infer<typeof Note>;

/** A trial swatch on scrap paper: passes over one another, and what was thought of it. */
export const NewTrial = z.object({
  id: Id,
  title: z.string().trim().min(1).max(60),
  paper: z.string().max(40),
  passes: z
    .array(z.object({ code: z.string(), set: z.string(), colour: Hex, type: z.string(), pressure: z.enum(PRESSURES) }))
    .min(1)
    .max(8),
  said: z.string().max(400),
  kept: z.boolean(),
  at: Time,
});
export type NewTrial = z.infer<typeof NewTrial>;
export const Trial = NewTrial.extend({ origin: Origin });
export type Trial = z.infer<typeof Trial>;

/** What was written down about a sheet beside its finished steps, oldest first. */
export const Notebook = z.object({ notes: z.array(Note), trials: z.array(Trial) });
export type Notebook = z.infer<typeof Notebook>;

/** A drill done again and again, each time with a score in 0..1. */
export const NewPracticeSeries = z.object({
  id: Id,
  drill: z.string().trim().min(1).max(60),
  /** How the score is taken, in one line. */
  measure: z.string().max(200),
  attempts: z
    .array(z.object({ at: Time, score: z.number().min(0).max(1), note: z.string().max(200) }))
    .min(1)
    .max(500),
});
export type NewPracticeSeries = z.infer<typeof NewPracticeSeries>;
export const PracticeSeries = NewPracticeSeries.extend({ origin: Origin });
export type PracticeSeries = z.infer<typeof PracticeSeries>;
