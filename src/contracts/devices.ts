import { z } from 'zod';
import { type Run } from '../core/run/index.ts';
import { Id } from '../core/primitives/schemas.ts';
import { PatchKind, SwatchGround } from '../core/laydown/schemas.ts';

/** How well a simulated device works: a person sees what becomes of a page on a good, a middling and a bad day. */
export const QUALITIES = ['good', 'middling', 'bad'] as const;
export const Quality = z.enum(QUALITIES);
export type Quality = z.infer<typeof Quality>;

export const Device = z.object({
  id: z.string(),
  kind: z.enum(['scanner', 'camera', 'meter']),
  name: z.string(),
  /** Whether it only pretends; the screen always says so. */
  simulated: z.boolean(),
});
export type Device = z.infer<typeof Device>;

/** Something that can lie under a device. */
export const Subject = z.object({ id: z.string().min(1).max(80), title: z.string(), says: z.string() });
export type Subject = z.infer<typeof Subject>;

/** What every picture is taken with; the same seed gives the same picture. */
const Taking = z.object({ subject: Subject.shape.id, quality: Quality, seed: z.int().min(0).max(1_000_000) });
export const DPIS = [150, 200, 300] as const;
export const ScanRequest = Taking.extend({ dpi: z.union(DPIS.map((dpi) => z.literal(dpi))) });
export type ScanRequest = z.infer<typeof ScanRequest>;
export const ShotRequest = Taking;
export type ShotRequest = z.infer<typeof ShotRequest>;

/** A picture that a device has taken: a file like any other. */
export interface TakenPicture {
  name: string;
  mime: 'image/jpeg';
  bytes: Uint8Array;
}

/** A scanner: a real one and a simulated one are used alike. */
export interface Scanner {
  device: Device;
  subjects(): Promise<Subject[]>;
  /** @throws CancelledError when the run is cancelled, RangeError for a subject that does not lie there */
  scan(request: ScanRequest, run: Run): Promise<TakenPicture>;
}

/** A camera, used like a scanner. */
export interface Camera {
  device: Device;
  subjects(): Promise<Subject[]>;
  /** @throws CancelledError when the run is cancelled, RangeError for a subject that does not lie there */
  shoot(request: ShotRequest, run: Run): Promise<TakenPicture>;
}

/** Which patch the meter is laid on. A real meter reads what lies under it and needs only to be told for the record. */
export const MeterRequest = z.object({
  trayId: Id,
  pencilId: Id,
  paper: z.string().max(40),
  patch: PatchKind,
  ground: SwatchGround,
  quality: Quality,
  seed: z.int().min(0).max(1_000_000),
});
export type MeterRequest = z.infer<typeof MeterRequest>;

/** What a meter answers: it is still warming up, it read badly, or it read. */
export const MeterAnswer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('warming up'), secondsLeft: z.number() }),
  z.object({ kind: z.literal('bad reading'), why: z.string() }),
  z.object({
    kind: z.literal('reading'),
    lab: z.tuple([z.number(), z.number(), z.number()]).readonly(),
    /** How far three readings of the same spot lay apart, deltaE 2000. */
    spread: z.number(),
  }),
]);
export type MeterAnswer = z.infer<typeof MeterAnswer>;

/** A colour meter, real or simulated. */
export interface ColourMeter {
  device: Device;
  /** @throws RangeError for a pencil or paper that is not known */
  read(request: MeterRequest): Promise<MeterAnswer>;
}

/** Lines of the answer while a picture is taken: how far it is, and at the end where the picture lies, or why not. */
export const TakingLine = z.union([
  z.object({ share: z.number(), doing: z.string() }),
  z.object({ picture: z.string(), name: z.string() }),
  z.object({ sentence: z.string() }),
]);
export type TakingLine = z.infer<typeof TakingLine>;
