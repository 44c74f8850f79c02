import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { type Browser, type Download, type Page } from 'playwright-core';
import { BenchState, type Notebook, type RecordEntry, type SheetState } from '../src/contracts/index.ts';
import { type Round, movedTo, validateSequence, withWhatGoesAlong } from '../src/core/bench/index.ts';
import { roundsOfPlan } from '../src/order/index.ts';
import { ownAddresses } from '../src/server/access.ts';
import { textsOfPdf } from '../src/server/test/read-pdf.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import { goTo, pressAtTable, putInOrder } from './stages.ts';

const BEGUN = 'ferry-steps-begun';

async function textOf(download: Download): Promise<string> {
  return readFileSync(await download.path(), 'utf8');
}

describe('the bench', function () {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  let errors: string[];
  const stored = async <T>(path: string) => (await (await fetch(`${desk.url}/api${path}`)).json()) as T;
  const bench = async () => BenchState.parse(await stored(`/sheets/${BEGUN}/bench`));
  const planNow = async () => (await bench()).plan!.id;
  const orderNow = async () => (await bench()).plan!.order.join();
  before(async () => {
    desk = await openDesk();
    browser = await openBrowser();
    ({ page, errors } = await openPage(browser, `${desk.url}/sheets/${BEGUN}/bench`));
  });
  after(async () => {
    await browser.close();
    await desk.close();
  });

  describe('planning the evenings', () => {
    it('tells what to lay out and what to sharpen for each sitting', async () => {
      const steps = page.getByRole('region', { name: 'Steps in order' });
      await steps.getByText('Lay out').first().waitFor();
      const { plan } = await bench();
      const first = plan!.steps.find(({ id }) => id === plan!.order[0])!;
      const code = plan!.pencils.find(({ id }) => id === first.pencil)!.code;
      expect(await steps.getByText('Lay out').first().innerText()).to.match(new RegExp(`^Lay out ${code}`));
    });

    it('shows the order at a glance: a row for each thing, with what is under the pointer in words', async () => {
      await page.getByRole('radio', { name: 'the order' }).click();
      const { plan } = await bench();
      await page.getByRole('img', { name: new RegExp(`for ${plan!.things.length} things in`) }).waitFor();
      // The last of all: nothing lies over it, however short the steps are.
      await page.locator('svg rect[stroke]').last().hover();
      await page
        .getByRole('status')
        .getByText(/ on .+, .+ min/)
        .waitFor();
      await page.getByRole('radio', { name: 'the sheet' }).click();
    });

    it('answers what was used on a region, with pencils, passes and day', async () => {
      const record = await stored<RecordEntry[]>(`/sheets/${BEGUN}/record`);
      // The first in reading order that several layers lie on.
      const usedOn = (id: number) => record.filter(({ regionIds }) => regionIds.includes(id));
      const worked = [...new Set(record.flatMap(({ regionIds }) => regionIds))].sort((p, q) => p - q);
      const first = worked.find((id) => usedOn(id).length > 2)!;
      const used = usedOn(first);
      expect(used.length).to.be.above(2);
      const sheet = page.getByTestId('sheet');
      await sheet.focus();
      const label = page.getByText(/^Region \d+,/);
      const pointedAt = async () => Number(/^Region (\d+)/.exec((await label.allInnerTexts())[0] ?? '')?.[1] ?? 0);
      for (let now = await pointedAt(); now !== first;) {
        await page.keyboard.press('ArrowRight');
        now = await until('the keys come to another region', pointedAt, (next) => next !== now);
      }
      await page.keyboard.press('Enter');
      await page.getByRole('heading', { name: `What I used here: ${used[0].thing}` }).waitFor();
      const rows = await until(
        'what was used',
        () => page.getByTestId('used-here').getByRole('listitem').allInnerTexts(),
        (texts) => texts.length === used.length,
      );
      for (const [k, row] of rows.entries()) {
        expect(row).to.contain(used[k].pencil.code).and.to.contain(used[k].pressure).and.to.match(/\d{4}/);
      }
    });

    it('gives each sitting an evening, and hands them to a calendar', async () => {
      await page.getByRole('button', { name: 'Tuesday' }).click();
      await page.getByRole('button', { name: 'Friday' }).click();
      await page.getByLabel('at', { exact: true }).fill('20:15');
      await page
        .getByText(/(Tue|Fri) \d+ \w+, 20:15, about/)
        .first()
        .waitFor();
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Sittings for a calendar' }).click(),
      ]);
      const calendar = new ICAL.Component(ICAL.parse(await textOf(download)) as unknown[]);
      const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
      const { plan } = await bench();
      expect(events).to.have.length(plan!.sittings.length);
      for (const { startDate, description } of events) {
        expect([3, 6]).to.include(startDate.dayOfWeek());
        expect([startDate.hour, startDate.minute]).to.deep.equal([20, 15]);
        expect(description).to.match(/^Lay out /);
      }
      // Choosing evenings asks for no other order.
      expect(await page.getByText('was changed since this order was made').count()).to.equal(0);
    });

    it('prints the order as a book with a map, boxes to tick and zone guides at true scale', async () => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: /Bench book/ }).click(),
      ]);
      const pages = await textsOfPdf(new Uint8Array(readFileSync(await download.path())));
      const { plan } = await bench();
      expect(pages.length).to.be.at.least(2 + plan!.sittings.length);
      for (const { name } of plan!.things.slice(0, 5)) expect(pages[0]).to.contain(name);
    });

    /** The grips of steps with each later sitting, and whether they can go there; later grips in the list first. */
    const grips = (plan: NonNullable<BenchState['plan']>) => {
      let nth = 0;
      const moves = roundsOfPlan(plan).flatMap((own, sitting, all) =>
        own.flatMap(({ steps }) => {
          const grip = nth++;
          return all.slice(sitting + 1).map((_, k) => ({ steps, nth: grip, to: sitting + 1 + k }));
        }),
      );
      const fits = ({ steps, to }: (typeof moves)[number]) => {
        const moving = steps.map(({ id }) => id);
        const ids = withWhatGoesAlong(plan.steps, plan.sittings, moving, to);
        const order = movedTo(plan.steps, plan.sittings, ids, to).flatMap((sitting) => sitting.steps);
        return validateSequence(plan.steps, order, plan.openThings, plan.alike).length === 0;
      };
      return { moves: moves.reverse(), fits };
    };
    const gripOf = ({ nth }: { nth: number }) => page.locator('[data-grip]').nth(nth);

    it('moves a step, and what waits for it, to another sitting by drag where that can be worked by, with a way back', async () => {
      const before = (await bench()).plan!;
      const { moves, fits } = grips(before);
      const stands = before.sittings.flatMap(({ steps }, i) => steps.map((id) => [id, i] as const));
      const sittingOf = new Map(stands);
      const isNext = ({ steps, to }: (typeof moves)[number]) => sittingOf.get(steps[0].id) === to - 1;
      const own = moves.find((move) => isNext(move) && fits(move))!;
      const grip = gripOf(own);
      await grip.evaluate((element) => element.scrollIntoView({ block: 'start' }));
      const from = (await grip.boundingBox())!;
      await page.mouse.move(from.x + 6, from.y + 10);
      await page.mouse.down();
      await page.mouse.move(from.x - 20, from.y + 40, { steps: 5 });
      const to = (await page.getByRole('heading', { name: `Sitting ${own.to + 1}`, exact: false }).boundingBox())!;
      await page.mouse.move(to.x + 40, Math.min(660, to.y + 14), { steps: 12 });
      await page.getByText('It can go here.').waitFor();
      await page.mouse.up();
      await page.getByText('Moved to another sitting.').waitFor();
      const after = (await bench()).plan!;
      expect(after.id).to.not.equal(before.id);
      expect(validateSequence(after.steps, after.order, after.openThings, after.alike)).to.deep.equal([]);
      expect([...after.order].sort()).to.deep.equal([...before.order].sort());
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
      await until('the order as it was', orderNow, (order) => order === before.order.join());
    });

    it('does the same by keys, and says why a step cannot go where it is put', async () => {
      const before = (await bench()).plan!;
      const { moves, fits } = grips(before);
      const own = moves.find((move) => !fits(move))!;
      await page.getByRole('region', { name: 'Steps in order' }).focus();
      for (let i = 0; i <= own.nth; i++) await page.keyboard.press('ArrowDown');
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: `Move it to sitting ${own.to + 1}`, exact: true }).focus();
      await page.keyboard.press('Enter');
      await page.getByText(/^It cannot go there: .+ on .+/).waitFor();
      expect((await bench()).plan!.id).to.equal(before.id);
    });

    it('keeps to rules of craft by rank, and says what could not be kept', async () => {
      await page.getByRole('button', { name: /^Rules of craft/ }).click();
      await page.getByRole('switch', { name: 'Keep to behind before in front' }).click();
      await page.getByText('was changed since this order was made').waitFor();
      const before = (await bench()).plan!.id;
      await putInOrder(page);
      await until('another order', planNow, (id) => id !== before);
      const { plan } = await bench();
      expect(plan!.madeFor!.rules).to.include('behind-first');
      expect(validateSequence(plan!.steps, plan!.order, plan!.openThings, plan!.alike)).to.deep.equal([]);
      if (plan!.leftOut.length > 0) {
        await page.getByRole('button', { name: 'Show which' }).click();
        await page.getByText(plan!.leftOut[0].sentence).waitFor();
      }
      await page.getByRole('switch', { name: 'Keep to behind before in front' }).click();
      await page.getByRole('button', { name: /^Undo: without behind/ }).waitFor();
    });

    it('a lost pencil is replaced in all that is left, and the tray says that it is missing', async () => {
      await page.getByRole('radio', { name: 'by pencil' }).click();
      const { plan } = await bench();
      const lost = page.getByRole('button', { name: /is lost or used up$/ }).first();
      const code = (await lost.getAttribute('aria-label'))!.split(' ')[0];
      await lost.click();
      const card = page.getByRole('dialog', { name: `${code} is lost or used up` });
      await card.getByRole('listitem').first().getByRole('button').click();
      await until('another order', planNow, (id) => id !== plan!.id);
      const again = (await bench()).plan!;
      expect(again.pencils.map((pencil) => pencil.code)).to.not.include(code);
      const { trayId } = await stored<SheetState>(`/sheets/${BEGUN}`);
      const tray = await stored<{ code: string; whereabouts: string }[]>(`/trays/${trayId}/pencils`);
      expect(tray.find((pencil) => pencil.code === code)!.whereabouts).to.equal('missing');
    });
  });

  describe('at the table', () => {
    before(async () => {
      await page.clock.install();
      await page.goto(`${desk.url}/sheets/${BEGUN}/bench?sitting=1`);
      await page.getByText('step 1 of').waitFor();
    });
    const code = () => page.getByTestId('step-code').innerText();
    /** Somebody sits there all the while: the clock looks every now and then. */
    const minutesPass = async (minutes: number) => {
      for (let i = 0; i < minutes; i++) await page.clock.fastForward('01:00');
    };

    it('puts a step off, and what waits for it with it; looks ahead and back without doing anything', async () => {
      const first = await page.getByTestId('step').innerText();
      await pressAtTable(page, 'ArrowRight');
      await page.getByText('Looking ahead.').waitFor();
      await pressAtTable(page, 'ArrowLeft');
      await page.getByText('Looking ahead.').waitFor({ state: 'hidden' });
      expect(await page.getByTestId('step').innerText()).to.equal(first);
      await pressAtTable(page, 'l');
      await page.waitForFunction((was) => document.querySelector('[data-testid=step]')!.textContent !== was, first);
      const { skipped, plan } = await bench();
      expect(skipped).to.deep.equal(roundsOfPlan(plan!)[0][0].steps.map(({ id }) => id));
    });

    it('counts the minutes that were worked, not those that were paused, also over a closed tab', async () => {
      const worked = page
        .getByTestId('worked')
        .filter({ hasText: /^4 min$/ })
        .first();
      await minutesPass(4);
      await worked.waitFor();
      await pressAtTable(page, 'p');
      await page.getByText('The time stands still.').waitFor();
      await page.clock.fastForward('10:00');
      await pressAtTable(page, 'p');
      await page.getByText('The time stands still.').waitFor({ state: 'hidden' });
      await worked.waitFor();
      const context = page.context();
      const now = await page.evaluate(() => Date.now());
      await page.close();
      page = await context.newPage();
      page.setDefaultTimeout(100_000);
      await page.clock.install({ time: now + 20_000 });
      await page.goto(`${desk.url}/sheets/${BEGUN}/bench?sitting=1`);
      await page
        .getByTestId('worked')
        .filter({ hasText: /^4 min$/ })
        .first()
        .waitFor();
      await pressAtTable(page, 'h');
      await page.getByText('Its time so far is kept').waitFor();
      await page.getByTestId('kept').filter({ hasText: 'Saved' }).waitFor();
      const { begun } = await bench();
      expect(Object.values(begun)[0]).to.be.within(4, 5.5);
    });

    it('reminds of rest after 25 minutes of work', async () => {
      await minutesPass(24);
      await page.getByText('Rest the hand.').waitFor();
      await page.getByRole('button', { name: 'I have rested' }).click();
      await page.getByText('Rest the hand.').waitFor({ state: 'hidden' });
    });

    it('asks how a first layer came out, and fits what is left to it', async () => {
      const question = page.getByRole('group', { name: 'How it came out' });
      for (let i = 0; i < 12 && (await question.count()) === 0; i++) await pressAtTable(page, 'Space');
      await question.getByRole('button', { name: 'darker' }).click();
      const card = page.getByRole('dialog', { name: /came out darker$/ });
      await card.getByText(/Left as it is, the end lies/).waitFor();
      await card.getByText(/about your hand|Your hand is learnt/).waitFor();
      const isLearnt = (await card.getByText(/Your hand is learnt/).count()) > 0;
      const before = (await bench()).plan!.id;
      const onward = card.getByRole('button', { name: /^(Change what is left|Learn from it|Go on)$/ });
      const isAnew = (await onward.innerText()) !== 'Go on';
      await onward.click();
      // Somebody goes on while what is left is put in order.
      await pressAtTable(page, 'Space');
      await page.waitForFunction(() => !document.querySelector('[role=progressbar]'));
      await page.getByTestId('step-code').waitFor();
      const { trayId } = await stored<SheetState>(`/sheets/${BEGUN}`);
      const fits = await stored<{ learnt: Record<string, number> }[]>(`/trays/${trayId}/fits`);
      if (isLearnt) expect(Math.max(...Object.values(fits[0].learnt))).to.be.above(1);
      await until('an order for what is left', planNow, (id) => (id !== before) === isAnew);
      const { plan, finished } = await bench();
      // What is finished is not in the new order.
      const done = new Set(
        finished.flatMap((each) => each.regionIds.map((id) => `${each.thingId}/${each.layerId} ${id}`)),
      );
      for (const { thingId, layerId, regionIds } of isAnew ? plan!.steps : []) {
        for (const id of regionIds) expect(done.has(`${thingId}/${layerId} ${id}`)).to.equal(false);
      }
    });

    it('offers the nearest pencils instead of one, and writes down the one that was used', async () => {
      const planned = await code();
      await pressAtTable(page, 'o');
      const card = page.getByRole('dialog', { name: `Instead of ${planned}` });
      await card.getByRole('checkbox').uncheck();
      const near = card.getByRole('listitem').first();
      const used = (await near.innerText()).split(/\s/)[0];
      await near.getByRole('button').click();
      await page.getByTestId('kept').filter({ hasText: 'Saved' }).waitFor();
      const record = await stored<RecordEntry[]>(`/sheets/${BEGUN}/record`);
      expect(record.at(-1)!.pencil.code).to.equal(used);
    });

    it('offers remedies for a mistake, each with how near it comes; the one that is taken comes next', async () => {
      const card = page.getByRole('dialog', { name: 'What happened?' });
      const next = card.getByRole('button', { name: 'Do this next' });
      // What nobody would see needs no remedy, and what is not laid yet cannot be wrong: the first that shows is taken.
      const kinds = ['dragged colour', 'over the line', 'wrong pencil', 'too dark'];
      const findKind = async () => {
        for (const kind of kinds) {
          await card.getByRole('radio', { name: kind }).click();
          await card
            .getByText(/now \d+ off, then \d+|Nobody will see it|Nothing|Make up for it/)
            .first()
            .waitFor();
          if ((await next.count()) > 0) return kind;
        }
        return undefined;
      };
      let kind: string | undefined;
      for (let steps = 0; steps < 6 && !kind; steps++) {
        await pressAtTable(page, 'm');
        kind = await findKind();
        if (kind) break;
        await page.keyboard.press('Escape');
        await card.waitFor({ state: 'hidden' });
        await pressAtTable(page, 'Space');
      }
      if (!kind) throw new Error('no mistake of six steps had a remedy that comes next');
      await next.first().click();
      await page.getByText('Written down in the Record.').waitFor();
      const { notes } = await stored<Notebook>(`/sheets/${BEGUN}/notebook`);
      expect(notes.at(-1)).to.include({ kind: 'mistake' });
      expect(notes.at(-1)!.text.toLowerCase().startsWith(`${kind}: `)).to.equal(true);
      // It is the first step of a new order of what is left, and stands in the Record once it is done.
      await page
        .getByTestId('step')
        .getByText(/a repair, where it is needed$/)
        .waitFor();
      const { plan } = await bench();
      const repair = plan!.steps.find(({ id }) => id === plan!.order[0])!;
      expect(repair.layerId).to.match(/^repair-/);
      expect(validateSequence(plan!.steps, plan!.order, plan!.openThings, plan!.alike)).to.deep.equal([]);
      await pressAtTable(page, 'Space');
      await until(
        'the repair is done',
        async () => (await bench()).done.length,
        (done) => done > 0,
      );
      const record = await stored<RecordEntry[]>(`/sheets/${BEGUN}/record`);
      expect(record.at(-1)).to.include({ thingId: repair.thingId, purpose: repair.purpose });
      await pressAtTable(page, 'n');
      await page.getByLabel('What to write down').fill('Softer on the ropes next time.');
      await page.getByRole('button', { name: 'Write it down' }).click();
      await page.getByRole('dialog').waitFor({ state: 'hidden' });
      expect((await stored<Notebook>(`/sheets/${BEGUN}/notebook`)).notes.at(-1)!.text).to.contain('ropes');
    });

    it('goes on while the server is dead, in two tabs and, once they are closed, in a third, and loses nothing', async () => {
      const leftNow = async () => {
        const { plan, done } = await bench();
        const doneIds = new Set(done.map(({ stepId }) => stepId));
        const isLeft = ({ steps }: Round) => steps.some(({ id }) => !doneIds.has(id));
        return roundsOfPlan(plan!).flat().filter(isLeft).length;
      };
      const left = await leftNow();
      const context = page.context();
      const url = page.url();
      const other = await context.newPage();
      await other.goto(url);
      await other.getByTestId('step-code').waitFor();
      await page.bringToFront();
      await desk.kill();
      await pressAtTable(page, 'Space');
      await pressAtTable(page, 'Space');
      await page.getByText(/^Harmonie does not answer; \d+ kept here/).waitFor();
      // Another tab does the first of them too: what it keeps does not take the place of what is kept.
      await other.bringToFront();
      await pressAtTable(other, 'Space');
      await other.getByText(/^Harmonie does not answer; \d+ kept here/).waitFor();
      await page.close();
      await other.close();
      await desk.start();
      page = await context.newPage();
      page.setDefaultTimeout(100_000);
      await page.goto(url);
      await page.getByTestId('kept').filter({ hasText: 'Saved' }).waitFor();
      await until('two steps less are left', leftNow, (steps) => steps === left - 2);
      const number = roundsOfPlan((await bench()).plan!).flat().length - left + 3;
      await page.getByText(`step ${number} of`).waitFor();
    });

    it('two tabs do not fight: what is done in one is done in the other', async () => {
      const other = await page.context().newPage();
      await other.goto(page.url());
      await other.getByTestId('step-code').waitFor();
      const before = Number(/step (\d+) of/.exec(await page.getByText(/^step \d+ of/).innerText())![1]);
      await page.bringToFront();
      await pressAtTable(page, 'Space');
      await other.getByText(`step ${before + 1} of`).waitFor();
      await other.bringToFront();
      await pressAtTable(other, 'Space');
      await page.getByText(`step ${before + 2} of`).waitFor();
      const { done } = await bench();
      expect(new Set(done.map(({ stepId }) => stepId)).size).to.equal(done.length);
      await other.close();
      await page.bringToFront();
    });

    it('keeps the page free of errors of its own', () =>
      expect(errors.filter((each) => !/Failed to fetch|ERR_/.test(each))).to.deep.equal([]));
  });
});

