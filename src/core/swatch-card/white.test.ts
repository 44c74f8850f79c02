import { expect } from 'chai';
import fc from 'fast-check';
import { CARD_MM } from './layout.ts';
import { type Light, fittedWhite } from './white.ts';

/** Places over the whole card, each as bright as a lamp makes it. */
function placesUnder(lamp: (x: number, y: number) => Light) {
  return Array.from({ length: 60 }, (_, i) => {
    const box = { x: (i % 10) * 18, y: Math.floor(i / 10) * 42, width: 8, height: 4 };
    return { box, light: lamp(box.x + 4, box.y + 2) };
  });
}

describe('how bright bare paper is over a card', () => {
  it('is found at every place under any lamp that fades evenly, also where no paper shows', () => {
    const slope = fc.double({ min: -0.35, max: 0.35, noNaN: true });
    fc.assert(
      fc.property(slope, slope, slope, fc.double({ min: 0.3, max: 1, noNaN: true }), (across, down, corner, most) => {
        const lamp = (x: number, y: number): Light => {
          const [u, v] = [x / CARD_MM.width - 0.5, y / CARD_MM.height - 0.5];
          const light = most * Math.exp(across * u + down * v - Math.abs(corner) * (u * u + v * v));
          return [light, 0.9 * light, 0.7 * light];
        };
        const white = fittedWhite(placesUnder(lamp));
        for (const [x, y] of [
          [0, 0],
          [92, 126],
          [184, 252],
          [150, 20],
        ]) {
          const [found, real] = [white(x, y), lamp(x, y)];
          for (let k = 0; k < 3; k++) expect(found[k] / real[k]).to.be.closeTo(1, 0.01);
        }
      }),
    );
  });

  it('does not mind a few places on which a stroke ran over', () => {
    const lamp = (): Light => [0.8, 0.75, 0.6];
    const places = placesUnder(lamp);
    for (const i of [3, 17, 41]) places[i] = { ...places[i], light: [0.2, 0.1, 0.1] };
    const found = fittedWhite(places)(92, 126);
    for (let k = 0; k < 3; k++) expect(found[k]).to.be.closeTo(lamp()[k], 0.02);
  });
});
