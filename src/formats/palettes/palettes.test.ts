import { expect } from 'chai';
import fc from 'fast-check';
import { fileOf } from '../file-format.ts';
import { json } from './json.ts';
import { type PaletteContent, PALETTE_FORMATS, readPalette } from './index.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const palette = fc
  .uniqueArray(fc.record({ n: fc.integer({ min: 1, max: 999 }), colour: hex }), {
    minLength: 1,
    maxLength: 20,
    selector: ({ n }) => n,
  })
  .map((colours): PaletteContent => ({
    name: 'Lantern dusk',
    wheel: { anchor: 240, scheme: 'triad', wheel: 'perceptual', hands: [] },
    pencils: colours.map(({ n, colour }) => ({
      id: `pencil-${n}`,
      code: `Q${n}`,
      name: 'kelp, dark',
      set: 'Tide',
      colour,
    })),
    families: [{ thing: 'Hull', codes: [`Q${colours[0].n}`] }],
  }));

describe('palette files', () => {
  it('come back with every colour and code, from each format', () => {
    fc.assert(
      fc.property(palette, (own) => {
        for (const format of PALETTE_FORMATS) {
          const { name, text } = fileOf(own.name, own, format);
          const back = readPalette(text, name);
          expect(back.name, format.id).to.equal('Lantern dusk');
          expect(back.pencils.map(({ code, colour }) => [code, colour])).to.deep.equal(
            own.pencils.map(({ code, colour }) => [code, colour]),
          );
        }
      }),
    );
  });

  it('as JSON hold everything', () => {
    fc.assert(
      fc.property(palette, (own) => {
        expect(readPalette(fileOf(own.name, own, json).text, 'x.json')).to.deep.equal(own);
      }),
    );
  });

  for (const [what, text, sentence] of [
    ['a broken JSON file', '{"kind": "harm', 'broken off or damaged'],
    ['another JSON file', '{"kind": "recipe"}', 'is no palette'],
    ['a table without colours', 'a,b\n1,2', 'needs the columns code and colour'],
    ['an empty file', '', 'holds no palette'],
    ['a GPL palette without colours', 'GIMP Palette\nName: x\n', 'holds no colour'],
  ]) {
    it(`refuse ${what} with a sentence`, () => {
      expect(() => readPalette(text, 'file')).to.throw(RangeError, sentence);
    });
  }
});
