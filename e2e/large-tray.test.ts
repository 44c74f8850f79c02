import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import type { Pencil } from '../src/contracts/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';

describe('a tray of 600 pencils', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    const demo = (await (await fetch(`${desk.url}/api/trays/demo-tray/pencils`)).json()) as Pencil[];
    const pencils = Array.from({ length: 600 }, (_, i) => {
      const { name, type, colour, opacity } = demo[i % demo.length];
      const code = `X${String(i).padStart(3, '0')}`;
      return { id: `many-${code}`, code, name, set: `Box ${i % 5}`, type, colour, opacity };
    });
    after(async () => {
      await browser?.close();
      await desk?.close();
    });
    const answer = await fetch(`${desk.url}/api/trays/my-pencils/pencils`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ pencils }),
    });
    expect(answer.status).to.equal(200);
    ({ page } = await openPage(browser, `${desk.url}/tray/my-pencils`));
  });

  it('is drawn only as far as it is seen, as cards and as a table, and scrolled to its end', async () => {
    await page.getByText(/^600 pencils: /).waitFor();
    const region = page.getByRole('region', { name: 'Pencils' });
    await region.getByRole('checkbox').first().waitFor();
    expect(await region.getByRole('checkbox').count()).to.be.within(30, 200);
    const toEnd = async (last: ReturnType<typeof region.getByRole>) => {
      await until(
        'the last pencil in view',
        async () => {
          await region.evaluate((element) => element.scrollTo(0, element.scrollHeight));
          return last.isVisible();
        },
        Boolean,
      );
    };
    await toEnd(region.getByRole('button', { name: 'Look at X599' }));
    await page.getByText('Table', { exact: true }).click();
    await region.evaluate((element) => element.scrollTo(0, 0));
    await region.getByRole('table').waitFor();
    expect(Number(await region.getByRole('table').getAttribute('aria-rowcount'))).to.be.above(600);
    expect(await region.locator('tbody tr[data-index]').count()).to.be.within(5, 40);
    await toEnd(region.getByRole('button', { name: 'Look at X599' }));
  });

  it('is sorted and searched whole, not only what is drawn', async () => {
    const region = page.getByRole('region', { name: 'Pencils' });
    await region.evaluate((element) => element.scrollTo(0, 0));
    const code = region.getByRole('button', { name: 'Code', exact: true });
    await page.getByLabel('Search pencils').fill('X59');
    await region.locator('tbody tr[data-index="9"]').getByRole('button', { name: 'Look at X599' }).waitFor();
    await code.click();
    await code.click();
    await region.locator('tbody tr[data-index="0"]').getByRole('button', { name: 'Look at X599' }).waitFor();
    expect(await region.locator('tbody tr[data-index]').count()).to.equal(10);
  });
});
