import { expect } from 'chai';
import { labOfHex } from '../../core/colour/index.ts';
import { foundAgain } from './found-again.ts';

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
