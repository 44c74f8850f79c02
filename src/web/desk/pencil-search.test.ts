import { expect } from 'chai';
import type { Pencil } from '../../contracts/index.ts';
import { demoPencils } from '../../demo/index.ts';
import { matchesWords } from './pencil-search.ts';

const tray: Pencil[] = demoPencils().map((pencil) => ({ ...pencil, trayId: 'demo-tray', origin: 'demo' }));
const found = (words: string) => tray.filter((pencil) => matchesWords(pencil, words)).map((pencil) => pencil.code);

describe('searching the tray', () => {
  it('finds a pencil by code, name, own name or set', () => {
    expect(found('qs06')).to.deep.equal(['QS06']);
    expect(found('paper lantern')).to.deep.equal(['QS06']);
    expect(found('the good orange')).to.deep.equal(['QS06']);
    expect(found('fenland')).to.have.length(60);
  });

  it('finds pencils by what their colour looks like', () => {
    expect(found('dull green')).to.include('QS35');
    expect(found('pale blue')).to.include('QS27');
    expect(found('brown')).to.include.members(['QS45', 'F-152']);
    expect(found('dark blue')).to.include('QS24');
    expect(found('dark blue')).to.not.include('QS27');
  });

  it('finds warm and cool ones', () => {
    expect(found('warm orange')).to.include('QS07');
    expect(found('cool orange')).to.deep.equal([]);
  });

  it('wants every word, in any order, and shows all for none', () => {
    expect(found('soft quayside sail')).to.deep.equal(['QS11']);
    expect(found('sail red fenland')).to.deep.equal([]);
    expect(found('   ')).to.have.length(tray.length);
  });
});
