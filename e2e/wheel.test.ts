import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import sharp from 'sharp';
import { type SavedPalette, SheetState } from '../src/contracts/index.ts';
import { turnBetween } from '../src/core/colour/index.ts';
import { pencilsOf } from '../src/core/recipe/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import { colouredShare, goTo, nameFromKey, openFerrySteps, savedSheet, takePalette, untilColoured } from './stages.ts';
import { decideThing, edited, familiesOf, sayOfRegions, thingsOf } from '../src/plan/index.ts';

const GREENS_AND_BROWNS = ['#5e6d2f', '#7a5a3a', '#4a5a34', '#8a7a4a'];

describe('the wheel', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    ({ page } = await openPage(browser, desk.url));
    await openFerrySteps(page);
    await nameFromKey(page);
    await goTo(page, 'Wheel');
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  async function sheet(): Promise<SheetState> {
    return SheetState.parse(await (await fetch(`${desk.url}/api/sheets/ferry-steps`)).json());
  }
  const saved = () => savedSheet(page, desk.url, 'ferry-steps');
  async function choose(label: string, option: string | RegExp): Promise<void> {
    await page.getByRole('button', { name: new RegExp(`^${label}: `) }).click();
    await page.getByRole('option', { name: option }).first().click();
  }
  const undo = () => page.getByRole('button', { name: /^Undo/ }).click();

  it('holds eleven schemes on two wheels; the anchor keeps its hue when the wheel changes', async () => {
    await choose('Scheme', /^double split/);
    await page.getByText('Hands: yellow-orange, red-orange, blue-violet, blue-green.').waitFor();
    await choose('Wheel', /^evenly spaced/);
    const { plan } = await saved();
    expect(plan.wheel).to.include({ scheme: 'double-split', wheel: 'perceptual' });
    expect(plan.wheel.anchor).to.be.closeTo(45, 1);
    await page.getByRole('group', { name: 'The evenly spaced wheel' }).waitFor();
    await undo();
    await saved();
    await undo();
    expect((await saved()).plan.wheel).to.include({ scheme: 'complementary', wheel: 'painters', anchor: 60 });
  });

  it('free hands turn each by itself, by keys, and come and go', async () => {
    await choose('Scheme', /^free/);
    await page.getByRole('slider', { name: 'Hand 2' }).press('PageUp');
    await page.getByRole('button', { name: 'Add a hand' }).click();
    await page.getByRole('slider', { name: 'Hand 4' }).waitFor();
    const { plan } = await saved();
    expect(plan.wheel.hands.map((hand) => Math.round(turnBetween(0, hand)))).to.deep.equal([0, 130, -160, -180]);
    await page.getByRole('button', { name: 'Take one away' }).click();
    expect((await saved()).plan.wheel.hands).to.have.length(3);
  });

  it('draws the colours of a photo out and takes them as hands', async () => {
    const stripes = ['#c8386f', '#2f8c53', '#d8d4ca'].map(
      (fill, i) => `<rect x="${80 * i}" width="80" height="160" fill="${fill}"/>`,
    );
    const photo = await sharp(
      Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="240" height="160">${stripes.join('')}</svg>`),
    )
      .png()
      .toBuffer();
    const broken = join(desk.folder, 'broken.png');
    const whole = join(desk.folder, 'stripes.png');
    writeFileSync(broken, 'no picture');
    writeFileSync(whole, photo);
    await page.getByRole('button', { name: 'Draw colours from a photo' }).click();
    await page.getByLabel('A photo', { exact: true }).setInputFiles(broken);
    await page.getByText('This file cannot be read as a picture').waitFor();
    expect(await page.getByRole('list', { name: 'Colours of the photo' }).count()).to.equal(0);
    await page.getByLabel('A photo', { exact: true }).setInputFiles(whole);
    await page.getByRole('list', { name: 'Colours of the photo' }).getByText(/green/).waitFor();
    await page.getByRole('button', { name: 'Take them as hands' }).click();
    const { plan } = await saved();
    expect(plan.wheel.hands).to.have.length(2);
    expect(Math.abs(turnBetween(plan.wheel.hands[0], plan.wheel.hands[1]))).to.be.above(120);
    await choose('Scheme', /^split-complementary/);
  });

  it('shows rings, and the page’s colours in place of the pencils', async () => {
    await page.getByText('rings', { exact: true }).click();
    expect(await page.locator('[data-pencil]').count()).to.be.above(100);
    await page.getByText('the page', { exact: true }).click();
    expect(await page.locator('[data-pencil]').count()).to.equal(0);
    await page.getByText('pencils', { exact: true }).click();
    await page.getByText('pale to full', { exact: true }).click();
  });

  it('plans a whole page from nothing: four palettes that differ, each with its reason, one taken', async () => {
    const propose = page.getByRole('button', { name: /^Propose palettes for \d+ things/ });
    await propose.focus();
    await page.keyboard.press('Enter');
    const cards = page.getByRole('list', { name: 'Proposed palettes' }).getByRole('listitem');
    await page.locator('button[aria-label^="Take "]:enabled').first().waitFor();
    // By keys alone: the focus is still where it was.
    expect(await page.evaluate(() => document.activeElement?.textContent)).to.equal('Propose again');
    const names = await cards.getByRole('heading').allInnerTexts();
    expect(names).to.have.length(4);
    expect(new Set(names).size).to.equal(4);
    await cards
      .first()
      .getByRole('button', { name: /^Why: palette/ })
      .click();
    await page.getByText(/rules with \d+% of the area.*Neighbours part clearly/).waitFor();
    await page.getByText(/objective \d+\.\d+, lower is better/).waitFor();
    await page.keyboard.press('Escape');
    await page
      .getByRole('button', { name: /^Take / })
      .first()
      .click();
    const { plan } = await saved();
    expect(Object.keys(familiesOf(plan))).to.have.length(thingsOf(plan).length);
    await page.getByText(/^about \d+½? h/).waitFor();
    await page.getByText(/the page takes about \d+½? h/).waitFor();
  });

  it('holds a proposal against the page, in colour, in values and squinted', async () => {
    await page.getByRole('button', { name: 'Show all 4' }).click();
    await page
      .getByRole('button', { name: /^Hold .* against the page/ })
      .nth(1)
      .click();
    await page.getByRole('figure', { name: 'as it is planned' }).waitFor();
    expect(await page.getByTestId('sheet').count()).to.equal(2);
    await page
      .getByRole('button', { name: /^Hold .* against the page/ })
      .nth(1)
      .click();
    await page.getByRole('figure', { name: 'The page' }).waitFor();
    await untilColoured(page, 0.05);
    await choose('Judge by', /^value only/);
    await until(
      'values alone',
      () => colouredShare(page),
      (share) => share <= 0.001,
    );
    for (const view of [/^squinted/, /^warm and cool/, /^without red cones/, /^only the accents/, /^colour/]) {
      await choose('Judge by', view);
    }
    await untilColoured(page, 0.05);
  });

  it('shows the page by an evening lamp, says how far to trust that and which pencils stop parting', async () => {
    await choose('Seen', /^by incandescent bulb/);
    await page.getByText('About, not for matching two pencils.').waitFor();
    await page
      .getByText(/part as they do by day|stop parting/)
      .first()
      .waitFor();
    await untilColoured(page, 0.05);
    await choose('Seen', /^by daylight/);
    await page.getByText('About, not for matching two pencils.').waitFor({ state: 'detached' });
    await page.getByText('Wheel', { exact: true }).last().click();
  });

  it('pinned families stay; a family is swapped, deepened and made longer, each with what it does', async () => {
    await page.getByRole('list', { name: 'Families' }).getByText('Hull', { exact: true }).click();
    await page.getByText(/from edge to middle, \d/).waitFor();
    await page.getByText(/the largest colour step is \d+/).waitFor();
    const before = (await sheet()).plan;
    const hull = thingsOf(before).find(({ name }) => name === 'Hull')!.id;
    await page.getByRole('button', { name: 'Lightest of Hull' }).click();
    await page
      .getByRole('option')
      .nth(3)
      .getByText(/from the present one|too near/)
      .waitFor();
    await page.getByRole('option').nth(3).click();
    await page.getByRole('button', { name: 'depth', exact: true }).click();
    await page.getByRole('button', { name: 'one between' }).click();
    await page.getByRole('button', { name: 'smoothest way' }).click();
    await page.getByText(/pencils, as asked; the largest step is \d+\.\d|Only .* lie on this way/).waitFor();
    await page.getByRole('button', { name: 'pin it' }).click();
    const { plan } = await saved();
    expect(thingsOf(plan).flatMap(({ id, pinned }) => (pinned ? [id] : []))).to.deep.equal([hull]);
    expect(plan.things[hull].family!.depth).to.be.a('string');
    expect(plan.things[hull].family!.pencils.length).to.be.within(2, before.things[hull].family!.pencils.length + 1);
    await page.getByText('1 family is pinned').waitFor();
    await takePalette(page);
    const after = await saved();
    expect(after.plan.things[hull]?.family).to.deep.equal(plan.things[hull]?.family);
  });

  it('prints a strip to swatch the page’s pencils together on scrap, and nothing of the desk', async () => {
    await page.emulateMedia({ media: 'print' });
    await page.getByTestId('strip').getByText('QS').first().waitFor();
    expect(await page.getByRole('banner').isVisible()).to.equal(false);
    await page.emulateMedia({ media: null });
    expect(await page.getByTestId('strip').isVisible()).to.equal(false);
  });

  it('keeps to ten pencils when that is wished', async () => {
    await page.getByRole('button', { name: /none beside/ }).click();
    await page.getByRole('spinbutton', { name: 'At most so many pencils' }).fill('10');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'let it change' }).click();
    await page.getByRole('button', { name: /^at most 10 pencils/ }).waitFor();
    await takePalette(page);
    const { plan } = await saved();
    const used = new Set(Object.values(familiesOf(plan)).flatMap(pencilsOf));
    expect(used.size).to.be.at.most(10);
    expect(Object.keys(familiesOf(plan))).to.have.length(thingsOf(plan).length);
    await page.getByRole('button', { name: 'Clear all wishes' }).click();
    await page.getByRole('button', { name: /none beside/ }).waitFor();
  });

  it('fits the page into fewer evenings and says what is lost; a gentle hand never presses firmly', async () => {
    const evenings = page.getByRole('spinbutton', { name: 'How many evenings' });
    await evenings.fill('6');
    await evenings.press('Enter');
    await page.getByText(/layers of \d+ things are left out; that saves/).waitFor();
    await page.getByRole('button', { name: 'What is lost' }).click();
    await page.getByRole('list', { name: 'What is left out' }).getByRole('listitem').first().waitFor();
    await page.getByRole('switch', { name: 'gentle hand' }).click();
    await page.getByText('Nothing firmer than medium').waitFor();
    expect((await saved()).plan.hours).to.deep.equal({ evenings: 6, gentle: true });
    await undo();
    await saved();
    await undo();
    expect((await saved()).plan.hours).to.deep.equal({ evenings: null, gentle: false });
  });

  it('keeps a palette by name, gives it as GPL, CSV and JSON, and brings it in and uses it again', async () => {
    await page.getByRole('textbox', { name: 'Name of this page’s palette' }).fill('Lantern dusk');
    await page.getByRole('button', { name: 'Keep it' }).click();
    const kept = page.getByRole('list', { name: 'Kept palettes' });
    await kept.getByText('Lantern dusk').waitFor();
    const files: string[] = [];
    for (const format of ['GPL', 'CSV', 'JSON']) {
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: `Lantern dusk as ${format}` }).click(),
      ]);
      files.push(join(desk.folder, file.suggestedFilename()));
      await file.saveAs(files.at(-1)!);
    }
    await page.getByRole('button', { name: 'Put Lantern dusk away' }).click();
    await kept.waitFor({ state: 'hidden' });
    for (const [i, file] of files.entries()) {
      await page.getByLabel('Bring a palette in: GPL, JSON or CSV').setInputFiles(file);
      await kept.getByText('Lantern dusk').nth(i).waitFor();
    }
    const [palette] = (await (await fetch(`${desk.url}/api/palettes`)).json()) as SavedPalette[];
    expect(palette.families.length).to.be.above(50);
    const damaged = join(desk.folder, 'damaged.json');
    writeFileSync(damaged, '{"kind": "harmonie pal');
    await page.getByLabel('Bring a palette in: GPL, JSON or CSV').setInputFiles(damaged);
    await page.getByText('broken off or damaged').waitFor();
    await page.getByRole('button', { name: 'Use Lantern dusk' }).first().click();
    await page.getByRole('button', { name: /only from \d+/ }).waitFor();
    const { plan } = await saved();
    await takePalette(page);
    const used = new Set(Object.values(familiesOf((await saved()).plan)).flatMap(pencilsOf));
    for (const id of used) expect(plan.wishes.only).to.include(id);
  });

  it('says of a half-coloured page in greens and browns what stands against it, shows it, and plans the rest round it', async () => {
    const { plan } = await sheet();
    const half = edited(plan, (draft) => {
      for (const [i, { regionIds }] of thingsOf(plan).slice(0, 40).entries()) {
        const ground = { kind: 'coloured', colour: GREENS_AND_BROWNS[i % 4], toothLeft: 'some' } as const;
        sayOfRegions(draft, regionIds, { ground });
      }
      for (const { id } of thingsOf(plan)) decideThing(draft, id, { family: null, pinned: false });
      draft.wishes.only = [];
      draft.wheel.scheme = 'complementary';
    });
    const response = await fetch(`${desk.url}/api/sheets/ferry-steps/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: 'half-coloured',
        stage: 'sheet',
        label: 'half is coloured',
        patches: half.patches,
        inverse: half.inverse,
        regionsFrom: plan.regionsFrom,
      }),
    });
    expect(response.status).to.equal(200);
    await page.reload();
    const finding = page
      .getByRole('list', { name: 'Findings' })
      .getByText(/Everything that has a hue is .*nothing stands against it/);
    await finding.click();
    await page.getByText(/Its opposite is .*either side of that is gentler; your nearest: /).waitFor();
    await page.getByRole('list', { name: 'Pencils that would help' }).getByRole('listitem').first().waitFor();
    await takePalette(page);
    const after = (await saved()).plan;
    const coloured = new Set(
      thingsOf(plan)
        .slice(0, 40)
        .map(({ id }) => id),
    );
    for (const id of Object.keys(familiesOf(after))) expect(coloured.has(id)).to.equal(false);
    expect(Object.keys(familiesOf(after)).length).to.equal(thingsOf(plan).length - 40);
    await finding.waitFor({ state: 'detached' });
  });
});
