import { expect } from 'chai';
import sharp from 'sharp';
import { findRegions } from '../core/lineart/index.ts';
import { Refused } from './refused.ts';
import { takeIn } from './services/intake.ts';
import { gridPng } from './test/desk.ts';

const SVG = (size: string, inside: string) =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" ${size}>${inside}</svg>`);
const BOX = '<rect x="10" y="10" width="60" height="40" fill="none" stroke="#000" stroke-width="2"/>';

async function greyOf(png: Uint8Array) {
  const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

describe('taking a picture in', () => {
  it('keeps small scans as they are and brings large ones to a working size', async () => {
    const small = await takeIn(await gridPng(3, 2));
    expect(small.picture).to.include({ width: 264, height: 204 });
    const large = await sharp(await gridPng(3, 2))
      .resize(5000, null, { kernel: 'nearest' })
      .png()
      .toBuffer();
    const { picture } = await takeIn(large);
    expect(picture.width * picture.height).to.be.within(0.99 * 2480 * 3508, 2480 * 3508);
    expect(picture.width / picture.height).to.be.closeTo(264 / 204, 0.002);
  });

  it('keeps A4 at 300 dpi as it is', async () => {
    const page = await sharp(await gridPng(3, 4))
      .resize(2480, 3508, { fit: 'fill', kernel: 'nearest' })
      .withMetadata({ density: 300 })
      .png()
      .toBuffer();
    const { picture, widthMm, heightMm, scannedWidth } = await takeIn(page);
    expect(picture).to.include({ width: 2480, height: 3508 });
    expect([widthMm, heightMm, scannedWidth]).to.deep.equal([210, 297, 2480]);
  });

  it('keeps the page in colour beside its ink, half as large; a drawing has none', async () => {
    const page = await sharp(await gridPng(3, 4))
      .tint('#c0a060')
      .png()
      .toBuffer();
    const { colours, picture } = await takeIn(page);
    const { width, channels } = await sharp(colours!).metadata();
    expect([width, channels]).to.deep.equal([Math.ceil(picture.width / 2), 3]);
    const drawing = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="90mm"><path d="M9 9h60v60h-60z" fill="none" stroke="#000" stroke-width="2"/></svg>',
    );
    expect(await takeIn(drawing)).to.include({ colours: null, scannedWidth: null });
  });

  for (const [format, mime] of [
    ['webp', 'image/webp'],
    ['tiff', 'image/tiff'],
  ] as const) {
    it(`reads ${format.toUpperCase()} as it reads PNG`, async () => {
      const grid = sharp(await gridPng(3, 2));
      const { mime: told, picture } = await takeIn(
        await (format === 'webp' ? grid.webp({ lossless: true }) : grid.tiff({ compression: 'lzw' })).toBuffer(),
      );
      expect(told).to.equal(mime);
      expect(await greyOf(picture.png)).to.deep.equal(await greyOf((await takeIn(await gridPng(3, 2))).picture.png));
    });
  }

  it('turns a photograph upright as its camera says', async () => {
    const lying = await sharp(await gridPng(3, 2))
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await takeIn(lying)).picture).to.include({ width: 204, height: 264 });
  });

  it('keeps nothing of where a photograph was taken', async () => {
    const photo = await sharp(await gridPng(3, 2))
      .withExif({ IFD0: { Copyright: 'Gullwick' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    expect((await sharp(photo).metadata()).exif).to.be.instanceOf(Buffer);
    const { picture } = await takeIn(photo);
    expect((await sharp(picture.png).metadata()).exif).to.equal(undefined);
  });

  it('takes clear parts of a picture as paper', async () => {
    const lines = await sharp(await gridPng(2, 2))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    for (let i = 0; i < lines.data.length; i += 4) if (lines.data[i] > 128) lines.data[i + 3] = 0;
    const clear = await sharp(lines.data, { raw: lines.info }).png().toBuffer();
    const grey = await greyOf((await takeIn(clear)).picture.png);
    expect((await findRegions(grey, { pixelsPerMm: 10 })).regions).to.have.length(4);
  });

  it('reads coloured lines as ink', async () => {
    const brown = SVG('width="400" height="300" viewBox="0 0 80 60"', BOX.replace('#000', '#6a4020'));
    const grey = await greyOf((await takeIn(brown)).picture.png);
    expect((await findRegions(grey, { pixelsPerMm: 10 })).regions).to.have.length(1);
  });

  for (const [what, size] of [
    ['millimetres', 'width="80mm" height="60mm" viewBox="0 0 80 60"'],
    ['pixels', 'width="80" height="60" viewBox="0 0 80 60"'],
    ['no unit at all', 'viewBox="0 0 80 60"'],
    ['a large number of pixels', 'width="8000" height="6000" viewBox="0 0 80 60"'],
  ]) {
    it(`draws an SVG sized in ${what} at the same working size`, async () => {
      const { picture } = await takeIn(SVG(size, BOX));
      expect(picture.width).to.be.within(2400, 2480);
      expect(picture.width / picture.height).to.be.closeTo(4 / 3, 0.01);
    });
  }

  it('never runs or fetches what an SVG holds', async () => {
    const sly = SVG(
      'width="80" height="60" viewBox="0 0 80 60"',
      `<script>throw new Error('run')</script><image href="file:///etc/hostname" width="80" height="60"/>${BOX}`,
    );
    const { picture } = await takeIn(sly);
    expect((await sharp(picture.png).metadata()).format).to.equal('png');
  });

  it('believes the first bytes and not the name', async () => {
    const { mime } = await takeIn(
      await sharp(await gridPng(2, 2))
        .jpeg()
        .toBuffer(),
    );
    expect(mime).to.equal('image/jpeg');
    const fault = await takeIn(Buffer.from('%PDF-1.7 and so on')).then(
      () => null,
      (error: unknown) => error,
    );
    expect(fault).to.be.instanceOf(Refused);
  });

  it('takes a size from the file only when it is one that a page can have', async () => {
    const at = async (density: number) => {
      const { widthMm } = await takeIn(
        await sharp(await gridPng(10, 10))
          .withMetadata({ density })
          .png()
          .toBuffer(),
      );
      return widthMm;
    };
    expect(await at(300)).to.equal(58);
    expect(await at(150)).to.equal(116);
    expect(await at(72)).to.equal(297);
    expect(await at(1200)).to.equal(297);
  });
});
