/** Where a pixel lies in its region, as a form needs it to know how light falls there. */
export interface Place {
  /** Distance to the region's edge as a share of how far shading reaches in it, 0 at the edge, 1 in the middle. */
  depth: number;
  /** Position along the direction to the light, -1 on the far side, 1 on the side that faces it. */
  facing: number;
  /** Position from the top (0) to the bottom (1) of the whole thing. */
  down: number;
}

/** The light as forms see it. */
export interface LightOnForm {
  /** Soft light from all round when null; otherwise the height of the light above the page, degrees. */
  heightDegrees: number | null;
}

/** A form: how the surface of a region stands, and so which tone (0 deepest shadow, 1 highlight) light gives each place. */
export interface Form {
  id: string;
  /** As the colourist would say it. */
  name: string;
  says: string;
  tone(place: Place, light: LightOnForm): number;
}
