import { expect } from 'chai';
import sharp from 'sharp';
import { Device, Subject, TakingLine } from '../contracts/index.ts';
import { CancelledError, quietRun } from '../core/run/index.ts';
import { BEGUN_SHEET, DEMO_TRAY, seedDemo } from '../demo/index.ts';
import { NO_REGION, findRegions } from '../core/lineart/index.ts';
import { takeIn } from './services/intake.ts';
import { readRegions } from './services/regions.ts';
import { colouredPage } from './services/coloured-page.ts';
import { demoDesk } from './services/demo-desk.ts';
import { simulatedDevices } from './services/devices.ts';
import { DEMO_SHEETS, emptyDesk } from './test/desk.ts';

describe('the devices of a desk', function () {
  this.timeout(240_000);
  let desk: Awaited<ReturnType<typeof emptyDesk>>;
  const linesOf = (text: string) =>
    text
      .trim()
      .split('\n')
      .map((line) => TakingLine.parse(JSON.parse(line)));
  const scan = (body: object) =>
    desk.api
      .post('/api/devices/scanner/scan')
      .buffer(true)
      .parse((response, done) => {
        let text = '';
        response.on('data', (data: Buffer) => (text += data.toString()));
        response.on('end', () => done(null, text));
      })
      .send(body);

  before(async () => {
    desk = await emptyDesk();
    await seedDemo(demoDesk(desk.db, DEMO_SHEETS));
  });

  it('a page half done, brought in as a scan, has the regions of the bare page', async () => {
    const { width, height, data } = await colouredPage(desk.db, BEGUN_SHEET, quietRun);
    const scan = await sharp(data, { raw: { width, height, channels: 3 } })
      .png()
      .toBuffer();
    const { picture } = await takeIn(scan);
    const read = await sharp(picture.png).greyscale().raw().toBuffer();
    const grey = { width: picture.width, height: picture.height, data: new Uint8Array(read) };
    const found = await findRegions(grey, { pixelsPerMm: picture.width / 210 });
    const bare = await readRegions(desk.db, BEGUN_SHEET);
    const at = ({ x, y }: { x: number; y: number }) =>
      found.labels[Math.floor(y * found.pixelsPerMm) * found.width + Math.floor(x * found.pixelsPerMm)];
    const large = bare.regions.filter(({ usableWidthMm }) => usableWidthMm >= 1);
    const again = large.filter(({ pole, areaMm2 }) => {
      const label = at(pole);
      return label > 0 && label !== NO_REGION && Math.abs(found.regions[label - 1].areaMm2 / areaMm2 - 1) < 0.2;
    });
    expect(again.length / large.length).to.be.at.least(0.92);
  });

  it('are three, and say that they only pretend', async () => {
    const devices = Device.array().parse((await desk.api.get('/api/devices')).body);
    expect(devices.map(({ kind }) => kind)).to.deep.equal(['scanner', 'camera', 'meter']);
    for (const { simulated, name } of devices) expect([simulated, /^Simulated/.test(name)]).to.deep.equal([true, true]);
  });

  it('have the booklet on the glass, and sheets, swatch cards and practice strips on the table', async () => {
    const on = async (device: string) =>
      Subject.array()
        .parse((await desk.api.get(`/api/devices/${device}/subjects`)).body)
        .map(({ title }) => title);
    const glass = await on('scanner');
    expect(glass).to.have.length(4 + 4 * 2);
    expect(glass).to.include('Swatch card 1, as first laid');
    expect(glass).to.include('Kite Loft').and.not.include('The Ferry Steps, begun');
    const table = await on('camera');
    expect(table).to.include.members([
      'The Ferry Steps, begun',
      'Swatch card 1',
      'Swatch card 4, as first laid',
      'Practice strip, QS06',
    ]);
  });

  it('scan a page while saying how far they are, and the scan comes in as any file does', async () => {
    const lines = linesOf((await scan({ subject: 'kite-loft', dpi: 150, quality: 'good', seed: 1 })).body);
    const shares = lines.flatMap((line) => ('share' in line ? [line.share] : []));
    expect(shares.length).to.be.above(10);
    expect(shares).to.deep.equal([...shares].sort((p, q) => p - q));
    const last = lines.at(-1)!;
    if (!('picture' in last)) throw new Error('No picture came.');
    expect(last.name).to.equal('Kite Loft, scan.jpg');
    const { body: jpeg } = await desk.api.get(`/api/devices/pictures/${last.picture}`);
    const brought = await desk.api
      .post('/api/sheets')
      .field('id', 'scanned-page')
      .field('title', 'Kite Loft, scan')
      .attach('file', jpeg, 'scan.jpg');
    expect(brought.status).to.equal(200);
    expect(brought.body.plan.page).to.include({ widthMm: 220, heightMm: 158 });
    expect(brought.body.origin).to.equal('own');
  });

  it('say in a sentence what does not lie there, and refuse what is not asked rightly', async () => {
    const [line] = linesOf((await scan({ subject: 'nothing', dpi: 150, quality: 'good', seed: 1 })).body).slice(-1);
    expect(line).to.deep.equal({ sentence: 'This page does not lie on the glass.' });
    expect((await scan({ subject: 'kite-loft', dpi: 7, quality: 'good', seed: 1 })).status).to.equal(422);
    expect((await desk.api.get('/api/devices/pictures/none')).body.sentence).to.contain('Take it again');
  });

  it('photograph the begun sheet with its colours, and a fresh one without', async () => {
    const { camera } = simulatedDevices(desk.db, Date.now);
    const chroma = async (subject: string) => {
      const { bytes } = await camera.shoot({ subject, quality: 'good', seed: 3 }, quietRun);
      const { data } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
      let coloured = 0;
      for (let i = 0; i < data.length; i += 3)
        if (Math.max(data[i], data[i + 1], data[i + 2]) - Math.min(data[i], data[i + 1], data[i + 2]) > 50) coloured++;
      return coloured / (data.length / 3);
    };
    const begun = await chroma(`page ${BEGUN_SHEET}`);
    expect(begun).to.be.within(0.03, 0.4);
    expect(await chroma('page ferry-steps')).to.be.below(begun / 4);
  });

  it('stop looking at a page when they are told to', async () => {
    const run = { ...quietRun, cancelled: () => true };
    const error = await colouredPage(desk.db, BEGUN_SHEET, run).catch((failure: unknown) => failure);
    expect(error).to.be.instanceOf(CancelledError);
  });

  it('read a patch once they are warm, and the reading is kept with its pencil', async () => {
    let clock = 0;
    const { meter } = simulatedDevices(desk.db, () => clock);
    const request = {
      trayId: DEMO_TRAY,
      pencilId: 'demo-f-133',
      paper: 'white-book',
      patch: 'firm',
      ground: 'paper',
      quality: 'good',
      seed: 2,
    } as const;
    expect((await meter.read(request)).kind).to.equal('warming up');
    clock = 10_000;
    const answer = await meter.read(request);
    if (answer.kind !== 'reading') throw new Error(answer.kind);
    const path = `/api/trays/${DEMO_TRAY}/pencils/demo-f-133/swatches`;
    const swatch = { id: 'reading-one', paper: 'white-book', patch: 'firm', ground: 'paper', lab: answer.lab };
    await desk.api.post(path).send(swatch);
    const { body } = await desk.api.post(path).send(swatch);
    expect(body.filter((each: { origin: string }) => each.origin === 'own')).to.have.length(1);
    expect((await desk.api.post(path).send({ ...swatch, id: 'reading-two', paper: 'papyrus' })).status).to.equal(422);
    expect((await desk.api.post(path.replace('f-133', 'none')).send(swatch)).status).to.equal(404);
  });

  it('say which pencil or paper they do not know', async () => {
    const request = {
      trayId: DEMO_TRAY,
      pencilId: 'demo-none',
      paper: 'white-book',
      patch: 'firm',
      ground: 'paper',
      quality: 'good',
      seed: 2,
    };
    await desk.api.post('/api/devices/meter/read').send(request);
    await new Promise((resolve) => setTimeout(resolve, 3200));
    const { status, body } = await desk.api.post('/api/devices/meter/read').send(request);
    expect([status, body.sentence]).to.deep.equal([404, 'This pencil is not in the tray.']);
  });
});
