/** How a thing turns away from the eye, as the artist means it. */
export type TrueForm =
  | 'flat'
  | 'plane'
  | 'ball'
  | 'tube'
  | 'cone'
  | 'leaf'
  | 'ring'
  | 'fold'
  | 'hollow'
  | 'faceted'
  | 'dome'
  | 'fades-down'
  | 'fades-up';

/** A named thing of a demo page: what its artist knows of it. */
export interface DrawnThing {
  /** Its drawing calls it the same, in small letters. */
  name: string;
  form: TrueForm;
  /** The natural colour that it would keep, `#rrggbb`. */
  natural?: string;
  /** What it is made of, by the material's id, where light makes something of that. */
  material?: string;
  focus?: boolean;
}

/** A sheet of the booklet *Lantern Night at Gullwick*. */
export interface DemoPage {
  /** Also the name of its files in src/demo/sheets. */
  id: string;
  title: string;
  widthMm: number;
  heightMm: number;
  /** Id of the paper that it is printed on. */
  paper: string;
  printed: 'black' | 'grey';
  /** Back to front. */
  things: readonly DrawnThing[];
}

/** The colour that marks a drawn thing in its page's key: no two are confused; black where nothing is named. */
export function markOf(page: DemoPage, drawn: string): string {
  const i = page.things.findIndex((thing) => thing.name.toLowerCase() === drawn);
  if (i < 0) return '#000000';
  return '#' + [i + 1, 255 - i, (i * 37) % 256].map((v) => v.toString(16).padStart(2, '0')).join('');
}
