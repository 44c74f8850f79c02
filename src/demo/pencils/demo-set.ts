/** A demo pencil: code, name and declared masstone; opacity where it differs from its type's usual. */
export type Entry = readonly [code: string, name: string, colour: string, opacity?: number];

/** A set from an invented maker. */
export interface DemoSet {
  /** Put before the code in ids, where codes of two sets would be alike. */
  idPrefix: string;
  name: string;
  /** Id of a pencil type. */
  type: string;
  pencils: readonly Entry[];
}
