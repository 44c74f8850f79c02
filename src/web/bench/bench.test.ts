import { expect } from 'chai';
import fc from 'fast-check';
import { about, laidLayers } from '../../order/index.ts';

describe('times in words', () => {
  for (const [minutes, words] of [
    [0.2, 'under 1 min'],
    [4.4, '4 min'],
    [23, 'about 25 min'],
    [88, 'about 90 min'],
    [100, 'about 1.5 h'],
    [655, 'about 11 h'],
  ] as const) {
    it(`${minutes} min is "${words}"`, () => expect(about(minutes)).to.equal(words));
  }

  it('are never more precise than five minutes beyond ten', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 89, noNaN: true }), (minutes) => {
        expect(Number(/\d+/.exec(about(minutes))![0]) % 5).to.equal(0);
      }),
    );
  });
});

describe('layers laid so far', () => {
  const layers = ['base', 'shadow', 'middle', 'unify'].map((id) => ({ id }));
  const steps = layers.map(({ id }) => ({ id: `bell/${id}`, thingId: 'bell' }));
  const done = (...ids: string[]) => new Set(ids.map((id) => `bell/${id}`));

  it('are none before the first step and all after the last', () => {
    expect(laidLayers('bell', layers, done(), steps)).to.equal(0);
    expect(laidLayers('bell', layers, done('base', 'shadow', 'middle', 'unify'), steps)).to.equal(4);
  });

  it('are those before the first step that is open', () => {
    expect(laidLayers('bell', layers, done('base', 'shadow'), steps)).to.equal(2);
  });

  it('count layers that an earlier order finished, which are no longer among the steps', () => {
    expect(laidLayers('bell', layers, done('middle'), steps.slice(2))).to.equal(3);
  });

  it('are all for a thing that no step is left of', () => {
    expect(laidLayers('kettle', layers, done(), steps)).to.equal(4);
  });
});
