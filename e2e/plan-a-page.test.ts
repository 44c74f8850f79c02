import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import { BenchState, RegionsMeta, SheetState, TakingLine } from '../src/contracts/index.ts';
import { validateSequence } from '../src/core/bench/index.ts';
import { roundsOfPlan } from '../src/order/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import { goTo, pressAtTable } from './stages.ts';

/** A plan for a whole page takes no longer than this, ms, and no more answers. */
const TWO_MINUTES = 120_000;
const ANSWERS = 8;
const STEPS = 50;
/** A step in so many shapes, of which one is put off. */
const MANY = 8;

describe('planning a whole page', function () {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  let errors: string[];
  // Each journey begins on a desk of its own, so that it can be walked once more.
  beforeEach(async () => {
    desk = await openDesk();
    browser = await openBrowser();
    ({ page, errors } = await openPage(browser, desk.url));
  });
  afterEach(async () => {
    await browser.close();
    await desk.close();
  });
  /** A page that is left or loaded anew breaks off what it was fetching: that is no error of its own. */
  const ownErrors = () => errors.filter((each) => !/Failed to fetch|ERR_/.test(each));
  const stored = async (path: string): Promise<unknown> => (await fetch(`${desk.url}/api${path}`)).json();
  /** A page as the simulated scanner brings it: a picture and nothing else. */
  const scanOf = async (subject: string) => {
    const scan = await fetch(`${desk.url}/api/devices/scanner/scan`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ subject, dpi: 200, quality: 'good', seed: 5 }),
    });
    const said = (await scan.text())
      .trim()
      .split('\n')
      .map((line) => TakingLine.parse(JSON.parse(line)));
    const taken = said.flatMap((line) => ('picture' in line ? [line.picture] : []));
    expect(taken).to.have.length(1);
    return Buffer.from(await (await fetch(`${desk.url}/api/devices/pictures/${taken[0]}`)).arrayBuffer());
  };
  const sheetId = () => /sheets\/([^/]+)/.exec(page.url())![1];

  it('a scan that nobody knows anything of comes from file to printed plan in two minutes and eight answers', async () => {
    const buffer = await scanOf('kite-loft');
    const started = Date.now();
    let answers = 0;
    const answer = async (name: string | RegExp, role: 'button' | 'link' = 'button') => {
      answers++;
      await page.getByRole(role, { name }).first().click();
    };
    answers++;
    await page.getByLabel('Picture of a page').setInputFiles({ name: 'loft.jpg', mimeType: 'image/jpeg', buffer });
    await page.waitForURL(/\/sheet$/);
    await page.getByText(/found,/).waitFor();
    await answer('Guess what belongs together');
    await answer(/^Keep these \d+/);
    await goTo(page, 'Tray');
    await answer(/^Demo/, 'link');
    await answer('Plan it with this one');
    await page.getByText('is planned with this tray.').waitFor();
    await goTo(page, 'Wheel');
    await answer(/Propose/);
    await page.locator('ul[aria-label="Proposed palettes"][aria-busy="false"]').waitFor();
    await answer(/^Take /);
    await page.getByRole('status').getByText('Saved').waitFor();
    await goTo(page, 'Bench');
    await answer('Put the steps in order');
    await page.getByRole('button', { name: 'Sit down' }).waitFor();
    const book = await fetch(`${desk.url}/api/sheets/${sheetId()}/bench-book.pdf`);
    const seconds = (Date.now() - started) / 1000;
    expect(book.status).to.equal(200);
    expect((await book.arrayBuffer()).byteLength).to.be.above(20_000);
    console.log(`      ${answers} answers, ${seconds.toFixed(0)} s`);
    expect(answers).to.be.at.most(ANSWERS);
    expect(1000 * seconds).to.be.below(TWO_MINUTES);
    const { plan } = BenchState.parse(await stored(`/sheets/${sheetId()}/bench`));
    const sheet = SheetState.parse(await stored(`/sheets/${sheetId()}`));
    expect(sheet.hasKey).to.equal(false);
    expect(plan!.things.length).to.be.above(8);
    expect(validateSequence(plan!.steps, plan!.order, plan!.openThings, plan!.alike)).to.deep.equal([]);
    // Like shapes are one step, and one of them is put off by itself.
    const rounds = roundsOfPlan(plan!).flat();
    expect(rounds.length).to.be.below(plan!.steps.length / 2);
    const at = rounds.findIndex(({ steps }) => steps.length >= MANY);
    await page.getByRole('button', { name: 'Sit down' }).click();
    await page.getByText('step 1 of').waitFor();
    for (let k = 0; k < at; k++) await pressAtTable(page, 'ArrowRight');
    const shapes = page.getByRole('region', { name: 'Shapes of this step' }).getByRole('listitem');
    expect(await shapes.count()).to.equal(rounds[at].steps.length);
    await shapes.nth(2).getByRole('button').click();
    await page.getByText('Done, Later and the others are for this one alone.').waitFor();
    await pressAtTable(page, 'l');
    const skipped = async () => BenchState.parse(await stored(`/sheets/${sheetId()}/bench`)).skipped.join();
    await until('one shape is put off', skipped, (ids) => ids === rounds[at].steps[2].id);
    await page.getByText('In turn along the way').waitFor();
    expect(await shapes.count()).to.equal(rounds[at].steps.length - 1);
    expect(ownErrors()).to.deep.equal([]);
  });

  it('a page of 500 regions is planned, and fifty steps of it are done, by keyboard alone', async () => {
    await page.goto(`${desk.url}/sheets`);
    const tabTo = async (name: RegExp) => {
      for (let i = 0; i < 600; i++) {
        await page.keyboard.press('Tab');
        const label = await page.evaluate(() => {
          const at = document.activeElement;
          return (at?.getAttribute('aria-label') ?? at?.textContent ?? '').trim();
        });
        if (name.test(label)) return;
      }
      throw new Error(`The keys never come to ${name}.`);
    };
    const open = async (name: RegExp) => {
      await tabTo(name);
      await page.keyboard.press('Enter');
    };
    await page.getByRole('link', { name: /The Ferry Steps$/ }).waitFor();
    await open(/The Ferry Steps$/);
    await page.getByText(/found,/).waitFor();
    const { regions } = RegionsMeta.parse(await stored(`/sheets/${sheetId()}/regions`));
    expect(regions.length).to.be.at.least(500);
    await open(/^Name things from the key$/);
    await page.getByRole('list', { name: 'Things' }).getByRole('listitem').first().waitFor();
    // From the top of the page the stages come first.
    await page.reload();
    await page.getByRole('navigation', { name: 'Stages' }).waitFor();
    await open(/^Wheel$/);
    await page.getByRole('button', { name: /Propose/ }).waitFor();
    await open(/Propose/);
    await page.locator('ul[aria-label="Proposed palettes"][aria-busy="false"]').waitFor();
    await open(/^Take /);
    await page.getByRole('status').getByText('Saved').waitFor();
    await open(/^Bench$/);
    await page.getByRole('button', { name: 'Put the steps in order' }).waitFor();
    await open(/^Put the steps in order$/);
    await page.getByRole('button', { name: 'Sit down' }).waitFor();
    await open(/^Sit down$/);
    await page.getByText('step 1 of').waitFor();
    for (let done = 1; done <= STEPS; done++) {
      await pressAtTable(page, 'Space');
      await page.getByText(`step ${done + 1} of`).waitFor();
    }
    await page.getByTestId('kept').filter({ hasText: 'Saved' }).waitFor();
    const { plan, done } = BenchState.parse(await stored(`/sheets/${sheetId()}/bench`));
    const first = roundsOfPlan(plan!).flat().slice(0, STEPS);
    expect(done.map(({ stepId }) => stepId)).to.deep.equal(first.flatMap(({ steps }) => steps.map(({ id }) => id)));
    expect(ownErrors()).to.deep.equal([]);
  });
});
