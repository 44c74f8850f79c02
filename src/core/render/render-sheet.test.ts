import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex, labOfRgb } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { type InkShare, type PageIndex, type RgbaImage, findRegions, inkShareOf } from '../lineart/index.ts';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import { type LaidSheet, OpenPage, renderSheet } from './index.ts';

const [SIDE, PER_MM] = [240, 8];
const PENCILS = ['#3d2a22', '#c6913a', '#f3e7b9'].map((hex, k) => ({
  id: `pencil-${k}`,
  masstone: labOfHex(hex),
  type: 'wax',
}));

/** A page of 30 x 30 mm with two cells side by side, its printed lines, and a sheet on which the left one is laid. */
async function twoCells(): Promise<{ index: PageIndex; ink: InkShare; sheet: LaidSheet }> {
  const data = new Uint8Array(SIDE * SIDE).fill(255);
  const inked = (x: number, y: number) => {
    const within = (v: number, from: number, to: number) => v >= from && v < to;
    const frame = within(x, 20, 220) && within(y, 20, 220) && !(within(x, 24, 216) && within(y, 24, 216));
    return frame || (within(x, 118, 122) && within(y, 20, 220));
  };
  for (let i = 0; i < data.length; i++) if (inked(i % SIDE, Math.floor(i / SIDE))) data[i] = 0;
  const grey = { width: SIDE, height: SIDE, data };
  const index = await findRegions(grey, { pixelsPerMm: PER_MM });
  const family = familyOf(PENCILS.map(({ id }) => id));
  const recipe = compileRecipe('blend', 'base-coat-first', family, { regions: [index.regions[0]] });
  const things = [1, 2].map((id) => ({
    id: `cell-${id}`,
    regionIds: [id],
    form: 'raised',
    material: null,
    sources: [],
    recipe: id === 1 ? recipe : null,
  }));
  const sheet: LaidSheet = {
    things,
    upTo: {},
    pencils: new Map(PENCILS.map((pencil) => [pencil.id, pencil])),
    paper: whiteBook,
    grounds: new Map(),
    lighting: { main: { kind: 'ambient' }, glows: [] },
    vanishing: null,
    lamp: null,
  };
  return { index, ink: inkShareOf(grey), sheet };
}

/** The mean lightness of a square of a picture. */
function valueAt({ data, width }: RgbaImage, x: number, y: number, reach: number): number {
  let [sum, n] = [0, 0];
  for (let v = y - reach; v < y + reach; v++) {
    for (let u = x - reach; u < x + reach; u++, n++) {
      const i = 4 * (v * width + u);
      sum += labOfRgb([data[i], data[i + 1], data[i + 2]])[0];
    }
  }
  return sum / n;
}

