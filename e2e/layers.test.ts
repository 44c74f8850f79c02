import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import sharp from 'sharp';
import { type Plan } from '../src/contracts/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';
import { goTo, savedSheet, takePalette, untilBare, untilColoured } from './stages.ts';
import { glowsOf, thingsOf } from '../src/plan/index.ts';

/** The sheets of the booklet that want an effect of their own, and layers that are changed by hand. */
describe('layers of a sheet', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  let sheetId = '';
  before(async () => {
    desk = await openDesk();
    browser = await openBrowser();
    ({ page } = await openPage(browser, desk.url));
    page.setDefaultTimeout(80_000);
  });
  after(async () => {
    await browser.close();
    await desk.close();
  });

  const plan = async (): Promise<Plan> => (await savedSheet(page, desk.url, sheetId)).plan;
  const called = (own: Plan, name: string) => thingsOf(own).find((thing) => thing.name === name)!;
  const choose = (name: string) =>
    page
      .getByRole('list', { name: /^(Things and their layers|Forms of things)$/ })
      .getByText(name, { exact: true })
      .click();
  const layersOf = (name: string) => page.getByRole('list', { name: `Layers of ${name}` }).getByRole('listitem');
  const effectOf = (name: string) => page.getByRole('button', { name: new RegExp(`^Effect of ${name}: `) }).innerText();
  /** From the shelf to a sheet whose things are named and have families. */
  async function withPalette(id: string, thing: string): Promise<void> {
    sheetId = id;
    await page.goto(`${desk.url}/sheets/${id}/sheet`);
    await page.getByText(/found,/).waitFor();
    await page.getByRole('button', { name: 'Name things from the key' }).click();
    await page.getByRole('list', { name: 'Things' }).getByText(thing, { exact: true }).waitFor();
    await goTo(page, 'Wheel');
    await takePalette(page);
  }
  describe('a glow and a backlit subject: the hare under the lamp', () => {
    it('a lamp that glows makes rings of the night sky, equally wide, and says how wide', async () => {
      await withPalette('marsh-hare', 'Lamp globe');
      await goTo(page, 'Light');
      await choose('Lamp globe');
      await page.getByRole('button', { name: 'Let Lamp globe glow' }).click();
      const reach = page.getByRole('slider', { name: 'Reach of Lamp globe' });
      await reach.fill('60');
      await reach.press('ArrowRight');
      await page.getByText('From behind').click();
      expect(glowsOf(await plan())[0]).to.include({ reachMm: 61 });
      await page.getByRole('button', { name: /^Colour of the light of Lamp globe/ }).click();
      await page.getByRole('option', { name: /^light as QS06/ }).click();
      expect(glowsOf(await plan())[0].pencil).to.match(/qs06/);
      await goTo(page, 'Layers');
      await choose('Night sky');
      expect(await effectOf('Night sky')).to.match(/(warm|cool) glow/);
      await page
        .getByText(/^Each ring is [\d.]+ mm wide/)
        .first()
        .waitFor();
      await layersOf('Night sky').getByText('round the light', { exact: false }).first().waitFor();
      const which = page.getByRole('button', { name: /^Which rings of a glow of Night sky: / });
      const other = (await which.innerText()).includes('warm') ? 'cool' : 'warm';
      await which.click();
      await page.getByRole('option', { name: new RegExp(`^${other}`) }).click();
      expect(called(await plan(), 'Night sky').effect).to.equal(`${other}-glow`);
      await page.getByRole('button', { name: /^Undo/ }).click();
      expect(called(await plan(), 'Night sky').effect).to.equal(null);
    });

    it('the hare keeps its fur and turns over: what was shadow is the pale rim', async () => {
      await choose('Hare body');
      expect(await effectOf('Hare body')).to.contain('fur');
      await choose('Mooring post');
      await layersOf('Mooring post').first().waitFor();
      await choose('Moth bodies');
      expect(await effectOf('Moth bodies')).to.contain('backlit subject');
      await layersOf('Moth bodies').getByText('Smaller than the last layer', { exact: false }).first().waitFor();
    });
  });

  describe('metal: the tide clock', () => {
    it('brass, copper and steel are ladders with hard edges, stones are cut or domed, pearls are pale', async () => {
      await withPalette('tide-clock', 'Brass wheels');
      await goTo(page, 'Layers');
      for (const [name, effect] of [
        ['Dial rim', 'polished metal'],
        ['Cut stones', 'cut gem'],
        ['Cabochons', 'domed gem'],
        ['Pearls', 'pearl'],
      ]) {
        await choose(name);
        expect(await effectOf(name), name).to.contain(effect);
        await layersOf(name).first().waitFor();
      }
    });

    it('at Light pearls have highlights in mm with a hard edge; gold shines polished, and beaten where that is chosen', async () => {
      // The pearls are still chosen.
      await goTo(page, 'Light');
      await page.getByText(/highlights, .* mm wide, with a hard edge: no layer enters/).waitFor();
      await choose('Dial rim');
      await page.getByText(/^Shines polished/).waitFor();
      await goTo(page, 'Layers');
      await page.getByRole('button', { name: /^Effect of Dial rim: / }).click();
      await page.getByRole('option', { name: /^hammered metal/ }).click();
      await goTo(page, 'Light');
      await page.getByText(/^Shines hammered/).waitFor();
      await goTo(page, 'Layers');
    });

    it('a metal that is made smooth is found out, and put right by one press', async () => {
      await choose('Columns');
      await page.getByRole('button', { name: /^Effect of Columns: / }).click();
      await page.getByRole('option', { name: /^polished metal/ }).click();
      await layersOf('Columns').nth(3).waitFor();
      const count = await layersOf('Columns').count();
      for (let k = 1; k <= count; k++) {
        await page.getByRole('button', { name: `Change layer ${k}` }).click();
        await page.getByRole('spinbutton', { name: `Softness of layer ${k}` }).fill('3');
        await page.getByRole('spinbutton', { name: `Softness of layer ${k}` }).press('Tab');
        await page.getByRole('button', { name: `Change layer ${k}` }).click();
      }
      const finding = page.getByText('The metal is too smooth.');
      await finding.waitFor();
      await page.getByRole('button', { name: 'Do it: Draw the edges of its layers hard, with a sharp point.' }).click();
      await finding.waitFor({ state: 'detached' });
      const own = await plan();
      for (const edit of Object.values(called(own, 'Columns').edits!.layers!)) expect(edit.softnessMm).to.equal(0.1);
    });
  });

  describe('layers changed by hand', () => {
    it('are moved by keys and by a button, and say at once what comes of it', async () => {
      await choose('Enamel tiles');
      const before = await layersOf('Enamel tiles').count();
      await page.getByRole('button', { name: 'Change layer 1' }).click();
      await page.getByTestId('rulers').waitFor();
      const first = await layersOf('Enamel tiles').nth(0).innerText();
      await page.getByRole('button', { name: 'Lay layer 1 later' }).click();
      await page.getByText(/It leaves \d+% of the tooth/).waitFor();
      expect((await layersOf('Enamel tiles').nth(1).innerText()).split('\n').at(1)).to.equal(first.split('\n').at(1));
      // Its sliders are open: a tall row comes above a short one by a key.
      await page.getByRole('button', { name: 'Move layer 2 earlier or later' }).focus();
      // What is read aloud tells when the list has taken each key.
      const aloud = async () => (await page.locator('[aria-live=assertive]').allInnerTexts()).join();
      await page.keyboard.press('Space');
      const lifted = await until('lifted', aloud, (said) => said.includes('was moved over droppable area'));
      const movedUp = async () => {
        await page.keyboard.press('ArrowUp');
        return aloud();
      };
      await until('moved', movedUp, (said) => said !== lifted);
      await page.keyboard.press('Space');
      const own = await plan();
      expect(called(own, 'Enamel tiles').edits!.order).to.have.length(before);
      expect((await layersOf('Enamel tiles').nth(0).innerText()).split('\n').at(1)).to.equal(first.split('\n').at(1));
    });

    it('are added, changed in every part, left out, and go back by undo', async () => {
      const count = await layersOf('Enamel tiles').count();
      await page.getByRole('button', { name: 'Add a layer' }).click();
      const last = count + 1;
      await page.getByRole('button', { name: `Pressure of layer ${last}` }).click();
      await page.getByRole('option', { name: 'whisper', exact: true }).click();
      await page.getByRole('button', { name: `Stroke of layer ${last}` }).click();
      await page.getByRole('option', { name: 'stippling' }).click();
      await page.getByRole('button', { name: `Direction of layer ${last}` }).click();
      await page.getByRole('option', { name: 'upright' }).click();
      const to = page.getByRole('slider', { name: `Where layer ${last} ends` });
      await to.press('ArrowRight');
      await page.getByRole('slider', { name: `Where layer ${last} begins` }).press('ArrowRight');
      const own = await plan();
      const { added, layers } = called(own, 'Enamel tiles').edits!;
      expect(added).to.have.length(1);
      expect(layers![added![0].id]).to.include({
        pressure: 'whisper',
        stroke: 'stippling',
        direction: 'upright',
        from: 0.01,
        to: 0.51,
      });
      await page.getByRole('button', { name: `Leave layer ${last} out` }).click();
      expect(await layersOf('Enamel tiles').count()).to.equal(count);
      await page.getByRole('button', { name: /^Undo/ }).click();
      await plan();
      expect(await layersOf('Enamel tiles').count()).to.equal(count + 1);
    });

    it('are laid with what is no pencil too: a mask first and taken off later, solvent that is let dry', async () => {
      const count = await layersOf('Enamel tiles').count();
      const add = async (what: RegExp) => {
        await page.getByRole('button', { name: 'Add a pen or tool to Enamel tiles' }).click();
        await page.getByRole('menuitem', { name: what }).click();
      };
      await add(/^mask Lay/);
      await layersOf('Enamel tiles').first().getByText('mask', { exact: true }).waitFor();
      await layersOf('Enamel tiles').getByText('mask taken off').first().waitFor();
      expect(await layersOf('Enamel tiles').count()).to.equal(count + 2);
      const masked = called(await plan(), 'Enamel tiles').edits!;
      expect(masked.added!.filter(({ tool }) => tool).map(({ tool }) => tool)).to.deep.equal(['mask', 'mask-off']);
      await page.getByRole('button', { name: /^Undo/ }).click();
      await until(
        'the mask is gone',
        () => layersOf('Enamel tiles').count(),
        (now) => now === count,
      );
      await page.getByRole('button', { name: 'Change layer 2' }).click();
      await page.getByRole('button', { name: 'Tool of layer 2' }).click();
      await page.getByRole('option', { name: /^solvent/ }).click();
      await layersOf('Enamel tiles').nth(1).getByText('dries 20 min').waitFor();
      await layersOf('Enamel tiles')
        .nth(1)
        .getByText(/no flame/)
        .waitFor();
      expect(await page.getByText(/cannot be worked out/).count()).to.equal(0);
      await add(/^opaque pen/);
      const last = layersOf('Enamel tiles').last();
      await last.getByText('opaque pen').first().waitFor();
      await page.getByRole('button', { name: 'opaque white pen for layer' }).first().waitFor({ state: 'attached' });
      for (let change = 0; change < 2; change++) {
        await page.getByRole('button', { name: /^Undo/ }).click();
        await plan();
      }
      await until(
        'as before',
        () => layersOf('Enamel tiles').count(),
        (now) => now === count,
      );
    });

    it('are shown where they lie, with rulers, and print as a guide at true scale', async () => {
      await page.getByRole('button', { name: 'Change layer 2' }).click();
      await page.getByRole('button', { name: 'Print where it goes' }).waitFor();
      await page.emulateMedia({ media: 'print' });
      const guide = page.getByTestId('zone-guide');
      expect(await guide.isVisible()).to.equal(true);
      const words = await guide.innerText();
      expect(words).to.contain('Enamel tiles, layer 2').and.to.match(/scale/);
      const wide = (await guide.locator('canvas').boundingBox())!.width;
      expect(wide).to.be.within(60, 720);
      await page.emulateMedia({ media: null });
      await page.getByRole('button', { name: 'Change layer 2' }).click();
      await page.getByRole('button', { name: 'Print these layers' }).waitFor();
      const count = await layersOf('Enamel tiles').count();
      await page.emulateMedia({ media: 'print' });
      expect(await page.getByTestId('recipe-sheet').getByRole('listitem').count()).to.equal(count);
      await page.emulateMedia({ media: null });
    });

    it('are kept as a card, laid on another thing in its own pencils, saved as a file and brought in again', async () => {
      await page.getByRole('textbox', { name: 'Name of this recipe' }).fill('Tiles by hand');
      await page.getByRole('button', { name: 'Keep it' }).click();
      const cards = page.getByRole('list', { name: 'Recipe cards' });
      await cards.getByText('Tiles by hand').waitFor();
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Tiles by hand as JSON' }).click(),
      ]);
      const path = await file.path();
      await choose('Tile fish');
      await page.getByRole('button', { name: 'Lay Tile fish by Tiles by hand' }).click();
      const own = await until('Tile fish laid by the card', plan, (now) => called(now, 'Tile fish').edits !== null);
      const [from, to] = ['Enamel tiles', 'Tile fish'].map((name) => called(own, name).edits!);
      expect(to.order).to.deep.equal(from.order);
      expect(to.added!.map(({ id }) => id)).to.deep.equal(from.added!.map(({ id }) => id));
      const pencils = new Set(Object.values(called(own, 'Tile fish').family!.pencils));
      for (const { pencil } of to.added!) expect(pencils.has(pencil)).to.equal(true);
      await page.getByRole('button', { name: 'Put Tiles by hand away' }).click();
      await cards.getByText('Tiles by hand').waitFor({ state: 'detached' });
      await page.getByLabel('Bring a recipe in: JSON').setInputFiles(path);
      await cards.getByText('Tiles by hand').waitFor();
      await page
        .getByLabel('Bring a recipe in: JSON')
        .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"kind":1}') });
      await page.getByText(/This JSON file is no recipe/).waitFor();
    });
  });

  describe('toned paper: the kite loft', () => {
    it('highlights are laid in white pencil, and a piece is enlarged at its real grain', async () => {
      await withPalette('kite-loft', 'Shears');
      await goTo(page, 'Layers');
      await choose('Paper tub');
      await layersOf('Paper tub').getByText('White for the highlight', { exact: false }).waitFor();
      await page.getByRole('button', { name: 'Enlarge' }).click();
      await page.getByRole('figure', { name: 'Enlarged' }).getByText('grain as it is', { exact: false }).waitFor();
      await page.getByRole('button', { name: 'Close the enlarged piece' }).click();
    });

    it('the page is seen before anything was laid, and after', async () => {
      const before = page.getByRole('button', { name: 'Before', exact: true });
      await untilColoured(page, 0.02);
      await before.click();
      await page.getByText('before', { exact: true }).waitFor();
      await untilBare(page);
      await before.click();
      await untilColoured(page, 0.02);
    });

    it('the page is saved as a picture at its true size, which says so', async () => {
      await page.locator('#the-sheet').press('Escape');
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'PNG, 150 dpi' }).click(),
      ]);
      const { widthMm, heightMm } = (await plan()).page;
      const { density, width, height } = await sharp(await file.path()).metadata();
      expect(density).to.equal(150);
      expect(width! / height!).to.be.closeTo(widthMm / heightMm, 0.01);
      expect(width).to.be.closeTo((widthMm / 25.4) * 150, 2);
    });
  });
});
