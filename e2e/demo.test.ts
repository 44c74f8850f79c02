import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import type { DemoState, Notebook, SheetCard, Swatch } from '../src/contracts/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage } from './harness.ts';
import { untilColoured } from './stages.ts';

describe('the booklet and its devices', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  let errors: string[];
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    ({ page, errors } = await openPage(browser, desk.url));
  });
  afterEach(() => expect(errors).to.deep.equal([]));
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  const stored = async <T>(path: string) => (await (await fetch(`${desk.url}/api${path}`)).json()) as T;
  const choose = async (list: RegExp, option: string) => {
    await page.getByRole('button', { name: list }).click();
    await page.getByRole('option', { name: option }).click();
  };

  it('lies on the shelf: four pages in their own shapes, and one that is begun', async () => {
    await page.getByRole('link', { name: /Kite Loft/ }).waitFor();
    const titles = (await page.getByRole('listitem').getByRole('link').allInnerTexts()).map((text) => text.trim());
    expect(titles).to.have.members([
      'The Ferry Steps',
      'The Tide Clock',
      'Marsh Hare under the Pier Lamp',
      'Kite Loft',
      'The Ferry Steps, begun',
    ]);
    const shape = async (name: string) =>
      (await page.getByRole('img', { name: `The page ${name}`, exact: true }).boundingBox())!;
    const [clock, kite] = [await shape('The Tide Clock'), await shape('Kite Loft')];
    expect(clock.height / clock.width).to.be.closeTo(297 / 210, 0.03);
    expect(kite.width / kite.height).to.be.closeTo(210 / 148, 0.03);
    await page.getByText(/^(8|9|10|11)\d of \d+ layers laid/).waitFor();
  });

  it('a scan that is stopped leaves nothing behind, and the panel says that the scanner is simulated', async () => {
    await page.getByRole('button', { name: 'Scan one' }).click();
    const dialog = page.getByRole('dialog', { name: 'Simulated scanner' });
    await dialog.getByText('No scanner is plugged in').waitFor();
    await choose(/^On the glass/, 'The Tide Clock');
    await choose(/^Resolution/, '300 dpi');
    await dialog.getByRole('button', { name: 'Scan it' }).click();
    await dialog.getByRole('progressbar').waitFor();
    await dialog.getByRole('button', { name: 'Stop' }).click();
    await dialog.getByRole('button', { name: 'Scan it' }).waitFor();
    await dialog.getByText('The picture will lie here.').waitFor();
    expect(await stored<SheetCard[]>('/sheets')).to.have.length(5);
  });

  it('a page is scanned and brought in by the same way as any file, and its regions are found', async () => {
    const dialog = page.getByRole('dialog');
    await choose(/^On the glass/, 'Kite Loft');
    await choose(/^Resolution/, '200 dpi');
    await dialog.getByText('Middling').click();
    await dialog.getByRole('button', { name: 'Another try' }).click();
    await dialog.getByText('try 2, the same each time').waitFor();
    await dialog.getByRole('button', { name: 'Scan it' }).click();
    await dialog.getByRole('img', { name: /What came back/ }).waitFor();
    await dialog.getByRole('button', { name: 'Bring it in as a page' }).click();
    await page.waitForURL(/\/sheet$/);
    await page.getByText(/found,/).waitFor();
    const cards = await stored<SheetCard[]>('/sheets');
    const own = cards.find(({ origin }) => origin === 'own')!;
    expect(own).to.include({ title: 'Kite Loft, scan', widthMm: 220, heightMm: 158 });
    expect(own.regions).to.be.within(150, 320);
  });

  it('the begun sheet is photographed as it lies on the table, under a bad lamp', async () => {
    await page.goto(`${desk.url}/sheets`);
    await page.getByRole('button', { name: 'Snap one' }).click();
    const dialog = page.getByRole('dialog', { name: 'Simulated camera' });
    await choose(/^On the table/, 'The Ferry Steps, begun');
    await dialog.getByText('Bad', { exact: true }).click();
    await dialog.getByRole('button', { name: 'Photograph it' }).click();
    const picture = dialog.getByRole('img', { name: 'What came back: The Ferry Steps, begun, photo.jpg' });
    await picture.waitFor();
    expect(await picture.evaluate((image) => (image as HTMLImageElement).naturalWidth)).to.be.at.least(1800);
    await page.keyboard.press('Escape');
    await dialog.waitFor({ state: 'detached' });
  });

  it('a patch is read by the meter after it has warmed up, and kept with its pencil', async () => {
    await page.goto(`${desk.url}/tray/demo-tray`);
    await page.getByRole('button', { name: 'Look at QS32' }).click();
    const facts = page.getByRole('region', { name: 'About QS32' });
    await facts.getByText('The barrel looks blue').waitFor();
    await facts.getByText(/lie \d+\.\d apart on average/).waitFor();
    await facts.getByRole('button', { name: 'Read a patch with the meter' }).click();
    await facts.getByText('No meter is plugged in').waitFor();
    await facts.getByRole('button', { name: 'Read', exact: true }).click();
    await facts.getByText(/Warming up/).waitFor();
    for (let tries = 0; tries < 6; tries++) {
      await facts.getByText(/three flashes within|That was a bad reading/).waitFor();
      if (await facts.getByText(/three flashes within/).isVisible()) break;
      await facts.getByRole('button', { name: 'Read again' }).click();
    }
    await facts.getByRole('button', { name: 'Keep it' }).click();
    await page.getByText(/The reading is kept with QS32\. It is fitted anew, \d\.\d apart/).waitFor();
    await facts.getByText('read by you').waitFor();
    const swatches = await stored<Swatch[]>('/trays/demo-tray/pencils/demo-qs32/swatches');
    expect(swatches.filter(({ origin }) => origin === 'own')).to.have.length(1);
    await facts.getByRole('button', { name: 'Put QS32 back' }).click();
    await facts.waitFor({ state: 'detached' });
    await page.getByRole('region', { name: 'Pens and tools' }).getByText('odourless mineral spirits').waitFor();
  });

  it('the record shows the evenings with their notes and mistake; a note is written down and stays', async () => {
    await page.goto(`${desk.url}/sheets/ferry-steps-begun/record`);
    await page.getByRole('heading', { name: /^Sitting 3, / }).waitFor();
    const second = page.getByRole('region', { name: 'Sitting 2' });
    await second.getByText(/Dragged a dark blue into the yellow/).waitFor();
    await page.getByText('Lantern glow').waitFor();
    await page.getByText('Even laydown').waitFor();
    await untilColoured(page, 0.05);
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByRole('alert').getByText('Write a few words first.').waitFor();
    await page.getByLabel('What to write down').fill('Put a sheet under the hand.');
    await page.getByRole('radio', { name: 'a mistake' }).check();
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByRole('region', { name: 'Sitting 3' }).getByText('Put a sheet under the hand.').waitFor();
    const { notes } = await stored<Notebook>('/sheets/ferry-steps-begun/notebook');
    expect(notes.at(-1)).to.include({ kind: 'mistake', text: 'Put a sheet under the hand.', origin: 'own' });
  });

  it('the demo is taken away in Settings after a question, and put back; the own page stays', async () => {
    await page.goto(`${desk.url}/settings`);
    await page.getByRole('button', { name: 'Take the demo away' }).click();
    const question = page.getByRole('dialog', { name: 'Take the demo away?' });
    await question.getByRole('button', { name: 'Leave it' }).click();
    await question.waitFor({ state: 'detached' });
    expect((await stored<DemoState>('/demo')).laidOut).to.equal(true);
    await page.getByRole('button', { name: 'Take the demo away' }).click();
    await question.getByRole('button', { name: 'Take it away' }).click();
    await page.getByText('The demo is not on the desk.').waitFor();
    expect((await stored<SheetCard[]>('/sheets')).map(({ origin }) => origin)).to.deep.equal(['own']);
    await page.getByRole('button', { name: 'Put the demo back' }).click();
    await page.getByText(/5 sheets of the invented booklet/).waitFor();
    expect(await stored<SheetCard[]>('/sheets')).to.have.length(6);
  });
});
