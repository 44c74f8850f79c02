import { bodyOf, pencilsOf } from '../src/core/recipe/index.ts';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import isEqual from 'fast-deep-equal';
import { type Browser, type Page } from 'playwright-core';
import sharp from 'sharp';
import { BenchState, type RecordEntry, RegionsMeta, SheetState } from '../src/contracts/index.ts';
import { deltaE2000, labOfHex } from '../src/core/colour/index.ts';
import { validateSequence } from '../src/core/bench/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import { onPaper } from '../src/core/tray/index.ts';
import { roundsOfPlan } from '../src/order/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import {
  colouredShare,
  goTo,
  nameFromKey,
  openFerrySteps,
  pressAtTable,
  pressTwiceAtOnce,
  putInOrder,
  takePalette,
  untilBare,
  untilColoured,
  untilPainted,
  untilSaved,
} from './stages.ts';
import { familiesOf, thingsOf } from '../src/plan/index.ts';

describe('the way through the stages', () => {
  let desk: TestDesk;
  let browser: Browser;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  async function stored<T>(path: string): Promise<T> {
    const response = await fetch(`${desk.url}/api${path}`);
    expect(response.status, path).to.equal(200);
    return response.json() as Promise<T>;
  }

  /** What axe finds wrong, by all of its rules or by these alone, a line for each rule. */
  /** The middle of a region on the screen, from what is stored of it and where the page is drawn. */
  async function clickRegion(page: Page, meta: RegionsMeta, id: number, shift = false): Promise<void> {
    const box = (await page.getByTestId('sheet').boundingBox())!;
    const k = Math.min((box.width - 36) / meta.width, (box.height - 36) / meta.height);
    const { pole } = meta.regions[id - 1];
    const x = box.x + box.width / 2 + k * (pole.x * meta.pixelsPerMm - meta.width / 2);
    const y = box.y + box.height / 2 + k * (pole.y * meta.pixelsPerMm - meta.height / 2);
    if (shift) await page.keyboard.down('Shift');
    await page.mouse.click(x, y);
    if (shift) await page.keyboard.up('Shift');
  }

  describe('a new user takes The Ferry Steps from the shelf to the first finished steps', () => {
    let page: Page;
    let errors: string[];
    let meta: RegionsMeta;

    before(async () => {
      ({ page, errors } = await openPage(browser, desk.url));
    });
    afterEach(() => {
      expect(errors).to.deep.equal([]);
    });

    it('Sheet: regions are found, measured and stored; things are named by the key; undo takes it back', async () => {
      await openFerrySteps(page);
      meta = RegionsMeta.parse(await stored('/sheets/ferry-steps/regions'));
      expect(meta.regions.length).to.be.at.least(350);
      await page.getByText(String(meta.regions.length), { exact: true }).waitFor();

      const largest = meta.regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
      await clickRegion(page, meta, largest.id);
      const facts = await page.getByTestId('region-facts').innerText();
      expect(facts).to.contain(`${Math.round(largest.areaMm2).toLocaleString('en')} mm²`);
      expect(facts).to.contain(`${largest.usableWidthMm.toFixed(1)} mm`);

      await nameFromKey(page);
      await page.keyboard.press('Control+z');
      await page.getByRole('button', { name: 'Name things from the key' }).waitFor();
      expect(thingsOf((await stored<SheetState>('/sheets/ferry-steps')).plan)).to.have.length(0);
      await page.keyboard.press('Control+Shift+Z');
      await page.getByRole('list', { name: 'Things' }).getByText('Brass bell').waitFor();
    });

    it('Tray: pencils are laydowns; search narrows them; one is marked as missing and stored so', async () => {
      await goTo(page, 'Tray');
      await page.getByLabel('Search pencils').fill('dull green');
      await page.getByRole('checkbox', { name: 'QS01 is here' }).waitFor({ state: 'detached' });
      const few = await page.getByRole('checkbox', { name: /is here/ }).count();
      expect(few).to.be.within(1, 20);
      await page.getByLabel('Search pencils').fill('QS53');
      // Rows move up as others go: it is pressed once it is alone.
      await page
        .getByRole('checkbox', { name: /is here/ })
        .nth(1)
        .waitFor({ state: 'detached' });
      await page.getByRole('checkbox', { name: 'QS53 is here' }).uncheck();
      await page.getByText('6 missing').waitFor();
      await until(
        'QS53 is stored as missing',
        () => stored<{ code: string; whereabouts: string }[]>('/trays/demo-tray/pencils'),
        (pencils) => pencils.find(({ code }) => code === 'QS53')!.whereabouts === 'missing',
      );
      await page.getByText('Table', { exact: true }).click();
      await page.getByLabel('Search pencils').fill('');
      await page.getByRole('button', { name: 'L*' }).click();
      await page.getByRole('columnheader', { name: 'L*' }).and(page.locator('[aria-sort]')).waitFor();
    });

    it('Wheel: turning is stored and undone; a palette gives each thing a family from the tray that is near what was asked', async () => {
      await goTo(page, 'Wheel');
      const slider = page.getByRole('slider', { name: 'Anchor hue' });
      await slider.focus();
      await page.keyboard.press('ArrowRight');
      await untilSaved(page);
      expect((await stored<SheetState>('/sheets/ferry-steps')).plan.wheel.anchor).to.equal(65);
      await page.getByRole('button', { name: /Undo: turn the wheel/ }).click();
      await untilSaved(page);
      expect((await stored<SheetState>('/sheets/ferry-steps')).plan.wheel.anchor).to.equal(60);

      // Dragging the ring at the end of the first hand to the right turns it to red-orange, 90 degrees from yellow.
      const ring = (await slider.boundingBox())!;
      const wheel = (await page.getByRole('group', { name: /painter’s wheel/ }).boundingBox())!;
      await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2);
      await page.mouse.down();
      await page.mouse.move(wheel.x + wheel.width * 0.8, wheel.y + wheel.height / 2, { steps: 5 });
      await page.mouse.up();
      await untilSaved(page);
      expect((await stored<SheetState>('/sheets/ferry-steps')).plan.wheel.anchor).to.be.closeTo(90, 1);
      await page.keyboard.press('Control+z');
      await untilSaved(page);

      await takePalette(page);
      const { plan } = await stored<SheetState>('/sheets/ferry-steps');
      const pencils =
        await stored<
          { id: string; code: string; colour: string; type: string; opacity: number | null; whereabouts: string }[]
        >('/trays/demo-tray/pencils');
      const here = new Map(
        pencils.filter((pencil) => pencil.whereabouts !== 'missing').map((pencil) => [pencil.id, pencil]),
      );
      expect(Object.keys(familiesOf(plan))).to.have.length(thingsOf(plan).length);
      for (const family of Object.values(familiesOf(plan)))
        for (const id of pencilsOf(family)) expect(here.has(id), id).to.equal(true);
      const bodies = new Map(
        onPaper(
          [...here.values()].map((pencil) => ({
            ...pencil,
            masstone: labOfHex(pencil.colour),
            opacity: pencil.opacity ?? undefined,
          })),
          whiteBook,
        ).map((on) => [on.id, on.body]),
      );
      const lanterns = thingsOf(plan).find((thing) => thing.name === 'Paper lanterns')!;
      expect(deltaE2000(bodies.get(bodyOf(lanterns.family!))!, labOfHex('#f08a24'))).to.be.below(25);
      for (const { pencils: own } of Object.values(familiesOf(plan)))
        if (own.length > 1) expect(bodies.get(own.at(-1)!)![0]).to.be.above(bodies.get(own[0])![0]);
    });

    it('Wheel: any pencil of a family can be swapped', async () => {
      await page.getByRole('list', { name: 'Families' }).getByText('Brass bell').click();
      await page.getByRole('button', { name: 'Darkest of Brass bell' }).click();
      await page.getByRole('option', { name: /QS46/ }).click();
      await untilSaved(page);
      const { plan } = await stored<SheetState>('/sheets/ferry-steps');
      const bell = thingsOf(plan).find((thing) => thing.name === 'Brass bell')!;
      expect(plan.things[bell.id].family!.pencils[0]).to.equal('demo-qs46');
    });

    it('Light: a direction is set and stored, and the page shows it in greys', async () => {
      await goTo(page, 'Light');
      await page.getByText('From a side').click();
      const lamp = page.getByRole('slider', { name: 'Place of the light' });
      await lamp.focus();
      await page.keyboard.press('ArrowRight');
      await untilSaved(page);
      expect((await stored<SheetState>('/sheets/ferry-steps')).plan.light).to.deep.equal({
        kind: 'direction',
        azimuthDegrees: 230,
        heightDegrees: 45,
      });
      expect(await colouredShare(page)).to.be.below(0.001);
      await page.getByText('Soft, all round').click();
      await untilSaved(page);
    });

    it('Layers: each thing has ordered layers; the school is changed for one and undone; scrubbing lays colour', async () => {
      await goTo(page, 'Layers');
      await page.waitForFunction(() => document.querySelector('[aria-label="Layers laid"]'));
      const scrub = page.getByRole('slider', { name: 'Layers laid' });
      // The bell is still chosen, so the rest of the page is veiled: less of it counts as coloured.
      await untilColoured(page, 0.03);
      const all = await colouredShare(page);
      const most = (await scrub.getAttribute('max'))!;
      await scrub.fill('0');
      await page.waitForFunction(() => document.body.innerText.includes('bare paper'));
      await untilBare(page);
      await scrub.fill('1');
      await untilColoured(page, 0.005);
      expect(await colouredShare(page)).to.be.below(all);
      await scrub.fill(most);
      await untilColoured(page, 0.95 * all);

      // The bell is of brass: a ladder with the dark first; as a blend it follows the school.
      const layers = page.getByRole('list', { name: 'Layers of Brass bell' }).getByRole('listitem');
      expect(await layers.nth(0).innerText()).to.contain('QS46');
      await page.getByRole('button', { name: /^Effect of Brass bell: / }).click();
      await page.getByRole('option', { name: /^blend/ }).click();
      await untilSaved(page);
      await layers.nth(4).waitFor();
      expect(await layers.count()).to.equal(5);
      expect(await layers.nth(1).innerText()).to.contain('QS46');
      await page.getByRole('button', { name: 'School of Brass bell' }).click();
      await page.getByRole('option', { name: /^dark first/ }).click();
      await untilSaved(page);
      expect(await layers.count()).to.equal(4);
      await page.getByRole('button', { name: /Undo: Brass bell/ }).click();
      await untilSaved(page);
      expect(await layers.count()).to.equal(5);
      await page.getByRole('button', { name: 'Change layer 1' }).click();
      await page.getByRole('button', { name: 'More passes of layer 1' }).click();
      await untilSaved(page);
      const { plan } = await stored<SheetState>('/sheets/ferry-steps');
      const bell = thingsOf(plan).find((thing) => thing.name === 'Brass bell')!;
      const passes = plan.things[bell.id]?.edits?.layers?.base?.passes;
      expect(plan.things[bell.id]?.edits).to.deep.equal({ layers: { base: { passes } } });
      expect(passes).to.be.within(2, 6);
    });

    it('Bench: the stored order is valid and near its bound; Space marks steps done; Backspace takes one back', async () => {
      await goTo(page, 'Bench');
      await page.getByRole('button', { name: 'Compare what each costs' }).click();
      const prices = page.getByRole('img', { name: /^Pick-ups by things open/ });
      await prices.waitFor();
      const pickUps = [...(await prices.getAttribute('aria-label'))!.matchAll(/open: (\d+)/g)].map((found) =>
        Number(found[1]),
      );
      expect(pickUps).to.have.length(8);
      // What is compared is the whole of it: a pick-up more may save a way.
      expect(pickUps.at(-1)).to.be.below(0.9 * pickUps[0]);
      expect(Math.max(...pickUps)).to.equal(pickUps[0]);
      await putInOrder(page);
      await page.getByRole('progressbar').waitFor({ state: 'hidden' });
      const { plan } = BenchState.parse(await stored('/sheets/ferry-steps/bench'));
      expect(validateSequence(plan!.steps, plan!.order, plan!.openThings, plan!.alike)).to.deep.equal([]);
      const inTurn = plan!.steps.filter((step, i) => i === 0 || plan!.steps[i - 1].pencil !== step.pencil).length;
      // How many it saves in so much time is a matter of bench.test: this machine may be busy.
      expect(plan!.pickUps).to.be.at.most(inTurn);
      await page.getByRole('button', { name: 'Sit down' }).click();
      const rounds = roundsOfPlan(plan!).flat();
      const codeOf = (at: number) => plan!.pencils.find(({ id }) => id === rounds[at].steps[0].pencil)!.code;
      const firstTwo = rounds.slice(0, 2).flatMap(({ steps }) => steps.map(({ id }) => id));
      expect(await page.getByTestId('step-code').innerText()).to.equal(codeOf(0));
      for (let done = 1; done <= 3; done++) {
        // A second press right after it does not count.
        if (done === 3) await pressTwiceAtOnce(page);
        else await pressAtTable(page, 'Space');
        await page.getByText(`step ${done + 1} of`).waitFor();
      }
      // What takes a slip back counts at once.
      await page.keyboard.press('Backspace');
      await page.getByText('step 3 of').waitFor();
      expect(await page.getByTestId('step-code').innerText()).to.equal(codeOf(2));
      await until(
        'the two steps before it are stored as done',
        async () => BenchState.parse(await stored('/sheets/ferry-steps/bench')).done.map(({ stepId }) => stepId),
        (done) => isEqual(done, firstTwo),
      );
    });

    it('comes back to the same step after the browser was closed and the server killed', async () => {
      const step = await page.getByTestId('step').innerText();
      const url = page.url();
      await page.close();
      await desk.restart();
      ({ page, errors } = await openPage(browser, url));
      await page.getByText('step 3 of').waitFor();
      expect(await page.getByTestId('step').innerText()).to.equal(step);
    });

    it('Record: the finished steps stand there with times and pencils', async () => {
      await page.getByRole('button', { name: 'Leave the table' }).click();
      await goTo(page, 'Record');
      const rows = page.getByRole('region', { name: 'Finished steps' }).getByRole('row');
      await rows.nth(2).waitFor();
      const record = await stored<RecordEntry[]>('/sheets/ferry-steps/record');
      expect(await rows.count()).to.equal(record.length + 1);
      const first = await rows.nth(2).innerText();
      expect(first).to.contain(record[0].pencil.code);
      expect(first).to.contain(record[0].thing);
    });
  });

  describe('a page of one’s own', () => {
    let page: Page;
    let errors: string[];
    const folder = mkdtempSync(join(tmpdir(), 'pages-'));
    const drawing = (name: string, inside: string) => {
      const path = join(folder, name);
      writeFileSync(
        path,
        `<svg xmlns="http://www.w3.org/2000/svg" width="148mm" height="210mm" viewBox="0 0 148 210"><rect width="148" height="210" fill="#fff"/><g fill="#fff" stroke="#000">${inside}</g></svg>`,
      );
      return path;
    };
    const bringIn = async (path: string) => {
      await page.goto(`${desk.url}/sheets`);
      await page.getByLabel('Picture of a page').setInputFiles(path);
    };

    before(async () => {
      ({ page, errors } = await openPage(browser, `${desk.url}/sheets`));
    });
    after(async () => {
      await page.close();
    });
    afterEach(() => expect(errors).to.deep.equal([]));

    it('is brought in, sized, and its regions gathered into a thing by hand', async () => {
      await bringIn(
        drawing(
          'three-kites.svg',
          '<path d="M30 20l30 40-30 40-25-40z"/><path d="M110 30l25 50-25 40-30-40z"/><circle cx="74" cy="160" r="35"/>',
        ),
      );
      await page.getByText('Real size and paper').waitFor();
      await page.getByLabel('Width in mm').fill('148');
      await page.getByLabel('Height in mm').fill('210');
      await page.getByRole('button', { name: 'Set' }).click();
      await page.waitForFunction(() => document.body.innerText.includes('in no thing yet'), null);
      const id = page.url().match(/sheets\/([^/]+)/)![1];
      const found = await until(
        'three regions at the page’s own size',
        async () => RegionsMeta.safeParse(await stored(`/sheets/${id}/regions`)).data,
        (regions) => regions?.regions.length === 3 && Math.abs(regions.width / regions.pixelsPerMm - 148) < 0.5,
      );
      const meta = found!;
      const circle = meta.regions[2];
      expect(circle.areaMm2).to.be.closeTo(Math.PI * 34.5 ** 2, 40);
      expect(circle.usableWidthMm).to.be.closeTo(69, 0.5);
      await untilPainted(page);
      await clickRegion(page, meta, 1);
      await clickRegion(page, meta, 2, true);
      await page.getByLabel(/into a thing called/).fill('Kites');
      await page.getByRole('button', { name: 'Gather' }).click();
      await untilSaved(page);
      const { plan, trayId } = await stored<SheetState>(`/sheets/${id}`);
      expect(thingsOf(plan)).to.have.length(1);
      expect(thingsOf(plan)[0]).to.deep.include({ name: 'Kites', regionIds: [1, 2] });
      expect(trayId).to.equal('my-pencils');
    });

    it('says that an empty tray has nothing to choose from, and takes a pasted list and a copied set', async () => {
      await goTo(page, 'Wheel');
      await page.getByText('The tray is empty').waitFor();
      await goTo(page, 'Tray');
      await page.getByText('This tray is empty.').waitFor();
      await page
        .getByLabel(/CSV with a first line/)
        .fill('code,name,colour,type\nK1,kelp,#4c5a2e,oil\nK2,odd,greenish,oil');
      await page.getByText('Line 3.').waitFor();
      await page.getByRole('button', { name: 'Put 1 pencil in this tray' }).click();
      await page.getByRole('checkbox', { name: 'K1 is here' }).waitFor();
      await page.getByRole('button', { name: 'Copy Fenland Oil' }).click();
      await page.getByRole('checkbox', { name: 'F-101 is here' }).waitFor();
      const mine = await stored<{ code: string; origin: string }[]>('/trays/my-pencils/pencils');
      expect(mine.length).to.equal(61);
      expect(mine.every((pencil) => pencil.origin === 'own')).to.equal(true);
    });

    it('refuses a size of 0 mm with a sentence and keeps the old one', async () => {
      await goTo(page, 'Sheet');
      const id = page.url().match(/sheets\/([^/]+)/)![1];
      await page.getByRole('button', { name: 'change', exact: true }).click();
      await page.getByLabel('Width in mm').fill('0');
      await page.getByRole('button', { name: 'Set' }).click();
      await page.getByText('A page is at least 20 mm wide and high.').waitFor();
      expect((await stored<SheetState>(`/sheets/${id}`)).plan.page).to.include({ widthMm: 148, heightMm: 210 });
    });

    const png = (name: string, bytes: Buffer) => {
      const path = join(folder, name);
      writeFileSync(path, bytes);
      return path;
    };
    const hugePicture = async () =>
      png(
        'huge.png',
        await sharp({ create: { width: 20_000, height: 300, channels: 3, background: '#fff' } })
          .png()
          .toBuffer(),
      );
    const BAD: [string, () => string | Promise<string>, RegExp][] = [
      [
        'a broken image',
        () =>
          png('broken.png', readFileSync(new URL('../docs/screenshots/shelf.png', import.meta.url)).subarray(0, 900)),
        /broken and cannot be read/,
      ],
      ['a file that is no picture', () => png('list.png', Buffer.from('milk, bread')), /not a PNG, JPEG, WebP/],
      ['a picture of 20,000 px', hugePicture, /20,000 × 300 pixels; the most that fits/],
      ['an all-white page', () => drawing('white.svg', ''), /This page is blank/],
      [
        'an all-black page',
        () => drawing('black.svg', '<rect width="148" height="210" fill="#000"/>'),
        /almost all dark/,
      ],
    ];
    for (const [what, path, sentence] of BAD) {
      it(`refuses ${what} with one sentence on the shelf`, async () => {
        const before = await stored<unknown[]>('/sheets');
        await bringIn(await path());
        const alert = page.getByRole('alert');
        await alert.waitFor();
        expect(await alert.innerText()).to.match(sentence);
        expect(await stored<unknown[]>('/sheets')).to.deep.equal(before);
      });
    }

    it('shows how finding regions goes and can be stopped and begun again', async () => {
      const cells = Array.from(
        { length: 900 },
        (_, i) => `<rect x="${6 + (i % 30) * 4.5}" y="${6 + Math.floor(i / 30) * 6.5}" width="4.5" height="6.5"/>`,
      );
      // The desk has its picture; the finding of regions gets none before it was stopped, however slow the hand.
      let asked = 0;
      let stopped!: () => void;
      const untilStopped = new Promise<void>((resolve) => (stopped = resolve));
      await page.route('**/picture/**', async (route) => {
        const isFetch = route.request().resourceType() === 'fetch';
        if (isFetch && ++asked > 1) await untilStopped;
        await route.continue();
      });
      await bringIn(drawing('cells.svg', cells.join('')));
      await page.getByRole('progressbar').waitFor();
      await page.getByRole('button', { name: 'Stop' }).click();
      await page.getByRole('button', { name: 'Find regions' }).waitFor();
      stopped();
      await page.getByRole('button', { name: 'Find regions' }).click();
      await page.getByText('900', { exact: true }).waitFor();
      await page.unroute('**/picture/**');
    });
  });
});
