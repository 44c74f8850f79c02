import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import { type TestDesk, openBrowser, openDesk, openPage } from './harness.ts';
import { goTo, nameFromKey, openFerrySteps, savedSheet, untilPainted, takePalette } from './stages.ts';
import { glowsOf, thingsOf } from '../src/plan/index.ts';

describe('light and effects', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    ({ page } = await openPage(browser, desk.url));
    await openFerrySteps(page);
    await nameFromKey(page);
    await goTo(page, 'Light');
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  const saved = async () => (await savedSheet(page, desk.url, 'ferry-steps')).plan;
  const thing = async (name: string) => thingsOf(await saved()).find((each) => each.name === name)!;
  const undo = () => page.getByRole('button', { name: /^Undo/ }).click();
  const choose = (thing: string) =>
    page.getByRole('list', { name: 'Forms of things' }).getByText(thing, { exact: true }).click();

  /** The mean grey of a square of the sheet's picture round a place on the screen. */
  async function greyAt(x: number, y: number): Promise<number> {
    return page.getByTestId('sheet').evaluate(
      (element, at) => {
        const canvas = element as HTMLCanvasElement;
        const box = canvas.getBoundingClientRect();
        const scale = canvas.width / box.width;
        const [left, top] = [(at.x - box.left - 5) * scale, (at.y - box.top - 5) * scale];
        const { data } = canvas.getContext('2d')!.getImageData(left, top, 10 * scale, 10 * scale);
        let sum = 0;
        for (let i = 0; i < data.length; i += 4) sum += data[i];
        return (4 * sum) / data.length;
      },
      { x, y },
    );
  }
  /** The same once the light stands still. */
  async function greyOnceStill(x: number, y: number): Promise<number> {
    for (let before = -1; ;) {
      await untilPainted(page);
      const now = await greyAt(x, y);
      if (Math.abs(now - before) < 0.5) return now;
      before = now;
    }
  }

  it('comes softly, from a side or from behind, and goes back by undo', async () => {
    await page.getByText('From behind').click();
    expect((await saved()).light).to.deep.equal({ kind: 'behind' });
    await page.getByText('Rims are pale').waitFor();
    await undo();
    expect((await saved()).light).to.deep.equal({ kind: 'ambient' });
  });

  it('forms are shown as sketches under the light and changed by one click', async () => {
    await choose('Brass bell');
    const forms = page.getByRole('radiogroup', { name: 'Form of Brass bell' });
    expect(await forms.getByRole('radio').count()).to.equal(14);
    await forms.getByRole('radio', { name: 'cone' }).click();
    await page.getByText('form chosen', { exact: true }).waitFor();
    expect((await thing('Brass bell')).form).to.equal('cone');
    await forms.getByRole('radio', { name: 'cone' }).press('ArrowRight');
    expect((await thing('Brass bell')).form).to.equal('leaf');
  });

  it('a thing that glows lightens what is round it, says how it stands out, and is put out again', async () => {
    await choose('Moon');
    const beside = { x: 410, y: 190 };
    const before = await greyOnceStill(beside.x, beside.y);
    await page.getByRole('button', { name: 'Let Moon glow' }).click();
    await page.getByText(/stands out/).waitFor();
    expect(await greyOnceStill(beside.x, beside.y)).to.be.above(before + 6);
    const reach = page.getByRole('slider', { name: 'Reach of Moon' });
    await reach.press('ArrowRight');
    expect((await thing('Moon')).glow).to.deep.equal({ reachMm: 21, strength: 0.8, pencil: null });
    await page.getByRole('button', { name: /^Put out Moon/ }).click();
    expect(glowsOf(await saved())).to.deep.equal([]);
    await undo();
    expect(glowsOf(await saved())).to.have.length(1);
    await page.getByRole('button', { name: /^Put out Moon/ }).click();
    await saved();
  });

  it('a thing is made to look like metal, in an order of its own, and goes back by undo', async () => {
    await goTo(page, 'Wheel');
    await takePalette(page);
    await goTo(page, 'Layers');
    await page.getByRole('list', { name: 'Things and their layers' }).getByText('Enamel mug').click();
    await page.getByRole('button', { name: /^Effect of Enamel mug: / }).click();
    await page.getByRole('option', { name: /^polished metal/ }).click();
    const layers = page.getByRole('list', { name: 'Layers of Enamel mug' });
    await layers.getByText('black next to white', { exact: false }).waitFor();
    await page.getByText('It has an order of its own.', { exact: false }).waitFor();
    expect(await page.getByRole('button', { name: /^School of Enamel mug/ }).count()).to.equal(0);
    expect((await thing('Enamel mug')).effect).to.equal('polished-metal');
    await undo();
    expect((await thing('Enamel mug')).effect).to.equal(null);
    await page.getByRole('button', { name: /^School of Enamel mug/ }).click();
    await page.getByRole('option', { name: /^dark foundation/ }).click();
    await layers.getByText('everything outside the glow', { exact: false }).waitFor();
    await undo();
    await saved();
    await goTo(page, 'Light');
  });

  it('a glow is put where nothing is drawn and moved by drag and by keys, and stays on the page', async () => {
    await page.getByRole('button', { name: 'Put a glow on the sheet' }).click();
    const handle = page.getByRole('button', { name: /^Glow at / });
    await handle.focus();
    await page.keyboard.press('ArrowLeft');
    expect(glowsOf(await saved())[0].at).to.deep.equal({ x: 104, y: 105 });
    const box = (await handle.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 120, box.y - 60, { steps: 4 });
    await page.mouse.up();
    const { x, y } = glowsOf(await saved())[0].at!;
    expect(x).to.be.above(120);
    expect(y).to.be.below(95);
    await handle.focus();
    for (let k = 0; k < 12; k++) await page.keyboard.press('Shift+ArrowUp');
    expect(glowsOf(await saved())[0].at!.y).to.equal(0);
  });

  it('is set with keys alone: the main light, a thing, its form, and whether it glows', async () => {
    /** Goes on from control to control until one has this name. */
    const tabTo = async (name: RegExp) => {
      for (let k = 0; k < 260; k++) {
        await page.keyboard.press('Tab');
        const own = await page.evaluate(() => {
          const element = document.activeElement!;
          return (element.getAttribute('aria-label') ?? element.textContent ?? '').trim();
        });
        if (name.test(own)) return;
      }
      throw new Error(`No control is called ${name}.`);
    };
    await page.getByTestId('sheet').focus();
    await tabTo(/^Soft, all round|^From/);
    await page.keyboard.press('ArrowRight');
    expect((await saved()).light.kind).to.equal('direction');
    await tabTo(/^Place of the light/);
    await page.keyboard.press('ArrowUp');
    expect((await saved()).light).to.include({ heightDegrees: 50 });
    await tabTo(/^Gulls/);
    await page.keyboard.press('Enter');
    await page.getByTestId('sheet').focus();
    await tabTo(/^Let Gulls glow/);
    await page.keyboard.press('Enter');
    expect((await thing('Gulls')).glow).to.not.equal(null);
    expect(await page.evaluate(() => document.activeElement!.getAttribute('aria-label'))).to.equal('Reach of Gulls');
    await tabTo(/^(raised|flat|ball|tube|cone|leaf|ring|cloth|hollow|faceted|cut dome|paler)/);
    await page.keyboard.press('ArrowRight');
    await page.getByText('form chosen', { exact: true }).waitFor();
  });
});
