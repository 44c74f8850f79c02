import type { Pencil } from '../../contracts/index.ts';
import { type ReadableFormat } from '../file-format.ts';
import { type ReadPencils } from './pencil-rows.ts';

/** A tray as a file holds it. */
export interface TrayContent {
  name: string;
  pencils: readonly Pencil[];
}
export type TrayFormat = ReadableFormat<TrayContent, ReadPencils>;
