import type { Notebook, RecordEntry, SheetState } from '../../contracts/index.ts';
import { type PageIndex } from '../../core/lineart/index.ts';

/** A sheet as it is taken away. */
export interface WholeSheet {
  sheet: Pick<SheetState, 'title' | 'plan'>;
  /** Null where its regions have not been found. */
  page: PageIndex | null;
  steps: readonly RecordEntry[];
  notebook: Notebook;
}

/** A file in the bundle of a sheet. */
export interface SheetPart {
  fileName: string;
  /** @returns null where there is nothing to put in it */
  write(whole: WholeSheet): string | null;
}