describe('a sheet as it will come out', () => {
  let page: Awaited<ReturnType<typeof twoCells>>;
  before(async () => {
    page = await twoCells();
  });
  const painted = (sheet: LaidSheet = page.sheet, look: Parameters<typeof renderSheet>[3] = { step: 1 }) =>
    renderSheet(new OpenPage(page.index), page.ink, sheet, look);

  it('is coloured where something is laid, bare where nothing is, and printed where lines are', () => {
    const image = painted();
    expect([image.width, image.height]).to.deep.equal([SIDE, SIDE]);
    const [laid, bare, line] = [valueAt(image, 70, 120, 20), valueAt(image, 170, 120, 20), valueAt(image, 120, 60, 1)];
    expect(bare).to.be.closeTo(labOfHex(whiteBook.tint)[0], 0.5);
    expect(laid).to.be.below(bare - 3);
    expect(line).to.be.below(25);
  });

  it('is the same whether or not pictures of it were made before', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            step: fc.integer({ min: 2, max: 3 }),
            laid: fc.nat(3),
            first: fc.boolean(),
            lamp: fc.constantFrom(null, 'incandescent'),
            main: fc.constantFrom(page.sheet.lighting.main, {
              kind: 'direction',
              azimuthDegrees: 225,
              heightDegrees: 45,
            } as const),
          }),
          { minLength: 2, maxLength: 5 },
        ),
        (looks) => {
          const open = new OpenPage(page.index);
          for (const { laid, lamp, main, step, first } of looks) {
            const sheet = { ...page.sheet, upTo: { 'cell-1': laid }, lamp, lighting: { main, glows: [] } };
            const kept = renderSheet(open, page.ink, sheet, { step, first });
            // A first look may be better than it need be.
            if (!first) expect(kept.data).to.deep.equal(painted(sheet, { step }).data);
          }
        },
      ),
      { numRuns: 20 },
    );
  });

  it('is painted anew only where it looks otherwise, whatever first looks at it lay in between', () => {
    const open = new OpenPage(page.index);
    const upTo = (laid: number): LaidSheet => ({ ...page.sheet, upTo: { 'cell-1': laid } });
    const exact = (laid: number) => renderSheet(open, page.ink, upTo(laid), { step: 2 });
    const first = (laid: number) => renderSheet(open, page.ink, upTo(laid), { step: 4, first: true });
    exact(1);
    first(1);
    first(2);
    // What is taken over from the picture before can be told by a mark that was put into it.
    for (const { image } of open.lastPainted.values()) image.data.fill(7);
    const after = exact(2);
    const redAt = (x: number, y: number) => after.data[4 * (y * after.width + x)];
    expect(redAt(35, 60)).not.to.equal(7);
    expect(redAt(85, 60)).to.equal(7);
  });

  it('looks at its pieces as at the whole of it', () => {
    const whole = painted();
    const piece = { left: 5, top: 10, widthMm: 10, heightMm: 8, perMm: PER_MM };
    const part = painted(page.sheet, { step: 1, piece });
    expect([part.width, part.height]).to.deep.equal([80, 64]);
    for (const [x, y] of [
      [20, 20],
      [60, 40],
    ] as const) {
      expect(valueAt(part, x, y, 10)).to.be.closeTo(valueAt(whole, x + 40, y + 80, 10), 0.5);
    }
  });

  it('is at a first look about what it is at a closer one', () => {
    const [quick, fine] = [{ step: 2, first: true }, { step: 2 }].map((look) => painted(page.sheet, look));
    expect(valueAt(quick, 35, 60, 12)).to.be.closeTo(valueAt(fine, 35, 60, 12), 1);
  });

  it('has its light worked out once for all that is painted by it', () => {
    const open = new OpenPage(page.index);
    const { things, lighting } = page.sheet;
    const lit = open.lit(things, lighting, 2);
    expect(open.lit([...things], { ...lighting }, 2)).to.equal(lit);
    const side = { main: { kind: 'direction', azimuthDegrees: 225, heightDegrees: 45 }, glows: [] } as const;
    expect(open.lit(things, side, 2)).to.not.equal(lit);
  });

  it('leaves a thing bare whose recipe cannot be worked out, and paints the rest', () => {
    const [own, other] = page.sheet.things;
    const layers = own.recipe!.layers.map((layer) => ({ ...layer, tool: 'no such tool' }));
    const broken = { ...other, recipe: { ...own.recipe!, layers } };
    const image = painted({ ...page.sheet, things: [own, broken] });
    expect(valueAt(image, 170, 120, 20)).to.be.closeTo(labOfHex(whiteBook.tint)[0], 0.5);
    expect(valueAt(image, 70, 120, 20)).to.be.closeTo(valueAt(painted(), 70, 120, 20), 0.01);
  });

  it('refuses a lamp that is not known and a piece without a pixel', () => {
    expect(() => painted({ ...page.sheet, lamp: 'candle of another book' })).to.throw(RangeError);
    const piece = { left: 0, top: 0, widthMm: 0.01, heightMm: 5, perMm: 1 };
    expect(() => painted(page.sheet, { step: 1, piece })).to.throw(RangeError, 'at least one pixel');
  });
});
