import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import type { Pencil } from '../src/contracts/index.ts';
import { deltaE2000, labOfHex } from '../src/core/colour/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';

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
      const tonesOfEach = () =>
        page.locator('li canvas').evaluateAll((canvases) =>
          (canvases as HTMLCanvasElement[]).slice(2, 12).map((canvas) => {
            const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
            const seen = new Set<number>();
            for (let i = 0; i < data.length; i += 4) seen.add((data[i] << 16) | (data[i + 1] << 8) | data[i + 2]);
            return seen.size;
          }),
        );
      await page.waitForFunction(() => document.querySelectorAll('li canvas').length >= 12);
      // They are painted as they come into view.
      await until('tones of each strip', tonesOfEach, (counts) => counts.every((count) => count > 60));
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

    it('lies in the order that is asked for: by hue, by value, by set', async () => {
      const codes = async () =>
        page
          .getByRole('checkbox', { name: /is here/ })
          .evaluateAll((boxes) => boxes.map((box) => box.getAttribute('aria-label')!.replace(' is here', '')));
      const pencils = new Map((await stored('demo-tray')).map((pencil) => [pencil.code, labOfHex(pencil.colour)]));
      await choose('Order', 'from dark to pale');
      const values = (await codes()).map((code) => pencils.get(code)![0]);
      expect(values).to.deep.equal([...values].sort((a, b) => a - b));
      await choose('Order', 'round the wheel');
      const chroma = (await codes()).map((code) => Math.hypot(pencils.get(code)![1], pencils.get(code)![2]));
      expect(Math.max(...chroma.slice(-8))).to.be.below(10);
      expect(Math.min(...chroma.slice(0, 8))).to.be.above(10);
      await choose('Order', 'in their own order');
      expect((await codes())[0]).to.equal('QS01');
    });

    it('finds pencils by a colour that is picked', async () => {
      await page.getByLabel('Look for a colour').fill('#2b6f4a');
      const near = page.getByRole('region', { name: 'What comes near' });
      await near.getByRole('listitem').first().waitFor();
      await near
        .getByText(/, (firm|burnish)$/)
        .first()
        .waitFor();
      await page.getByRole('button', { name: 'Put the colour away' }).click();
      await near.waitFor({ state: 'detached' });
    });

    it('finds pencils by a place on the wheel, and by a colour taken out of a photo', async () => {
      await choose('A place on the wheel', 'blue-green');
      await page.getByRole('heading', { name: /blue-green|green-blue|teal|blue/ }).waitFor();
      await page.getByRole('button', { name: 'Put the colour away' }).click();
      await page.getByRole('button', { name: 'from a photo' }).click();
      await page.getByRole('button', { name: 'Photograph it' }).click();
      const camera = page.getByRole('dialog', { name: 'Simulated camera' });
      await camera.getByRole('button', { name: /^On the table/ }).click();
      await page.getByRole('option', { name: /^Practice strip, F-133/ }).click();
      await camera.getByRole('button', { name: 'Photograph it', exact: true }).click();
      await camera.getByRole('button', { name: 'Take a colour from it' }).click({ timeout: 30_000 });
      const sample = page.getByRole('dialog', { name: 'A colour to look for' });
      await sample.getByRole('application').press('ArrowDown');
      await sample.getByRole('radio', { name: 'the colour' }).check();
      await sample.getByRole('application').press('ArrowRight');
      await sample.getByRole('button', { name: 'Take this colour' }).click();
      await page.getByRole('button', { name: 'Put the colour away' }).waitFor();
      await page.getByRole('region', { name: 'What comes near' }).getByRole('listitem').first().waitFor();
      await page.getByRole('button', { name: 'Put the colour away' }).click();
    });

    it('takes a colour that an instrument read, typed as three numbers, and nothing else', async () => {
      await page.getByRole('button', { name: 'from a photo' }).click();
      const sample = page.getByRole('dialog', { name: 'A colour to look for' });
      const typed = sample.getByLabel(/Or type L\* a\* b\*/);
      await typed.fill('62 18');
      expect(await sample.getByRole('button', { name: 'Take it' }).isDisabled()).to.equal(true);
      await typed.fill('162 18 -9');
      expect(await sample.getByRole('button', { name: 'Take it' }).isDisabled()).to.equal(true);
      await typed.fill('62 18 -9');
      await typed.press('Enter');
      await sample.waitFor({ state: 'detached' });
      await page.getByRole('button', { name: 'Put the colour away' }).click();
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
      await until('a strip on kraft', strip, (now) => now !== white);
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

  describe('the tray kept in order', () => {
    before(async () => {
      await page.goto(`${desk.url}/tray/demo-tray`);
      await page.getByRole('checkbox', { name: 'QS01 is here' }).waitFor();
    });

    it('changes what is known of a pencil, refuses nonsense, and takes the change back', async () => {
      await page.getByRole('button', { name: 'Look at QS31' }).click();
      const facts = page.getByRole('region', { name: 'About QS31' });
      await facts.getByRole('button', { name: 'Change what is known of it' }).click();
      const form = facts.getByRole('form', { name: 'Change QS31' });
      await form.getByLabel('Lead left, mm').fill('900');
      await form.getByRole('button', { name: 'Keep the change' }).click();
      await form.getByRole('alert').getByText('No lead is longer than 400 mm.').waitFor();
      await form.getByLabel('Lead left, mm').fill('74.5');
      await form.getByLabel('Your name for it').fill('bottle green');
      await form.getByRole('button', { name: 'Keep the change' }).click();
      await facts.getByRole('heading', { name: /“bottle green”/ }).waitFor();
      await facts.getByText('74.5 mm').waitFor();
      await page.getByRole('button', { name: 'Take it back' }).click();
      await facts.getByRole('heading', { name: /verdigris/ }).waitFor();
      await facts.getByRole('button', { name: 'Put QS31 back' }).click();
    });

    it('marks all that the search shows at once, and takes it back', async () => {
      await page.getByLabel('Search pencils').fill('rose');
      await page.getByText(/^These \d+$/).waitFor();
      const rose = await shown();
      await choose('All of these', 'are ordered');
      await page.getByText(`${rose} ordered`).waitFor();
      await page.getByRole('button', { name: 'Take it back' }).click();
      await page.getByText(`${rose} ordered`).waitFor({ state: 'detached' });
      await page.getByLabel('Search pencils').fill('');
    });

    it('is taken away as CSV and brought into another tray, telling what will happen first', async () => {
      const save = async (name: string) => {
        const [file] = await Promise.all([
          page.waitForEvent('download'),
          page.getByRole('button', { name, exact: true }).click(),
        ]);
        return file.path();
      };
      const csv = await save('CSV');
      const gpl = await save('GPL palette');
      await page.getByRole('link', { name: /My pencils/ }).click();
      await page.getByRole('heading', { name: 'My pencils' }).waitFor();
      await page.getByLabel('A list from a file').setInputFiles(csv);
      await page.getByText('1 lie in this tray already and stay as they are.').waitFor();
      await page.getByRole('button', { name: 'Put 179 pencils in this tray' }).click();
      await page.getByText('180 pencils: 180 here').waitFor();
      await page.getByLabel('A list from a file').setInputFiles(gpl);
      await page.getByRole('button', { name: /^Put \d+ pencils in this tray/ }).waitFor();
      await page.getByLabel('Or paste it.').fill('code,colour\nK1,#4c5a2e\nK2,mud');
      await page.getByText('The colour of K2 is "mud"').waitFor();
      await page.getByRole('button', { name: 'Put 1 pencil in this tray' }).waitFor();
    });

    it('takes a single pencil, refuses one without a code and one that is there already', async () => {
      await page.goto(`${desk.url}/tray/my-pencils`);
      await page.getByRole('button', { name: 'Add a single pencil' }).click();
      const form = page.getByRole('form', { name: 'Add a pencil' });
      await form.getByRole('button', { name: 'Put it in the tray' }).click();
      await form.getByText('A pencil needs a code.').waitFor();
      const put = async () => {
        await form.getByLabel('Code').fill('Z1');
        await form.getByLabel('Name').fill('harbour rust');
        await form.getByRole('button', { name: 'Put it in the tray' }).click();
      };
      await put();
      await page.getByRole('button', { name: 'Look at Z1' }).waitFor();
      await put();
      await page.getByText('Z1 lies in this tray already.').waitFor();
      const mine = await stored('my-pencils');
      expect(mine.filter(({ code }) => code === 'Z1').map(({ name, type }) => [name, type])).to.deep.equal([
        ['harbour rust', 'wax'],
      ]);
      await page.goto(`${desk.url}/tray/demo-tray`);
    });
  });

  describe('my pencils in five minutes', () => {
    it('a photographed chart fills a tray: laid straight, a grid over it, 36 codes in one line', async () => {
      await page.goto(`${desk.url}/tray/my-pencils`);
      const before = (await stored('my-pencils')).length;
      await page.getByRole('button', { name: 'Photograph a chart' }).click();
      const dialog = page.getByRole('dialog', { name: 'Simulated camera' });
      await dialog.getByRole('button', { name: /^On the table/ }).click();
      await page.getByRole('option', { name: /Swatch chart, Fenland Oil/ }).click();
      await dialog.getByRole('button', { name: 'Photograph it' }).click();
      await dialog.getByRole('button', { name: 'Read it as a chart' }).click();
      await page.getByRole('button', { name: 'Lay it straight' }).click();
      const chart = page.getByRole('dialog', { name: 'Read the chart' });
      await chart.getByRole('status').getByText('36 patches, 0 codes.').waitFor();
      await chart.getByLabel('Set').fill('My oil box');
      await chart.getByRole('button', { name: /^Type of all/ }).click();
      await page.getByRole('option', { name: /oil/ }).click();
      await chart.getByLabel(/^Codes/).fill('F-101 to F-135');
      expect(await chart.getByRole('button', { name: 'Put 36 pencils in this tray' }).isDisabled()).to.equal(true);
      await chart.getByLabel(/^Codes/).fill('F-101 to F-136');
      await chart.getByRole('button', { name: 'Put 36 pencils in this tray' }).click();
      await page.getByText('36 pencils lie in the tray, each read once.').waitFor();
      const mine = (await stored('my-pencils')).filter(({ set }) => set === 'My oil box');
      expect([mine.length, (await stored('my-pencils')).length]).to.deep.equal([36, before + 36]);
      const declared = new Map((await stored('demo-tray')).map(({ code, colour }) => [code, labOfHex(colour)]));
      const off = mine.map(({ code, colour }) => deltaE2000(labOfHex(colour), declared.get(code)!));
      expect(off.sort((a, b) => a - b)[18]).to.be.below(6);
      const swatches = (await (
        await fetch(`${desk.url}/api/trays/my-pencils/swatches/white-book`)
      ).json()) as unknown[];
      expect(swatches).to.have.length(36);
    });
  });

  describe('the tray as it really is', () => {
    before(async () => {
      await page.goto(`${desk.url}/tray/demo-tray`);
      await page.getByRole('checkbox', { name: 'QS01 is here' }).waitFor();
    });
    const sure = () => page.getByText('How sure these colours are').locator('..').locator('..');

    it('says that nothing was read where no swatch is, and how far off that may be', async () => {
      await choose('Paper', 'on brown kraft card');
      await sure()
        .getByText(/All are declared: no swatch has been read/)
        .waitFor();
    });

    it('fits the tray to its swatches, can be stopped, keeps what was found, and predictions come nearer', async () => {
      await choose('Paper', 'on smooth white book page');
      await page.getByRole('button', { name: 'Look at QS32' }).click();
      const facts = page.getByRole('region', { name: 'About QS32' });
      const apart = async () => {
        const text = await facts.getByText(/lie \d+\.\d apart on average/).innerText();
        return Number(/lie (\d+\.\d)/.exec(text)![1]);
      };
      const declared = await apart();
      await page.getByRole('button', { name: /^Fit to \d+ swatches/ }).click();
      await sure().getByRole('progressbar').waitFor();
      await sure().getByRole('button', { name: 'Stop' }).click();
      await page.getByRole('button', { name: /^Fit to \d+ swatches/ }).click();
      await page.getByRole('button', { name: /^Fit again/ }).waitFor({ timeout: 120_000 });
      await facts.getByText(/^Fitted: reading and prediction/).waitFor();
      const fitted = await apart();
      expect(declared).to.be.above(2.5);
      expect(fitted).to.be.below(1.5);
      await page.reload();
      await page.getByText('180 pencils fitted').waitFor();
    });

    it('and every stage foretells from what was found: all measured at the sheet, carried over to another paper', async () => {
      const tray = page.url();
      await page.goto(`${desk.url}/sheets/ferry-steps-begun/layers`);
      await page.getByText(/^all measured, colours about ±2/).waitFor();
      await page.goto(`${desk.url}/tray/demo-tray`);
      await page
        .getByRole('img', { name: /^fitted to swatches on this paper/ })
        .first()
        .waitFor();
      await choose('Paper', 'on lightly toothed cream sheet');
      await page
        .getByRole('img', { name: /^carried over from swatches on another paper/ })
        .first()
        .waitFor();
      await page.getByText(/Carried over from smooth white book page/).waitFor();
      await page.goto(tray);
    });

    it('says which leads will not last for the sheets planned, and gives the list to take along', async () => {
      const list = page.getByRole('list', { name: 'To buy' });
      await list.getByRole('listitem').first().waitFor();
      expect(await list.getByText(/is missing|will not last|will be too short to hold/).count()).to.be.above(0);
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Take the list away' }).click(),
      ]);
      expect(readFileSync(await file.path(), 'utf8')).to.match(/^set,code,name,why,takes mm,lead left mm,for/);
    });

    it('shows what comes near a pencil, in words, at another pressure and in another set', async () => {
      const near = page.getByRole('region', { name: 'What comes near' });
      await near.getByRole('listitem').first().waitFor();
      await near.getByRole('button', { name: /^Among/ }).click();
      await page.getByRole('option', { name: 'Fenland Oil' }).click();
      await near.getByRole('listitem').filter({ hasText: 'F-1' }).first().waitFor();
      await near
        .getByText(/covers (a little |much )?less/)
        .first()
        .waitFor();
      await near.getByRole('radio', { name: 'firm' }).click();
      await near.getByText('Nearer still, laid over each other').waitFor();
      await near
        .getByText(/% of the tooth left/)
        .first()
        .waitFor();
    });

    it('brings a pencil into view however far down the side table was read', async () => {
      await page.getByRole('complementary', { name: 'Trays' }).evaluate((side) => side.scrollTo(0, side.scrollHeight));
      await page.getByRole('button', { name: 'Look at QS05' }).click();
      const top = await page
        .getByRole('region', { name: 'About QS05' })
        .evaluate((facts) => facts.getBoundingClientRect().top);
      expect(top).to.be.within(0, 200);
      await page.getByRole('button', { name: 'Put QS05 back' }).click();
    });

    it('says what the tray lacks and has twice', async () => {
      await page.getByText('What this tray lacks').waitFor();
      await page.getByText(/\d+ pairs hardly differ/).waitFor();
      await page.getByText(/would help most/).waitFor();
    });

    it('stacks passes on a trial patch, warns, refuses pencil on wet paper, and takes it back', async () => {
      await page.getByText('Trial patch', { exact: true }).click();
      const finder = page.getByRole('combobox', { name: /lay a pencil/ });
      const lay = async (code: string) => {
        await finder.fill(code);
        await page
          .getByRole('option', { name: new RegExp(`^${code}`) })
          .first()
          .click();
      };
      const passes = page.getByRole('list', { name: 'Passes of the trial patch' }).getByRole('listitem');
      await lay('QS25');
      await passes
        .nth(0)
        .getByText(/dull blue|blue.*specks/)
        .waitFor();
      await page.getByText(/fitted to swatches on this paper/).waitFor();
      await page.getByRole('button', { name: /^Use something else/ }).click();
      await page.getByRole('option', { name: /^solvent/ }).click();
      await passes
        .nth(1)
        .getByText(/Open window, cap on, no flame/)
        .waitFor();
      await lay('QS04');
      await page
        .getByRole('alert')
        .getByText(/still wet; let it dry/)
        .waitFor();
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
      await page.getByRole('alert').waitFor({ state: 'detached' });
      expect(await passes.count()).to.equal(2);
      await page.getByRole('button', { name: 'New paper' }).click();
      await page.getByText('Nothing is laid yet.').waitFor();
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
      expect(await passes.count()).to.equal(2);
    });

    it('keeps a trial, holds it against what came out in a photo, and learns of the hand from it', async () => {
      await page.getByRole('button', { name: 'New paper' }).click();
      for (const code of ['QS25', 'QS04']) {
        await page.getByRole('combobox', { name: /lay a pencil/ }).fill(code);
        await page
          .getByRole('option', { name: new RegExp(`^${code}`) })
          .first()
          .click();
      }
      await page.getByLabel('Name of the trial').fill('Blue under yellow');
      await page.getByRole('button', { name: 'Keep', exact: true }).click();
      const kept = page.getByRole('region', { name: 'Kept trials' });
      await kept.getByText(/not yet held against what came out/).waitFor();
      await kept.getByRole('button', { name: 'What came out of Blue under yellow' }).click();
      await page.getByRole('button', { name: 'Photograph it' }).click();
      const camera = page.getByRole('dialog', { name: 'Simulated camera' });
      await camera.getByRole('button', { name: /^On the table/ }).click();
      await page.getByRole('option', { name: /^Trial, Blue under yellow/ }).click();
      await camera.getByRole('button', { name: 'Photograph it', exact: true }).click();
      await camera.getByRole('button', { name: 'Take a colour from it' }).click({ timeout: 30_000 });
      await page.getByRole('application', { name: /arrow keys move the mark on bare paper/ }).press('ArrowRight');
      await page.getByText(/green/).first().waitFor();
      await page.getByRole('button', { name: 'Take this colour' }).click();
      const apart = async () =>
        Number(/([\d.]+) apart/.exec(await kept.getByText(/as it came out at the right/).innerText())![1]);
      await kept.getByText(/as it came out at the right/).waitFor();
      const before = await apart();
      await kept.getByRole('button', { name: /^Learn from Blue under yellow/ }).click();
      await page.getByRole('option', { name: /^my hand/ }).click();
      await kept.getByText(/it taught your hand/).waitFor();
      await page.getByText(/light as trials taught since/).waitFor();
      expect(await apart()).to.be.at.most(before);
      await kept.getByRole('button', { name: 'Put Blue under yellow away' }).click();
      await kept.waitFor({ state: 'detached' });
      await page.getByRole('button', { name: 'Bring it back' }).click();
      await kept.getByText(/it taught your hand/).waitFor();
    });

    it('finds stand-ins for a whole set, and gives them as CSV', async () => {
      await page.getByText('Stand-ins', { exact: true }).click();
      await choose('Pencils of', 'Brook Wash');
      await choose('Stand-ins in', 'Quayside Soft');
      await page.getByRole('button', { name: 'Look for them' }).click();
      await page.getByText(/of 24 have nothing near/).waitFor({ timeout: 60_000 });
      expect(await page.getByRole('region', { name: 'Pencils' }).locator('tbody tr').count()).to.equal(24);
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Save as CSV' }).click(),
      ]);
      expect(file.suggestedFilename()).to.equal('Brook Wash in Quayside Soft.csv');
      const chunks: Buffer[] = [];
      for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
      const lines = Buffer.concat(chunks).toString('utf8').trim().split(/\r?\n/);
      expect(lines).to.have.length(25);
      expect(lines[0]).to.contain('stand-in');
      expect(lines.join('\n')).to.match(/covers (a little |much )?more/);
    });
  });
});
