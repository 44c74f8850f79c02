import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import sharp from 'sharp';
import { RegionsMeta, SheetState } from '../src/contracts/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import { goTo, nameFromKey, openFerrySteps, putInOrder, takePalette } from './stages.ts';
import { thingsOf } from '../src/plan/index.ts';

describe('the Sheet stage', function () {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  let errors: string[];
  const asked: string[] = [];
  before(async () => {
    [desk, browser] = [await openDesk(), await openBrowser()];
    ({ page, errors } = await openPage(browser, desk.url));
    page.on('request', (request) => asked.push(`${request.method()} ${new URL(request.url()).pathname}`));
    await openFerrySteps(page);
  });
  after(async () => {
    await browser.close();
    await desk.close();
  });
  afterEach(() => expect(errors).to.deep.equal([]));

  const stored = async (path: string): Promise<unknown> => (await fetch(`${desk.url}/api${path}`)).json();
  const regions = async () => RegionsMeta.parse(await stored('/sheets/ferry-steps/regions'));
  const state = async () => SheetState.parse(await stored('/sheets/ferry-steps'));
  /** The sheet as it is stored once nothing is on its way any more. */
  const saved = async () => {
    await page.getByText('Saved', { exact: true }).waitFor();
    return state();
  };
  /** Waits until the regions shown are those of the plan as it now stands. */
  const foundAnew = async (before: string | null) => {
    await until(
      'regions found anew',
      async () => (await state()).plan.regionsFrom,
      (from) => from !== before,
    );
    await page.getByText(/found,/).waitFor();
  };
  /** Takes the last change back; the regions of before are there again with it, and not found another time. */
  const undoneTo = async (before: string | null) => {
    await page.getByRole('button', { name: /^Undo/ }).click();
    await until(
      'the regions of before',
      async () => (await state()).plan.regionsFrom,
      (from) => from === before,
    );
    await page.getByText(/found,/).waitFor();
  };
  const at = async (x: number, y: number) => {
    const box = (await page.getByTestId('sheet').boundingBox())!;
    const k = Math.min(box.width - 36, box.height - 36) / 210;
    return { x: box.x + box.width / 2 + (x - 105) * k, y: box.y + box.height / 2 + (y - 105) * k };
  };
  const clickAt = async ({ x, y }: { x: number; y: number }, shift = false) => {
    const place = await at(x, y);
    if (shift) await page.keyboard.down('Shift');
    await page.mouse.click(place.x, place.y);
    if (shift) await page.keyboard.up('Shift');
  };

  it('sends the regions that it found once, and fetches nothing of them back', async () => {
    await page.getByText('Saved', { exact: true }).waitFor();
    const about = asked.filter((request) => /\/(regions|labels)$/.test(request));
    expect(about).to.deep.equal(['PUT /api/sheets/ferry-steps/regions']);
  });

  it('asks about gaps one by one, each with its picture, and takes an answer by one key', async () => {
    const { regionsFrom } = (await state()).plan;
    await page.getByRole('button', { name: /^Look at \d+ gaps, \d+ open$/ }).click();
    await page.getByTestId('gap').waitFor();
    await page.keyboard.press('c');
    await page.getByText(/^2 of/).waitFor();
    await page.keyboard.press('o');
    await page.getByText(/^3 of/).waitFor();
    await page.keyboard.press('ArrowLeft');
    await page.getByRole('button', { name: /Leave it open/, pressed: true }).waitFor();
    await page.getByRole('button', { name: 'Keep 2 answers' }).press('Enter');
    await foundAnew(regionsFrom);
    // The keys go back to the sheet, not to nowhere.
    await page.waitForFunction(() => document.activeElement?.id === 'the-sheet');
    expect((await state()).plan.finding.mends.map(({ kind }) => kind)).to.deep.equal(['cut', 'open']);
    await undoneTo(regionsFrom);
    expect((await state()).plan.finding.mends).to.deep.equal([]);
  });

  it('takes the keys to what is asked, shows where on the page it is, and gives them back by Escape', async () => {
    await page.getByRole('button', { name: /^Look at \d+ gaps, \d+ open$/ }).press('Enter');
    const asked = page.getByRole('region', { name: 'Gaps in the outlines' });
    await asked.waitFor();
    const hasKeys = () => asked.evaluate((element) => element === document.activeElement);
    await until('the keys are on what is asked', hasKeys, (has) => has);
    const ring = page.getByTestId('ring').locator('circle').first();
    const first = await ring.getAttribute('cx');
    for (let k = 0; k < 4 && (await ring.getAttribute('cx')) === first; k++) await page.keyboard.press('ArrowRight');
    expect(await ring.getAttribute('cx')).to.not.equal(first);
    await page.keyboard.press('Escape');
    await asked.waitFor({ state: 'detached' });
    await ring.waitFor({ state: 'detached' });
    await page.waitForFunction(() => document.activeElement?.id === 'the-sheet');
    expect((await state()).plan.finding.mends).to.deep.equal([]);
  });

  it('tries other wishes on a part of the page before the whole is found anew', async () => {
    const { regionsFrom } = (await state()).plan;
    const before = (await regions()).regions.length;
    await page.getByRole('button', { name: 'Find them differently' }).click();
    await page.getByText(/Here \d+ regions/).waitFor();
    await page.getByRole('slider', { name: /How small a region matters/ }).fill('3');
    await page.getByText('from 3.0 mm²').waitFor();
    await page.getByRole('button', { name: 'Find them so' }).click();
    await foundAnew(regionsFrom);
    const after = await regions();
    expect(after.regions.length).to.be.below(before);
    expect(Math.min(...after.regions.map(({ areaMm2 }) => areaMm2))).to.be.at.least(3);
    await undoneTo(regionsFrom);
    expect((await regions()).regions).to.have.length(before);
  });

  it('guesses what belongs together, asks a few things by one key each, and takes it all away again', async () => {
    await page.getByRole('button', { name: 'Guess what belongs together' }).click();
    await page.getByText('What is the dark area?').waitFor();
    await page.keyboard.press('1');
    await page.getByText('1 asked').waitFor();
    await page.getByText(/dark part/).waitFor();
    await page.keyboard.press('0');
    await page.getByText('2 asked').waitFor();
    await page.getByRole('button', { name: /^Keep these \d+$/ }).click();
    await page.getByText('every one of them in a thing').waitFor();
    await page.getByText(/\d+ are guesses/).waitFor();
    const { plan } = await saved();
    expect(thingsOf(plan).every(({ guessed }) => guessed)).to.equal(true);
    expect(thingsOf(plan).filter(({ material }) => material === 'sky')).to.have.length(1);
    await page.getByRole('button', { name: 'Take them away' }).click();
    await page.getByRole('button', { name: 'Guess what belongs together' }).waitFor();
    expect(thingsOf((await saved()).plan)).to.deep.equal([]);
  });

  it('halves a region, joins the halves again, and leaves the rest as it was', async () => {
    const start = await regions();
    const hull = start.regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    await clickAt(hull.pole);
    await page.getByRole('button', { name: 'Halve it' }).click();
    await foundAnew(start.from);
    const halved = await regions();
    expect(halved.regions.length).to.be.above(start.regions.length);
    await undoneTo(start.from);
    expect((await regions()).regions.map(({ areaMm2 }) => areaMm2)).to.deep.equal(
      start.regions.map(({ areaMm2 }) => areaMm2),
    );
  });

  it('parts one region along a line set across the page, and no other', async () => {
    const start = await regions();
    const region = start.regions.find(({ areaMm2, shape }) => areaMm2 > 100 && shape !== 'ring' && shape !== 'strip')!;
    await clickAt(region.pole);
    await page.getByRole('button', { name: 'Part by a line' }).click();
    const { top, bottom } = region.box;
    for (const y of [Math.max(1, top - 8), Math.min(209, bottom + 8)]) await clickAt({ x: region.pole.x, y });
    await page.keyboard.press('Enter');
    await foundAnew(start.from);
    const parted = await regions();
    const untouched = new Set(start.regions.map(({ areaMm2 }) => areaMm2));
    expect(parted.regions.filter(({ areaMm2 }) => !untouched.has(areaMm2)).length).to.be.within(2, 4);
    await undoneTo(start.from);
    expect((await regions()).regions).to.have.length(start.regions.length);
  });

  it('chooses by a box drawn on the sheet, and all that look alike', async () => {
    await page.getByRole('button', { name: 'Draw a box' }).click();
    const [from, to] = [await at(120, 60), await at(200, 110)];
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 5 });
    await page.mouse.up();
    await page.getByText(/^Gather \d+ regions/).waitFor();
    const { alike, regions: list } = await regions();
    const set = alike.find((ids) => ids.length > 3)!;
    await page.keyboard.press('Escape');
    await clickAt(list[set[0] - 1].pole);
    await page.getByRole('button', { name: `All ${set.length} alike` }).click();
    await page.getByText(`Gather ${set.length} regions`).waitFor();
  });

  it('enlarges the place of a click among tiny regions, and the next click there chooses', async () => {
    const { regions: all, neighbours } = await regions();
    const tiny = (id: number) => all[id - 1].usableWidthMm < 1.2;
    const apart = ({ a, b }: { a: number; b: number }) =>
      Math.hypot(all[a - 1].pole.x - all[b - 1].pole.x, all[a - 1].pole.y - all[b - 1].pole.y);
    const [{ a }] = neighbours.filter((border) => tiny(border.a) && tiny(border.b)).sort((p, q) => apart(p) - apart(q));
    await page.keyboard.press('Escape');
    await clickAt(all[a - 1].pole);
    const enlarged = page.getByRole('dialog', { name: /Enlarged/ });
    await enlarged.waitFor();
    await page.keyboard.press('Escape');
    await enlarged.waitFor({ state: 'detached' });
    await clickAt(all[a - 1].pole);
    const box = (await page.getByTestId('magnifier').boundingBox())!;
    const clicked = await at(all[a - 1].pole.x, all[a - 1].pole.y);
    await page.mouse.click(clicked.x, clicked.y);
    await enlarged.waitFor({ state: 'detached' });
    expect(clicked.x).to.be.within(box.x, box.x + box.width);
    await page.getByRole('heading', { name: `Region ${a}` }).waitFor();
  });

  it('leaves single regions out of the colouring, and takes that back', async () => {
    const { regions: list } = await regions();
    const region = list.find(({ areaMm2 }) => areaMm2 > 80)!;
    await clickAt(region.pole);
    await page.getByRole('button', { name: 'Leave white' }).click();
    await page.getByRole('button', { name: 'Colour after all' }).waitFor();
    await page.getByRole('status').getByText('Saved').waitFor();
    expect((await state()).plan.regions).to.deep.equal({ [region.id]: { use: 'leave white' } });
    await page.getByRole('button', { name: 'Colour after all' }).click();
    await page.getByRole('button', { name: 'Leave white' }).waitFor();
  });

  it('is told what to do with the artist’s marks in a region, kept when regions are found anew, and takes it back', async () => {
    const { regions: list } = await regions();
    const region = list.find(({ areaMm2 }) => areaMm2 > 80)!;
    await page.keyboard.press('Escape');
    await clickAt(region.pole);
    await page.getByRole('heading', { name: `Region ${region.id}` }).waitFor();
    const what = page.getByRole('button', { name: /^What lies there/ });
    if ((await what.getAttribute('aria-expanded')) !== 'true') await what.click();
    for (const [words, kept] of [
      ['follow them in the shading', 'follow'],
      ['ignore them', 'ignore'],
    ]) {
      await page.getByRole('button', { name: /^The artist's marks/ }).click();
      await page.getByRole('option', { name: words }).click();
      await page
        .getByRole('button', { name: /^The artist's marks/ })
        .getByText(words)
        .waitFor();
      expect((await saved()).plan.regions).to.deep.equal({ [region.id]: { texture: kept } });
    }
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page
      .getByRole('button', { name: /^The artist's marks/ })
      .getByText('follow them')
      .waitFor();
    expect((await saved()).plan.regions).to.deep.equal({ [region.id]: { texture: 'follow' } });
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page
      .getByRole('button', { name: /^The artist's marks/ })
      .getByText('nothing said')
      .waitFor();
    expect((await saved()).plan.regions).to.deep.equal({});
  });

  it('takes its real size from a length that was measured, and takes that back', async () => {
    const { regionsFrom } = (await state()).plan;
    await page.keyboard.press('Escape');
    const change = page.getByRole('button', { name: 'change', exact: true });
    if (await change.isVisible()) await change.click();
    await page.getByRole('button', { name: 'From a length that I know' }).click();
    await page.getByText('Set the two ends of the length.').waitFor();
    await clickAt({ x: 10, y: 10 });
    await clickAt({ x: 150, y: 10 });
    await clickAt({ x: 200, y: 10 });
    await page.getByRole('button', { name: 'This length' }).click();
    await page.getByText('At the present size this line is 190.0 mm long.').waitFor();
    await page.getByLabel('Length by the ruler in mm').fill('1');
    await page.keyboard.press('Enter');
    await page.getByText('Measure something of 2 mm at least').waitFor();
    await page.getByLabel('Length by the ruler in mm').fill('95');
    await page.getByText('So the page is 105 × 105 mm.').waitFor();
    await page.keyboard.press('Enter');
    await foundAnew(regionsFrom);
    expect((await state()).plan.page).to.include({ widthMm: 105, heightMm: 105 });
    await undoneTo(regionsFrom);
    expect((await state()).plan.page).to.include({ widthMm: 210, heightMm: 210 });
  });

  it('has pictures pinned to it, by file and by paste, looked at in large, taken down and had back', async () => {
    const png = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#3a7f5c' } })
      .png()
      .toBuffer();
    await page
      .getByLabel('Picture to pin')
      .setInputFiles({ name: 'old kettle.png', mimeType: 'image/png', buffer: png });
    await page.getByRole('button', { name: 'Look at old kettle' }).click();
    await page.getByRole('img', { name: 'old kettle' }).waitFor();
    await page.getByRole('button', { name: 'Done looking' }).click();
    await page.evaluate(
      (bytes) => {
        const data = new DataTransfer();
        data.items.add(new File([Uint8Array.from(bytes)], 'pasted.png', { type: 'image/png' }));
        window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
      },
      [...png],
    );
    await page.getByRole('button', { name: 'Look at pasted' }).click();
    await page.getByRole('button', { name: 'Take it down' }).click();
    await page.getByText('The picture is taken down.').waitFor();
    await page.getByRole('button', { name: 'Look at pasted' }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await page.getByRole('button', { name: 'Look at pasted' }).waitFor();
    const pinned = (await stored('/sheets/ferry-steps/references')) as { name: string }[];
    expect(pinned.map(({ name }) => name)).to.deep.equal(['old kettle', 'pasted']);
  });

  it('describes a thing: its name, what it is made of, its worth, and moves it to the back by keyboard', async () => {
    await nameFromKey(page);
    const things = page.getByRole('list', { name: 'Things' });
    await page.getByRole('searchbox', { name: 'Find a thing' }).fill('brass');
    await things.getByText('Brass bell').click();
    await page.getByRole('button', { name: /Made of/ }).click();
    await page.getByRole('option', { name: /^gold/ }).click();
    await page.getByRole('radio', { name: 'much' }).click();
    await page.getByRole('textbox', { name: 'Name of the thing' }).fill('Harbour bell');
    await page.getByRole('button', { name: 'Rename' }).click();
    await page.getByRole('searchbox', { name: 'Find a thing' }).fill('');
    await things.getByText('Harbour bell').waitFor();
    await page.getByRole('status').getByText('Saved').waitFor();
    const kept = thingsOf((await state()).plan);
    const place = kept.findIndex(({ name }) => name === 'Harbour bell');
    expect(kept[place]).to.include({ material: 'gold', importance: 'much' });
    await page.getByRole('button', { name: 'Move Harbour bell to the front or back' }).focus();
    // What is read aloud tells when the list has taken each key.
    const saidAloud = (words: string) =>
      page.waitForFunction((said) => document.body.textContent!.includes(said), words);
    await page.keyboard.press('Space');
    await saidAloud(`Draggable item ${kept[place].id} was moved over droppable area ${kept[place].id}`);
    await page.keyboard.press('ArrowDown');
    await saidAloud(`Draggable item ${kept[place].id} was moved over droppable area ${kept[place + 1].id}`);
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: /Undo: Harbour bell further behind/ }).waitFor();
  });

  it('keeps aside what hangs on regions that are not found any more, and brings all of it back by undo', async () => {
    await goTo(page, 'Sheet');
    const before = await saved();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Find them differently' }).click();
    await page.getByRole('slider', { name: /How small a region matters/ }).fill('5');
    await page.getByText('from 5.0 mm²').waitFor();
    await page.getByRole('button', { name: 'Find them so' }).click();
    await foundAnew(before.plan.regionsFrom);
    const kept = page.getByRole('list', { name: 'Kept aside' });
    await kept.getByText('Stars').waitFor();
    const { plan } = await saved();
    const counts = ({ things }: typeof plan) =>
      Object.values(things).reduce((sum, { regionIds }) => sum + regionIds.length, 0);
    expect(plan.aside.shapes.length).to.be.above(100);
    expect(counts(plan)).to.be.below(counts(before.plan));
    // What lies there now can be taken at once, and that is taken back like anything else.
    await kept.getByRole('button', { name: 'Let go of Stars' }).click();
    await kept.getByText('Stars').waitFor({ state: 'detached' });
    await page.getByRole('button', { name: /^Undo/ }).click();
    await kept.getByText('Stars').waitFor();
    await undoneTo(before.plan.regionsFrom);
    await kept.waitFor({ state: 'detached' });
    expect((await saved()).plan).to.deep.equal(before.plan);
  });

  it('shows what is pinned to it beside the wheel while colours are chosen, and at the table', async () => {
    const pinned = page.getByRole('group', { name: 'Pinned pictures' });
    await goTo(page, 'Wheel');
    await pinned.getByRole('button', { name: 'Look at old kettle' }).waitFor();
    await takePalette(page);
    await goTo(page, 'Bench');
    await putInOrder(page);
    await page.getByRole('button', { name: /Sit down|Go on/ }).click();
    await pinned.getByRole('button', { name: 'Look at old kettle' }).click();
    await page.getByRole('img', { name: 'old kettle' }).waitFor();
    await page.getByRole('button', { name: 'Done looking' }).click();
  });
});

describe('a page brought in', function () {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  let errors: string[];
  before(async () => {
    [desk, browser] = [await openDesk(), await openBrowser()];
    ({ page, errors } = await openPage(browser, desk.url));
  });
  after(async () => {
    await browser.close();
    await desk.close();
  });
  const sheetHere = async () => {
    await page.getByText(/found,/).waitFor();
    const id = /sheets\/([^/]+)\//.exec(page.url())![1];
    const read = async (path: string): Promise<unknown> => (await fetch(`${desk.url}/api/sheets/${id}${path}`)).json();
    return { sheet: SheetState.parse(await read('')), meta: RegionsMeta.parse(await read('/regions')) };
  };
  const bring = async (name: string, mimeType: string, buffer: Buffer) => {
    await page.goto(desk.url);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Bring in a page' }).click();
    await (await chooser).setFiles({ name, mimeType, buffer });
  };

  it('as a photograph is found by its corners, laid straight, and takes the size of its format', async () => {
    await page.getByRole('button', { name: 'Snap one' }).click();
    await page.getByRole('button', { name: /^On the table/ }).click();
    await page.getByRole('option', { name: /^The Ferry Steps, begun/ }).click();
    await page.getByRole('button', { name: 'Photograph it' }).click();
    await page.getByRole('img', { name: /What came back/ }).waitFor();
    await page.getByRole('button', { name: 'Bring it in as a page' }).click();
    await page.getByText('Lay the page straight').waitFor();
    const corner = page.getByRole('button', { name: 'Top left corner' });
    await corner.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowLeft');
    await page.getByText('Top left corner, enlarged').waitFor();
    await page.getByRole('button', { name: /Shape of the page/ }).click();
    await page.getByRole('option', { name: /square book, 210 mm/ }).click();
    await page.getByRole('button', { name: 'Lay it straight' }).click();
    const { sheet, meta } = await sheetHere();
    expect(sheet.plan.page).to.include({ widthMm: 210, heightMm: 210 });
    expect(meta.regions.length).to.be.within(500, 700);
  });

  it('half coloured keeps its colours as they are, and asks how much those places still take', async () => {
    const { meta } = await sheetHere();
    const coloured = meta.seen!.grounds.filter(({ kind }) => kind === 'coloured');
    expect(coloured.length).to.be.within(90, 250);
    await page.getByText(`${meta.seen!.grounds.length} are not bare.`).waitFor();
    await page.getByRole('button', { name: 'Choose them' }).click();
    await page.getByRole('button', { name: /^What lies there/ }).click();
    await page.getByText('Until that is said, some is taken to be left.').waitFor();
    await page.getByRole('radio', { name: 'plenty' }).click();
    await page.getByText('Until that is said').waitFor({ state: 'detached' });
    await page.getByText('Saved', { exact: true }).waitFor();
    const { plan } = (await sheetHere()).sheet;
    expect(Object.keys(plan.regions)).to.have.length(meta.seen!.grounds.length);
    expect(Object.values(plan.regions).every(({ ground }) => ground?.toothLeft === 'plenty')).to.equal(true);
    await page.keyboard.press('Control+z');
    await page.getByText('Until that is said').waitFor();
  });

  it('as a flat scan takes its real size from the resolution of the scanner, and takes that back', async () => {
    await bring('scan.png', 'image/png', await scanOfBoxes());
    const before = (await sheetHere()).sheet.plan.page;
    const change = page.getByRole('button', { name: 'change', exact: true });
    if (await change.isVisible()) await change.click();
    await page.getByRole('button', { name: /^Resolution of the scan/ }).click();
    await page.getByRole('option', { name: /scanned at 150 dpi 210 × 148.5 mm/ }).click();
    await page.getByRole('button', { name: 'Resolution of the scan: scanned at 150 dpi' }).waitFor();
    const { sheet, meta } = await sheetHere();
    expect(sheet.plan.page).to.include({ widthMm: 210, heightMm: 148.5 });
    expect(meta.regions).to.have.length(3);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page.getByRole('button', { name: 'Resolution of the scan: scanned at 150 dpi' }).waitFor({ state: 'hidden' });
    await page.getByText('Saved', { exact: true }).waitFor();
    expect((await sheetHere()).sheet.plan.page).to.deep.equal(before);
  });

  it('as a PDF asks which of its pages, and knows its real size', async () => {
    await bring('two-pages.pdf', 'application/pdf', twoPagePdf());
    await page.getByText('two-pages.pdf has 2 pages.').waitFor();
    await page.getByRole('button', { name: 'Page 2' }).click();
    await page.getByRole('button', { name: 'Bring in page 2' }).click();
    const { sheet, meta } = await sheetHere();
    expect(sheet.plan.page).to.include({ widthMm: 210, heightMm: 148 });
    expect(meta.regions).to.have.length(3);
  });

  it('as a broken PDF is told in one sentence', async () => {
    await bring('torn.pdf', 'application/pdf', Buffer.from('%PDF-1.7\nnothing more'));
    await page.getByText('This PDF is broken and cannot be opened.').waitFor();
    await page.getByRole('button', { name: 'Put it away' }).click();
    await page.getByRole('heading', { name: 'Which page tonight?' }).waitFor();
  });

  it('as a sliver or a single pixel is told in one sentence, and the shelf goes on', async () => {
    for (const [width, height] of [
      [16_000, 3],
      [1, 1],
    ]) {
      const picture = sharp({ create: { width, height, channels: 3, background: '#fff' } });
      await bring('sliver.png', 'image/png', await picture.png().toBuffer());
      await page.getByText(/too small to find outlines in/).waitFor();
      await page.getByRole('heading', { name: 'Which page tonight?' }).waitFor();
    }
  });

  it('can be renamed, copied, put by, thrown away, and had back', async () => {
    await page.goto(desk.url);
    const more = (title: string) => page.getByRole('button', { name: `More for ${title}`, exact: true });
    await more('Kite Loft').click();
    await page.getByRole('menuitem', { name: 'Rename' }).click();
    await page.getByLabel('New name of Kite Loft').fill('Loft of kites');
    await page.keyboard.press('Enter');
    await more('Loft of kites').click();
    await page.getByRole('menuitem', { name: 'Duplicate' }).click();
    await more('Loft of kites, copy').click();
    await page.getByRole('menuitem', { name: 'Put in the drawer' }).click();
    await page.getByRole('button', { name: 'The drawer (1)' }).click();
    await page.getByRole('heading', { name: 'In the drawer' }).waitFor();
    await more('Loft of kites, copy').click();
    await page.getByRole('menuitem', { name: 'Throw away' }).click();
    await page.getByText('Loft of kites, copy is thrown away.').waitFor();
    await page.getByRole('button', { name: 'Thrown away (1)' }).click();
    await more('Loft of kites, copy').click();
    await page.getByRole('menuitem', { name: 'Back on the shelf' }).click();
    await page.getByRole('button', { name: 'Back to the shelf' }).click();
    await page.getByRole('searchbox', { name: 'Find a sheet' }).fill('loft');
    await more('Loft of kites, copy').waitFor();
    await more('Loft of kites').waitFor();
    expect(await page.getByRole('button', { name: /^More for/ }).count()).to.equal(2);
    expect(errors).to.deep.equal([]);
  });
});

/** A PDF of two pages, A5 lying: an empty one, and one with three boxes in a row. */
/** Three boxes on a page of 1240 x 877 pixels that does not say its resolution. */
function scanOfBoxes(): Promise<Buffer> {
  const boxes = [120, 480, 840].map((x) => `<rect x="${x}" y="200" width="280" height="420"/>`).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1240" height="877">
    <rect width="1240" height="877" fill="white"/><g fill="none" stroke="black" stroke-width="6">${boxes}</g></svg>`;
  return sharp(Buffer.from(svg)).png().toBuffer();
}

function twoPagePdf(): Buffer {
  const boxes = '4 w 60 120 140 180 re 200 120 140 180 re 340 120 140 180 re S';
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R 4 0 R] /Count 2 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595.28 419.53] >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595.28 419.53] /Contents 5 0 R >>',
    `<< /Length ${boxes.length} >>\nstream\n${boxes}\nendstream`,
  ];
  let text = '%PDF-1.4\n';
  const starts = objects.map((object, k) => {
    const start = text.length;
    text += `${k + 1} 0 obj\n${object}\nendobj\n`;
    return start;
  });
  const table = text.length;
  text += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n`;
  for (const start of starts) text += `${String(start).padStart(10, '0')} 00000 n \n`;
  text += `trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${table}\n%%EOF\n`;
  return Buffer.from(text, 'latin1');
}
