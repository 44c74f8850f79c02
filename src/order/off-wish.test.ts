import { expect } from 'chai';
import { type Step } from '../core/bench/index.ts';
import { whyOffWish } from './index.ts';

describe('a sitting that does not keep to the wish', () => {
  const round = (name: string, minutes: number) => ({ id: name, steps: [] as Step[], minutes });
  const why = (rounds: ReturnType<typeof round>[][], minutes: number[], at: number) =>
    whyOffWish(rounds, minutes, at, 40, ({ id }) => id);

  it('names the step that cannot be parted, in it or after it', () => {
    const rounds = [[round('Roof', 20)], [round('Sky', 180), round('Sea', 5)], [round('Hull', 10)]];
    const minutes = [22, 187, 12];
    expect(why(rounds, minutes, 0)).to.equal('Shorter than wished: next comes Sky, which takes about 3 h in one go.');
    expect(why(rounds, minutes, 1)).to.contain('Longer than wished: Sky takes about 3 h in one go.');
    expect(why(rounds, minutes, 2)).to.equal(null);
  });

  it('is not spoken of within a fifth, and is the doing of whoever moved steps where none is long', () => {
    const rounds = [[round('Roof', 8), round('Sky', 8)], [round('Sea', 8)], [round('Hull', 8)]];
    expect(why(rounds, [47, 33, 5], 0)).to.equal(null);
    expect(why(rounds, [60, 10, 5], 0)).to.contain('moved together');
    expect(why(rounds, [60, 10, 5], 1)).to.contain('moved apart');
  });
});