describe('a phone beside the page', function () {
  const [address] = ownAddresses();
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async function () {
    if (!address) this.skip();
    desk = await openDesk({ env: { HOST: '0.0.0.0', HARMONIE_CODE: 'lantern-night' } });
    browser = await openBrowser();
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  it('comes in over the network with the access code, and does steps with a thumb', async () => {
    ({ page } = await openPage(browser, 'about:blank'));
    await page.setViewportSize({ width: 390, height: 844 });
    const url = desk.url.replace('localhost', address);
    await page.goto(`${url}/sheets/${BEGUN}/bench?sitting=1`);
    await page.getByLabel('It was chosen where Harmonie was started.').fill('not the code');
    await page.getByRole('button', { name: 'Come in' }).click();
    await page.getByText('This is not the access code of this desk.').waitFor();
    await page.getByLabel('It was chosen where Harmonie was started.').fill('lantern-night');
    await page.getByRole('button', { name: 'Come in' }).click();
    await page.getByText('step 1 of').waitFor();
    // On plain http the browser keeps no screen awake: it says what to do instead.
    await page.getByText('let it sleep later').waitFor();
    const done = page.getByRole('button', { name: 'Done', exact: true });
    const box = (await done.boundingBox())!;
    expect(box.height).to.be.at.least(60);
    expect(box.y + box.height).to.be.at.most(844);
    await done.click();
    await page.getByText('step 2 of').waitFor();
    await page.getByTestId('kept').filter({ hasText: 'Saved' }).waitFor();
    const { plan, done: steps } = BenchState.parse(await (await fetch(`${desk.url}/api/sheets/${BEGUN}/bench`)).json());
    const [first] = roundsOfPlan(plan!).flat();
    expect(steps.map(({ stepId }) => stepId)).to.deep.equal(first.steps.map(({ id }) => id));
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).to.be.at.most(0);
  });

  it('takes a photo, which is pinned to the thing and stands in the Record with its sitting', async () => {
    const photo = { name: 'after-the-ropes.png', mimeType: 'image/png', buffer: await page.screenshot() };
    await page.getByLabel('Photo of the page').setInputFiles(photo);
    await page.getByText(/^Pinned to /).waitFor();
    await page.getByRole('button', { name: 'Leave the table' }).click();
    await page.setViewportSize({ width: 1280, height: 800 });
    await goTo(page, 'Record');
    const newest = page.getByRole('region', { name: /^Sitting/ }).first();
    await newest.getByRole('button', { name: 'Look at after-the-ropes' }).waitFor();
  });
});
