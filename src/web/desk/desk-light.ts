/** How much darker the far corner of a sheet lies than the near one under a lamp at the upper left, channels of 255. */
const FALLS_OFF = 9;

/** Lets the light of the desk fall over a sheet: evenly a little less towards the lower right. */
export function layDeskLight(
  context: CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D,
  width: number,
  height: number,
): void {
  const light = context.createLinearGradient(0, 0, width, height);
  const far = 255 - FALLS_OFF;
  light.addColorStop(0, '#ffffff');
  light.addColorStop(0.35, '#ffffff');
  light.addColorStop(1, `rgb(${far}, ${far}, ${far})`);
  context.save();
  context.globalCompositeOperation = 'multiply';
  context.fillStyle = light;
  context.fillRect(0, 0, width, height);
  context.restore();
}
