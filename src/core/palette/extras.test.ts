import { expect } from 'chai';
import { labOfHex, wheelById } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { EXTRAS, familyOf } from '../recipe/index.ts';
import { onPaper } from '../tray/index.ts';
import { extrasFor } from './index.ts';

const COLOURS = {
  night: '#22315f',
  blue: '#4f6bb0',
  sky: '#b5d4ea',
  black: '#26221f',
  rust: '#c8642a',
  ochre: '#c6913a',
  cream: '#f3e7b9',
  pink: '#f2c6c0',
  coolGrey: '#7d848c',
  warmGrey: '#8a8078',
  plum: '#5b3a86',
  mauve: '#8a5aa0',
  lilac: '#cfc0e8',
};
const tray = onPaper(
  Object.entries(COLOURS).map(([id, hex]) => ({ id, code: id, masstone: labOfHex(hex), type: 'wax' })),
  whiteBook,
);
const value = new Map(tray.map(({ id, body }) => [id, body[0]]));
const wheel = wheelById('painters');
const first = (extra: (typeof EXTRAS)[number], ids: string[]) =>
  extrasFor(extra, familyOf(ids), tray, wheel)[0]?.pencil;

describe('what may stand beside a family', () => {
  it('is never one of its own pencils, and says why', () => {
    for (const extra of EXTRAS) {
      for (const { pencil, says } of extrasFor(extra, familyOf(['blue', 'sky']), tray, wheel)) {
        expect(['blue', 'sky']).not.to.include(pencil);
        expect(says).to.match(/\d/);
      }
    }
  });

  it('as depth is darker than its darkest, in its own hue before black', () => {
    expect(first('depth', ['blue', 'sky'])).to.equal('night');
    for (const { pencil } of extrasFor('depth', familyOf(['blue', 'sky']), tray, wheel)) {
      expect(value.get(pencil)).to.be.below(value.get('blue')!);
    }
  });

  it('as accent faces it on the wheel: orange for blue, blue for orange', () => {
    expect(['rust', 'ochre']).to.include(first('accent', ['night', 'blue', 'sky']));
    expect(['night', 'blue', 'sky']).to.include(first('accent', ['rust']));
  });

  it('as neutral is a grey, of its own temperature where both are as dark', () => {
    for (const { pencil } of extrasFor('neutral', familyOf(['night', 'blue', 'sky']), tray, wheel)) {
      expect(['coolGrey', 'warmGrey', 'black']).to.include(pencil);
    }
    expect(first('neutral', ['night', 'blue', 'sky'])).to.equal('coolGrey');
  });

  it('as blender is pale, and a pink where the family is violet', () => {
    expect(first('blender', ['plum', 'mauve', 'lilac'])).to.equal('pink');
    expect(value.get(first('blender', ['night', 'blue'])!)).to.be.above(74);
  });

  it('is nothing where a pencil of the family is gone', () => {
    expect(extrasFor('depth', familyOf(['lost']), tray, wheel)).to.deep.equal([]);
  });
});
