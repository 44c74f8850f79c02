import { expect } from 'chai';
import sharp from 'sharp';
import { withDensity } from './png-density.ts';

describe('a picture of the page', () => {
  it('says at how many dots an inch it is meant, and is the same picture', async () => {
    const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#c8202f' } })
      .png()
      .toBuffer();
    for (const dpi of [150, 300]) {
      const told = Buffer.from(await (await withDensity(new Blob([png]), dpi)).arrayBuffer());
      const { density, width, height } = await sharp(told).metadata();
      expect({ density, width, height }).to.deep.equal({ density: dpi, width: 40, height: 30 });
      expect(await sharp(told).raw().toBuffer()).to.deep.equal(await sharp(png).raw().toBuffer());
    }
  });
});
