import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import type { Pencil, TrayFit } from '../src/contracts/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage } from './harness.ts';

describe('swatch cards', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    const demo = (await (await fetch(`${desk.url}/api/trays/demo-tray/pencils`)).json()) as Pencil[];
    const pencils = demo
      .filter(({ set }) => set === 'Fenland Oil')
      .slice(0, 36)
      .map(({ code, type, colour, opacity }) => ({
        id: `own-${code}`,
        code,
        name: '',
        set: 'My oil box',
        type,
        colour,
        opacity,
      }));
    const answer = await fetch(`${desk.url}/api/trays/my-pencils/pencils`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ pencils }),
    });
    expect(answer.status).to.equal(200);
    ({ page } = await openPage(browser, `${desk.url}/tray/my-pencils`));
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });
  const choose = async (list: string, option: string) => {
    await page.getByRole('button', { name: new RegExp(`^${list}:`) }).click();
    await page.getByRole('option', { name: option }).click();
  };
  const photograph = async (device: 'camera' | 'scanner', what: RegExp) => {
    await page.getByRole('button', { name: device === 'camera' ? 'Photograph it' : 'Scan it', exact: true }).click();
    const dialog = page.getByRole('dialog', { name: `Simulated ${device}` });
    await dialog.getByRole('button', { name: /^On the (table|glass)/ }).click();
    await page.getByRole('option', { name: what }).click();
    await dialog.getByRole('button', { name: device === 'camera' ? 'Photograph it' : 'Scan it', exact: true }).click();
    await dialog.getByRole('button', { name: 'Read it as a card' }).click({ timeout: 45_000 });
  };
  const reading = () => page.getByRole('dialog', { name: 'Read a swatch card' });
  const keepAndFit = async () => {
    await reading()
      .getByRole('button', { name: /^Keep \d+ readings and fit/ })
      .click();
    await reading()
      .getByText(/pencils of this card are fitted/)
      .waitFor({ timeout: 45_000 });
  };

  it('are printed for the pencils that the search shows, as a PDF of A4 pages', async () => {
    await page.goto(`${desk.url}/tray/my-pencils`);
    await page.getByRole('checkbox', { name: 'F-101 is here' }).first().waitFor();
    await choose('Set', 'My oil box');
    await page.getByRole('button', { name: 'Print a card' }).click();
    const dialog = page.getByRole('dialog', { name: 'Print a swatch card' });
    await dialog.getByText('36 rows on 2 pages of A4 or letter paper.').waitFor();
    await dialog.getByRole('button', { name: 'Make the card' }).click();
    await dialog.getByText(/^Card \d+ is ready, 2 pages/).waitFor();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('link', { name: /as PDF/ }).click(),
    ]);
    const bytes = readFileSync(await file.path());
    expect(bytes.subarray(0, 5).toString()).to.equal('%PDF-');
    await dialog.getByRole('button', { name: 'Done', exact: true }).click();
  });

  it('filled in and photographed or scanned, are found, named, read and fitted, page by page', async function () {
    this.timeout(150_000);
    await page.getByRole('button', { name: 'Read one back' }).click();
    await photograph('camera', /^Swatch card \d+, page 1/);
    await reading().getByText('Its boxes say which card it is.').waitFor();
    await reading()
      .getByText(/^156 patches read/)
      .waitFor();
    await keepAndFit();
    await reading().getByRole('button', { name: 'Another picture' }).click();
    await photograph('scanner', /^Swatch card \d+, page 2/);
    await reading()
      .getByText(/^147 patches read/)
      .waitFor();
    await keepAndFit();
    await reading().getByRole('button', { name: 'Done', exact: true }).click();
    await page
      .getByRole('img', { name: /^fitted to swatches on this paper/ })
      .nth(35)
      .waitFor();
    const fits = (await (await fetch(`${desk.url}/api/trays/my-pencils/fits`)).json()) as TrayFit[];
    expect(fits[0].pencils).to.have.length(36);
    const apart = fits[0].pencils.map(({ fit }) => fit.apart).sort((a, b) => a - b);
    expect(apart[18]).to.be.below(1.5);
  });

  it('name the patches worth laying again, and leave them out unless they are kept', async () => {
    await page.goto(`${desk.url}/tray/demo-tray`);
    await page.getByRole('button', { name: 'Read one back' }).click();
    await photograph('camera', /^Swatch card 1, as first laid/);
    const doubtful = reading().getByRole('list', { name: 'Doubtful patches' }).getByRole('listitem');
    await doubtful.filter({ hasText: 'QS02 medium: uneven' }).waitFor();
    await doubtful.filter({ hasText: 'QS04 firm: not laid' }).waitFor();
    const count = async () =>
      Number(
        /\d+/.exec(
          await reading()
            .getByRole('button', { name: /^Keep \d+/ })
            .innerText(),
        )![0],
      );
    const before = await count();
    expect(before).to.equal(156 - (await doubtful.count()));
    await doubtful.filter({ hasText: 'QS02 medium' }).getByRole('checkbox').check();
    expect(await count()).to.equal(before + 1);
    await page.keyboard.press('Escape');
  });

  it('with empty rows take the codes that were written on them', async () => {
    await page.getByRole('button', { name: 'Print a card' }).click();
    const dialog = page.getByRole('dialog', { name: 'Print a swatch card' });
    await dialog.getByRole('button', { name: /^Pencils on the card/ }).click();
    await page.getByRole('option', { name: /empty rows/ }).click();
    await dialog.getByLabel('Rows').fill('3');
    await dialog.getByRole('button', { name: 'Make the card' }).click();
    const number = /Card (\d+)/.exec(await dialog.getByText(/is ready, 1 page/).innerText())![1];
    await dialog.getByRole('button', { name: 'Done', exact: true }).click();
    await page.getByRole('button', { name: 'Read one back' }).click();
    await photograph('camera', new RegExp(`^Swatch card ${number}\\b`));
    await reading()
      .getByText(/33 patches read.*rows without a pencil/)
      .waitFor();
    expect(await reading().getByRole('button', { name: 'Keep 0 readings and fit' }).isDisabled()).to.equal(true);
    await reading()
      .getByLabel(/The codes you wrote/)
      .fill('QS01 to QS03');
    await reading()
      .getByRole('button', { name: /^Keep 3\d readings and fit/ })
      .waitFor();
    await page.keyboard.press('Escape');
  });

  it('refuse a picture on which there is none with a sentence', async () => {
    await page.getByRole('button', { name: 'Read one back' }).click();
    await photograph('camera', /^Practice strip, QS06/);
    await reading()
      .getByText(/No swatch card is seen here/)
      .waitFor();
    await page.keyboard.press('Escape');
  });
});
