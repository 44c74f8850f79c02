import { expect } from 'chai';
import fc from 'fast-check';
import type { NewPalette } from '../../contracts/index.ts';
import { labOfHex } from '../../core/colour/index.ts';
import { foundAgain } from './found-again.ts';
import { PALETTE_FORMATS, fileOf, readPaletteFile } from './palette-files.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const palette = fc
  .uniqueArray(fc.record({ n: fc.integer({ min: 1, max: 999 }), colour: hex }), {
    minLength: 1,
    maxLength: 20,
    selector: ({ n }) => n,
  })
  .map((colours): Omit<NewPalette, 'id'> => ({
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
          const { name, text } = fileOf(own, format);
          const back = readPaletteFile(text, name);
          expect(back.name, format).to.equal('Lantern dusk');
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
        expect(readPaletteFile(fileOf(own, 'JSON').text, 'x.json')).to.deep.equal(own);
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
      expect(() => readPaletteFile(text, 'file')).to.throw(RangeError, sentence);
    });
  }
});

describe('a palette used with another tray', () => {
  const bodies = new Map([
    ['own', labOfHex('#1f4e96')],
    ['near', labOfHex('#c8302a')],
  ]);
  const of = (id: string | null, code: string, colour: string) => ({ id, code, name: '', set: '', colour });

  it('takes the pencil itself, else the nearest that serves, and says what is lost', () => {
    const pencils = [of('own', 'A1', '#f5dd55'), of(null, 'B2', '#c22b22'), of('gone', 'C3', '#2f8c53')];
    expect(foundAgain({ pencils }, bodies)).to.deep.equal({ ids: ['own', 'near'], lost: ['C3'] });
    expect(foundAgain({ pencils }, new Map())).to.deep.equal({ ids: [], lost: ['A1', 'B2', 'C3'] });
  });
});
