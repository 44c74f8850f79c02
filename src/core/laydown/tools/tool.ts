import { type Lab, type Spectrum } from '../../colour/index.ts';
import { type Ground } from '../ground.ts';
import { type Relief } from '../pass.ts';

/** Something other than a pencil that changes what lies on the paper. */
export interface Tool {
  id: string;
  /** As the colourist would say it. */
  name: string;
  /** How it is worked, in one sentence. */
  how: string;
  /** Whether it lays a colour of its own, and which that is as long as nobody says. */
  coloured: boolean;
  usualColour?: Lab;
  /** Whether it comes before all colour, or after all of it; default among the pencils. */
  comes?: 'first' | 'last';
  /** Where it is put as long as nobody says: on the highlight, or all over up to that. Default all over. */
  on?: 'highlight' | 'all but the highlight';
  /** Whether it makes lines and not areas. */
  draws?: boolean;
  /** Whether it works only what fills the tooth, so that all colour is laid before it. */
  wantsFilled?: boolean;
  /** Whether it leaves the paper wet, so that it must dry before a pencil goes over it. */
  wets?: boolean;
  /** Minutes until what it leaves is dry enough for the next layer; default at once. Assumptions. */
  driesMinutes?: number;
  /** Whether it wets with water, which warps thin paper and makes some inks run. */
  watery?: boolean;
  /** Whether it keeps away all that is laid later, and whether it takes that off. */
  masks?: boolean;
  unmasks?: boolean;
  /** Whether what it leaves is meant to show between later layers: paper that is kept, or a colour under them. */
  mayShow?: boolean;
  /** Whether it is meant to change nothing that is seen at once. */
  unseen?: boolean;
  /** Whether it is only waiting, of which there is no harder or more. */
  waits?: boolean;
  /** Whether it may go onto wet paper. */
  onWet?: boolean;
  /** How long it takes beside a pencil on the same area; default as long. Assumptions. */
  takes?: number;
  /** What to mind, in one or two sentences; "" where nothing is special. */
  caution: string;
  /**
   * The ground after it. The ground given is not changed.
   * @param amount how hard or how much, above 0 up to 1
   * @param colour of what it lays, 36 bands, thick or at one full coat on white; white for tools that lay none
   */
  use(ground: Ground, amount: number, colour: Spectrum): Ground;
  /** What of that can be told without knowing any colour; default nothing. */
  relief?(relief: Relief, amount: number): Relief;
}
