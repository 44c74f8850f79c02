import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import { BenchState, type Plan, type SheetState } from '../src/contracts/index.ts';
import { roundsOfPlan } from '../src/order/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import { BEGUN_SHEET } from '../src/demo/index.ts';
import { colouredShare, untilColoured, untilPainted, untilSaved } from './stages.ts';
import { thingsOf } from '../src/plan/index.ts';

/** How the desk behaves around the journey: small screens, two tabs, a server that goes away, keys alone. */
describe('the desk', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    ({ page } = await openPage(browser, desk.url));
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  const at = async (path: string) => {
    await page.goto(desk.url + path);
    await page.waitForFunction(() => document.querySelector('h1') && !document.querySelector('[aria-busy="true"]'));
  };
  const stored = async <T>(path: string) => (await (await fetch(`${desk.url}/api${path}`)).json()) as T;

  /** Pixels by which the page is wider than the screen. */
  const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

  describe('small screens', () => {
    it('the wheel is at least 540 px across on a small laptop and round everywhere', async () => {
      await at(`/sheets/${BEGUN_SHEET}/wheel`);
      for (const [width, height, least] of [
        [1280, 800, 540],
        [1024, 768, 500],
      ]) {
        await page.setViewportSize({ width, height });
        const wheel = (await page.getByRole('group', { name: /painter’s wheel/ }).boundingBox())!;
        expect(wheel.width).to.be.closeTo(wheel.height, 1);
        expect(0.89 * wheel.width).to.be.at.least(least);
      }
    });

    it('the step at the table can be done on a phone', async () => {
      await page.setViewportSize({ width: 390, height: 800 });
      await at(`/sheets/${BEGUN_SHEET}/bench?sitting=1`);
      expect(await overflow()).to.be.at.most(0);
      const button = (await page.getByRole('button', { name: 'Done', exact: true }).boundingBox())!;
      expect(button.height).to.be.at.least(60);
      expect(button.y + button.height).to.be.at.most(800);
      expect((await page.getByTestId('sheet').boundingBox())!.height).to.be.above(200);
      await page.setViewportSize({ width: 1280, height: 800 });
    });
  });

  describe('a change that shows nothing', () => {
    it('paints nothing: the wheel is turned, and no picture of the page is asked for', async () => {
      await page.addInitScript(() => {
        const counted = window as { painted?: number };
        const send = Worker.prototype.postMessage as (this: Worker, ...all: unknown[]) => void;
        Worker.prototype.postMessage = function (this: Worker, ...all: unknown[]) {
          const [{ argumentList = [] }] = all as [{ argumentList?: { value?: unknown }[] }];
          if (argumentList[0]?.value === 'preview') counted.painted = (counted.painted ?? 0) + 1;
          send.apply(this, all);
        };
      });
      const painted = () => page.evaluate(() => (window as { painted?: number }).painted ?? 0);
      await at(`/sheets/${BEGUN_SHEET}/wheel`);
      await untilColoured(page, 0.2);
      const before = await painted();
      expect(before).to.be.above(0);
      await page.getByRole('slider', { name: 'Anchor hue' }).press('PageUp');
      await untilSaved(page);
      await untilPainted(page);
      expect(await painted()).to.equal(before);
    });
  });

  describe('two tabs on one sheet', () => {
    it('keep both what they change in different places, and are asked where they change the same', async () => {
      const { page: other } = await openPage(browser, `${desk.url}/sheets/${BEGUN_SHEET}/light`);
      await at(`/sheets/${BEGUN_SHEET}/light`);
      await other.getByText('From a side').click();
      await until(
        'what the other changed',
        async () => (await stored<SheetState>(`/sheets/${BEGUN_SHEET}`)).plan.light.kind,
        (kind) => kind === 'direction',
      );
      await page.getByRole('list', { name: 'Forms of things' }).getByText('Brass bell').click();
      await page.getByRole('radio', { name: /^flat/ }).click();
      const plan = async () => (await stored<SheetState>(`/sheets/${BEGUN_SHEET}`)).plan;
      const bell = (own: Plan) => thingsOf(own).find(({ name }) => name === 'Brass bell')!.form;
      const { light } = await until('both changes', plan, (own) => bell(own) === 'flat');
      expect(light.kind).to.equal('direction');
      // The other has not heard of it, and forms the same thing differently.
      await other.getByRole('list', { name: 'Forms of things' }).getByText('Brass bell').click();
      await other.getByRole('radio', { name: /^tube/ }).click();
      await other.getByText('Elsewhere: Brass bell flat. Here: Brass bell tube.').waitFor();
      expect(bell(await plan())).to.equal('flat');
      await other.getByRole('button', { name: 'Put mine there' }).click();
      await until('the tube', plan, (own) => bell(own) === 'tube');
      await other.close();
    });
  });

  describe('undo', () => {
    it('still knows what to take back after the page was loaded anew', async () => {
      await at(`/sheets/${BEGUN_SHEET}/layers`);
      await page.getByRole('button', { name: 'School of this sheet' }).click();
      await page.getByRole('option', { name: /^dark first/ }).click();
      await page.getByRole('button', { name: 'Undo: school: dark first' }).waitFor();
      await page.getByRole('status').getByText('Saved').waitFor();
      await page.reload();
      await page.getByRole('button', { name: 'Undo: school: dark first' }).click();
      await page.getByRole('button', { name: 'Redo: school: dark first' }).waitFor();
      await page.getByRole('status').getByText('Saved').waitFor();
      expect((await stored<SheetState>(`/sheets/${BEGUN_SHEET}`)).plan.school).to.equal('base-coat-first');
    });
  });

  describe('a server that goes away', () => {
    it('is said plainly at the table; what was done is kept here, and sent once it is back', async () => {
      await at(`/sheets/${BEGUN_SHEET}/bench?sitting=1`);
      await page.getByText('step 1 of').waitFor();
      await page.route('**/log', (route) => route.abort());
      await page.keyboard.press('Space');
      await page.getByText(/^Harmonie does not answer; \d+ kept here/).waitFor();
      await page.getByText('step 2 of').waitFor();
      await page.unroute('**/log');
      await page.getByTestId('kept').filter({ hasText: 'Saved' }).waitFor();
      const { plan, done } = BenchState.parse(await stored(`/sheets/${BEGUN_SHEET}/bench`));
      const [first] = roundsOfPlan(plan!).flat();
      expect(done.map(({ stepId }) => stepId)).to.deep.equal(first.steps.map(({ id }) => id));
    });

    it('a screen that cannot be loaded says so and shows the way back', async () => {
      await page.goto(`${desk.url}/sheets/no-such-sheet/sheet`);
      await page.getByText('This sheet is not on the desk.').waitFor();
      await page.getByRole('link', { name: 'Back to the shelf' }).click();
      await page.getByRole('heading', { name: 'Which page tonight?' }).waitFor();
      await page.goto(`${desk.url}/nowhere`);
      await page.getByText('There is nothing here').waitFor();
    });
  });

  describe('by keyboard alone', () => {
    it('regions are stepped through in reading order, measured, chosen and gathered into a thing', async () => {
      const path = (x: number, y: number) => `<rect x="${x}" y="${y}" width="40" height="40"/>`;
      const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="148mm" height="148mm" viewBox="0 0 148 148"><rect width="148" height="148" fill="#fff"/><g fill="#fff" stroke="#000">${path(20, 20)}${path(80, 20)}${path(20, 80)}</g></svg>`;
      await at('/sheets');
      await page
        .getByLabel('Picture of a page')
        .setInputFiles({ name: 'squares.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(drawing) });
      await page.getByText('in no thing yet').waitFor();
      await page.getByTestId('sheet').focus();
      await page.keyboard.press('ArrowRight');
      await page.getByRole('heading', { name: 'Region 1' }).waitFor();
      await page.keyboard.press('Enter');
      await page.getByLabel(/into a thing called/).waitFor();
      await page.getByTestId('sheet').focus();
      await page.keyboard.press('ArrowRight');
      await page.getByRole('heading', { name: 'Region 2' }).waitFor();
      await page.keyboard.press('Space');
      await page.getByText('Gather 2 regions').waitFor();
      await page.getByLabel(/into a thing called/).focus();
      await page.keyboard.type('Upper row');
      await page.keyboard.press('Enter');
      await page.getByRole('list', { name: 'Things' }).getByText('Upper row').waitFor();
      const id = page.url().match(/sheets\/([^/]+)/)![1];
      const things = async () => thingsOf((await stored<SheetState>(`/sheets/${id}`)).plan);
      const [thing] = await until('a thing that is stored', things, (all) => all.length > 0);
      expect(thing.regionIds).to.deep.equal([1, 2]);
    });

    it('things, stages and pencils are found by typing', async () => {
      await at(`/sheets/${BEGUN_SHEET}/sheet`);
      const find = page.getByRole('combobox', { name: /Find/ });
      await find.fill('tin kettle');
      await page.getByRole('option', { name: /Tin kettle/ }).waitFor();
      await page.keyboard.press('Enter');
      await page.getByRole('heading', { name: 'Tin kettle' }).waitFor();
      await find.fill('layers');
      await page.getByRole('option', { name: /Layers/ }).click();
      await page.getByRole('heading', { name: 'Layers: The Ferry Steps' }).waitFor();
      await find.fill('QS31');
      await page.getByRole('option', { name: /QS31/ }).click();
      await page.getByRole('checkbox', { name: 'QS31 is here' }).waitFor();
      expect(await page.getByRole('checkbox', { name: /is here/ }).count()).to.equal(1);
    });

    it('a pencil of the rest lights its places on the sheet when it has the focus', async () => {
      await at(`/sheets/${BEGUN_SHEET}/layers`);
      // A quiet palette on a deep ground has few pixels that are far from grey.
      await untilColoured(page, 0.06);
      const before = await colouredShare(page);
      await page
        .getByRole('button', { name: /show its places/ })
        .first()
        .focus();
      await until(
        'fewer colours',
        () => colouredShare(page),
        (share) => share < 0.9 * before,
      );
    });
  });
});
