import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import type { Pencil } from '../src/contracts/index.ts';
import { labOfHex } from '../src/core/colour/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage } from './harness.ts';

describe('trays', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    ({ page } = await openPage(browser, `${desk.url}/tray/demo-tray`));
    await page.getByRole('checkbox', { name: 'QS01 is here' }).waitFor();
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  const stored = async (tray: string) =>
    (await (await fetch(`${desk.url}/api/trays/${tray}/pencils`)).json()) as Pencil[];
  const choose = async (list: string, option: string) => {
    await page.getByRole('button', { name: new RegExp(`^${list}:`) }).click();
    await page.getByRole('option', { name: option }).click();
  };
  const shown = () => page.getByRole('checkbox', { name: /is here/ }).count();

  describe('the tray on its own', () => {
    it('shows laydowns, not flat squares: every strip has many tones of its pencil', async () => {
      await page.waitForTimeout(1500);
      const tones = await page.locator('li canvas').evaluateAll((canvases) =>
        (canvases as HTMLCanvasElement[]).slice(2, 12).map((canvas) => {
          const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
          const seen = new Set<number>();
          for (let i = 0; i < data.length; i += 4) seen.add((data[i] << 16) | (data[i + 1] << 8) | data[i + 2]);
          return seen.size;
        }),
      );
      for (const count of tones) expect(count).to.be.above(60);
    });

    it('narrows by set and by where pencils are, and says how many', async () => {
      await choose('Set', 'Fenland Oil');
      expect(await shown()).to.equal(60);
      await choose('Where it is', 'missing');
      expect(await shown()).to.equal(2);
      await choose('Set', 'every set');
      expect(await shown()).to.equal(5);
      await choose('Where it is', 'worn to a stub');
      expect(await shown()).to.equal(12);
      await choose('Where it is', 'wherever it is');
      await page.getByText('180 pencils: 163 here, 12 stubs, 5 missing').waitFor();
    });

    it('says so when nothing fits, and keeps what was typed in its address', async () => {
      await page.getByLabel('Search pencils').fill('pink with stripes');
      await page.getByText('No pencil here fits that').waitFor();
      expect(page.url()).to.contain('words=pink');
      await page.reload();
      await page.getByText('No pencil here fits that').waitFor();
      await page.getByLabel('Search pencils').fill('');
    });

    it('sorts the table by value, up and down', async () => {
      await page.getByText('Table', { exact: true }).click();
      const values = async () => (await page.locator('tbody tr td:nth-child(6)').allInnerTexts()).map(Number);
      await page.getByRole('button', { name: 'L*' }).click();
      const first = await values();
      await page.getByRole('button', { name: 'L*' }).click();
      const second = await values();
      const up = [...first].sort((a, b) => a - b);
      expect([first, second]).to.deep.include.members([up, [...up].reverse()]);
      const pencils = await stored('demo-tray');
      expect(up).to.deep.equal(pencils.map((pencil) => Math.round(labOfHex(pencil.colour)[0])).sort((a, b) => a - b));
    });

    it('marks a pencil as a stub from the table, and it is stored', async () => {
      await page.getByRole('button', { name: /Where QS20 is/ }).click();
      await page.getByRole('option', { name: 'a stub' }).click();
      await page.getByText('13 stubs').waitFor();
      expect((await stored('demo-tray')).find((pencil) => pencil.code === 'QS20')!.whereabouts).to.equal('stub');
      await page.getByText('Laid out', { exact: true }).click();
    });

    it('looks different on another paper', async () => {
      const strip = () =>
        page
          .locator('li canvas')
          .nth(4)
          .evaluate((element) => {
            const canvas = element as HTMLCanvasElement;
            return [
              ...canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height).data.slice(0, 4000),
            ].join();
          });
      const white = await strip();
      await choose('Paper', 'on brown kraft card');
      for (let i = 0; i < 100 && (await strip()) === white; i++) await page.waitForTimeout(300);
      expect(await strip()).to.not.equal(white);
    });

    it('copies a single pencil to "My pencils" once, as one’s own', async () => {
      await page.getByRole('button', { name: 'Copy QS11 to My pencils' }).click();
      await page.getByText('QS11 is in My pencils now.').waitFor();
      await page.getByRole('button', { name: 'Copy QS11 to My pencils' }).click();
      await page.getByText('QS11 was in My pencils already.').waitFor();
      const mine = await stored('my-pencils');
      expect(mine.map(({ code, origin }) => [code, origin])).to.deep.equal([['QS11', 'own']]);
    });

    it('opens another tray from the list', async () => {
      await page.getByRole('link', { name: /My pencils/ }).click();
      await page.getByRole('heading', { name: 'My pencils' }).waitFor();
      expect(await shown()).to.equal(1);
    });
  });
});
