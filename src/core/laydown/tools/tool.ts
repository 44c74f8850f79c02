import { type Spectrum } from '../../colour/index.ts';
import { type Ground } from '../ground.ts';

/** Something other than a pencil that changes what lies on the paper. */
export interface Tool {
  id: string;
  /** As the colourist would say it. */
  name: string;
  /** Whether it lays a colour of its own, which must then be told. */
  coloured: boolean;
  /** Whether it works what pencils have laid, so that a layer can be laid with it. */
  works?: boolean;
  /** Whether it works only what fills the tooth, so that all colour is laid before it. */
  wantsFilled?: boolean;
  /** Whether it leaves the paper wet, so that it must dry before a pencil goes over it. */
  wets?: boolean;
  /** Whether it wets with water, which warps thin paper and makes some inks run. */
  watery?: boolean;
  /** Whether it is meant to change nothing that is seen at once. */
  unseen?: boolean;
  /** Whether it is only waiting, of which there is no harder or more. */
  waits?: boolean;
  /** Whether it may go onto wet paper. */
  onWet?: boolean;
  /** What to mind, in one or two sentences; "" where nothing is special. */
  caution: string;
  /**
   * The ground after it. The ground given is not changed.
   * @param amount how hard or how much, above 0 up to 1
   * @param colour of what it lays, 36 bands, thick or at one full coat on white; white for tools that lay none
   */
  use(ground: Ground, amount: number, colour: Spectrum): Ground;
}
