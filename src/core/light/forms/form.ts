/** Where a pixel lies in what a form is laid over: a region, or a whole thing. */
export interface Place {
  /** 0 at the edge, 1 as deep inside as shading reaches. */
  depth: number;
  /** From one side (-1) over the long axis (0) to the other (1). */
  across: number;
  /** From the top (0) to the bottom (1). */
  down: number;
  /** From the side of the whole that lies away from the light (0) to the one that the light comes from (1). */
  toward: number;
  /** From out of reach (0) to right beside what stands in front (1). */
  beside: number;
}

/** A form: how a surface stands, from which follows how any light falls on it. */
export interface Form {
  id: string;
  /** As the colourist would say it. */
  name: string;
  says: string;
  /** Whether it is laid over each region by itself or over all regions of a thing together. */
  over: 'region' | 'thing';
  /** Which way the surface leans where it leans: out towards the nearest edge, or across the long axis. */
  leans: 'outward' | 'across';
  /** Flat faces that its leaning is broken into, all round; undefined where it turns smoothly. */
  faces?: number;
  /** How steeply it leans, the sine of its slope: 1 stands upright and faces outward, 0 lies flat, -1 faces inward. */
  lean(place: Place): number;
  /** Its tone where it lies flat in soft light; default 1, the highlight. */
  level?: number;
  /** How much of its tone is left at a place, 0..1, for what lies flat and falls off; default all of it, everywhere. */
  falls?(place: Place): number;
  /** Its tone in any light, for backgrounds: they care for the height on the page alone. */
  fades?(down: number): number;
  /** Where it is palest in any light; default the foot. */
  palest?: 'top' | 'foot';
}
