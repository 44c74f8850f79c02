import { expect } from 'chai';
import { type Lab } from '../colour/index.ts';
import { lookAlikesUnder } from './index.ts';

const seen = (id: string, day: Lab, lamp: Lab) => ({ id, day, lamp });
const rose = seen('rose', [55, 40, 5], [55, 38, 20]);
const coral = seen('coral', [55, 40, 50], [55, 40, 26]);
const navy = seen('navy', [20, 5, -30], [18, 4, -28]);
const things = [
  { id: 'roof', name: 'Roof', pencil: 'rose' },
  { id: 'sky', name: 'Evening sky', pencil: 'coral' },
  { id: 'sea', name: 'Sea', pencil: 'navy' },
];

describe('pencils under a lamp', () => {
  it('are told where they part by day and no longer do, with the things in which they meet', () => {
    const [pair, ...others] = lookAlikesUnder([rose, coral, navy], things, [{ a: 'sky', b: 'roof' }]);
    expect(others).to.deep.equal([]);
    expect(pair).to.include({ a: 'rose', b: 'coral' });
    expect(pair.day).to.be.above(pair.lamp);
    expect(pair.meet).to.deep.equal(['Evening sky', 'Roof']);
  });

  it('are no warning where nothing meets, and none at all where they part still', () => {
    expect(lookAlikesUnder([rose, coral], things, [])[0].meet).to.equal(null);
    expect(lookAlikesUnder([rose, navy], things, [{ a: 'roof', b: 'sea' }])).to.deep.equal([]);
  });
});
