import { expect } from 'chai';
import fc from 'fast-check';
import { Name, type SheetCard } from '../../contracts/index.ts';
import { arranged, copyTitle } from './order.ts';

const card = (title: string, more: Partial<SheetCard> = {}): SheetCard => ({
  id: `sheet-${title}`,
  title,
  origin: 'own',
  widthMm: 210,
  heightMm: 297,
  paper: 'white-book',
  regions: 0,
  things: 0,
  steps: 0,
  stepsDone: 0,
  place: 'shelf',
  pictureHash: 'x',
  updatedAt: '2026-05-09T18:50:00Z',
  ...more,
});

const cards = [
  card('Kite Loft'),
  card('Page 10', { regions: 40 }),
  card('Page 2', { regions: 40, things: 3 }),
  card('The Ferry Steps', { steps: 100, stepsDone: 60 }),
  card('Marsh Hare', { steps: 100, stepsDone: 5 }),
];
const titles = (list: readonly SheetCard[]) => list.map(({ title }) => title);

describe('the shelf', () => {
  it('keeps the latest work first unless another order is wished', () => {
    expect(arranged(cards, 'latest', '')).to.deep.equal(cards);
  });

  it('puts names in the order in which a person would look for them', () => {
    expect(titles(arranged(cards, 'title', ''))).to.deep.equal([
      'Kite Loft',
      'Marsh Hare',
      'Page 2',
      'Page 10',
      'The Ferry Steps',
    ]);
  });

  it('puts first what is furthest on its way', () => {
    expect(titles(arranged(cards, 'furthest', ''))).to.deep.equal([
      'The Ferry Steps',
      'Marsh Hare',
      'Page 2',
      'Page 10',
      'Kite Loft',
    ]);
  });

  it('finds a sheet by any part of its name, in any case', () => {
    expect(titles(arranged(cards, 'latest', ' ferry '))).to.deep.equal(['The Ferry Steps']);
    expect(arranged(cards, 'latest', 'otter')).to.deep.equal([]);
  });
});

describe('the title of a copy', () => {
  it('says that it is one, and counts on', () => {
    expect(copyTitle('Kite Loft')).to.equal('Kite Loft, copy');
    expect(copyTitle('Kite Loft, copy')).to.equal('Kite Loft, copy 2');
    expect(copyTitle('Kite Loft, copy 9')).to.equal('Kite Loft, copy 10');
  });

  it('is always a title that can be kept', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Za-z][A-Za-z ,0-9]{0,58}[a-z]$/), (title) => {
        expect(Name.safeParse(copyTitle(title)).success).to.equal(true);
        expect(copyTitle(title)).to.not.equal(title);
      }),
    );
  });
});
