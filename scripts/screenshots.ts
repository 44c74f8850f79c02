/** Drives the demo through its stages and writes one picture of each main view: npm run screenshots */
import { mkdirSync } from 'node:fs';
import sharp from 'sharp';
import { paperById } from '../src/core/laydown/index.ts';
import { DEMO_PAGES } from '../src/demo/index.ts';
import { BenchState } from '../src/contracts/index.ts';
import {
  goTo,
  nameFromKey,
  openFerrySteps,
  putInOrder,
  takePalette,
  untilColoured,
  untilPainted,
} from '../e2e/stages.ts';
import { openBrowser, openDesk, openPage } from '../e2e/harness.ts';
import { build } from './build.mjs';

const FOLDER = process.env.SCREENSHOTS ?? 'docs/screenshots';
mkdirSync(FOLDER, { recursive: true });
await build();
await pictureOfBooklet();
const desk = await openDesk({ asDrawn: true });
const browser = await openBrowser();
try {
  const { page, errors } = await openPage(browser, desk.url);
  const shoot = async (name: string) => {
    if ((await page.getByTestId('sheet').count()) > 0) await untilPainted(page);
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
  };
  await page
    .getByRole('img', { name: /The page/ })
    .first()
    .waitFor();
  await shoot('shelf');
  await page.getByRole('button', { name: 'Scan one' }).click();
  await page.getByRole('dialog').getByText('Middling').click();
  await page.getByRole('button', { name: 'Scan it' }).click();
  await page.getByRole('img', { name: /What came back/ }).waitFor();
  await shoot('scanner');
  await page.getByRole('button', { name: 'Put it away' }).click();
  await page.getByRole('button', { name: 'Snap one' }).click();
  await page.getByRole('button', { name: 'Photograph it' }).click();
  await page.getByRole('img', { name: /What came back/ }).waitFor();
  await page.getByRole('button', { name: 'Bring it in as a page' }).click();
  await page.getByText('Lay the page straight').waitFor();
  await shoot('straighten');
  await page.getByRole('button', { name: 'Put it away' }).click();
  await openFerrySteps(page);
  await page.getByRole('button', { name: /^Look at/ }).click();
  await page.getByRole('button', { name: 'Next' }).click();
  await shoot('gaps');
  await page.getByRole('button', { name: 'Leave all as they are' }).click();
  await page.getByRole('button', { name: 'Guess what belongs together' }).click();
  await page.getByText('What is the dark area?').waitFor();
  await page.keyboard.press('1');
  await page.getByText('1 asked').waitFor();
  await shoot('guesses');
  await page.getByRole('button', { name: 'Keep none' }).click();
  await nameFromKey(page);
  await page.mouse.click(480, 358);
  await shoot('sheet');
  await goTo(page, 'Tray');
  await page.getByRole('checkbox', { name: 'QS01 is here' }).waitFor();
  await page.getByRole('button', { name: /^Fit to \d+ swatches/ }).click();
  await page.getByText('180 pencils fitted').waitFor({ timeout: 120_000 });
  await page.getByText('are fitted to their swatches').waitFor({ state: 'detached' });
  await shoot('tray');
  await page.getByText('Trial patch', { exact: true }).click();
  for (const code of ['QS25', 'QS04', 'F-139']) {
    await page.getByRole('combobox', { name: /lay a pencil/ }).fill(code);
    await page
      .getByRole('option', { name: new RegExp(`^${code}`) })
      .first()
      .click();
  }
  await page.getByText(/fitted to swatches on this paper/).waitFor();
  await page.getByLabel('Name of the trial').fill('Dusk over yellow');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('region', { name: 'Kept trials' }).waitFor();
  await page.getByText('“Dusk over yellow” is kept.').waitFor({ state: 'detached' });
  await shoot('trial-patch');
  await page.getByText('Stand-ins', { exact: true }).click();
  await page.getByRole('button', { name: 'Look for them' }).click();
  await page.getByText(/have nothing near/).waitFor({ timeout: 60_000 });
  await shoot('stand-ins');
  await page.getByText('Laid out', { exact: true }).click();
  await page.getByRole('button', { name: 'Read one back' }).click();
  await page.getByRole('button', { name: 'Photograph it' }).click();
  const camera = page.getByRole('dialog', { name: 'Simulated camera' });
  await camera.getByRole('button', { name: /^On the table/ }).click();
  await page.getByRole('option', { name: /^Swatch card 1, as first laid/ }).click();
  await camera.getByRole('button', { name: 'Photograph it', exact: true }).click();
  await camera.getByRole('button', { name: 'Read it as a card' }).click();
  await page.getByText(/patches read/).waitFor();
  await shoot('swatch-card');
  await page.getByRole('button', { name: 'Put it away' }).click();
  await page.getByRole('button', { name: 'Look at QS32' }).click();
  await page.getByText('apart on average').waitFor();
  await shoot('pencil');
  await goTo(page, 'Wheel');
  await takePalette(page);
  await page.getByRole('list', { name: 'Findings' }).waitFor();
  await untilColoured(page, 0.05);
  await shoot('wheel');
  await page.getByRole('button', { name: 'Show all 4' }).click();
  await page
    .getByRole('button', { name: /^Hold .* against the page/ })
    .nth(1)
    .click();
  await page.getByRole('figure', { name: 'as it is planned' }).waitFor();
  await shoot('judge');
  await goTo(page, 'Light');
  await page.getByText('From a side').click();
  await shoot('light');
  await page.getByText('Soft, all round').click();
  await goTo(page, 'Layers');
  await page.getByRole('list', { name: 'Things and their layers' }).getByText('Brass bell').click();
  await shoot('layers');
  await goTo(page, 'Bench');
  await putInOrder(page);
  await shoot('bench');
  await page.getByRole('button', { name: /Sit down/ }).click();
  await page.getByText('step 1 of').waitFor();
  await workThrough(24);
  await page.reload();
  await page.getByText('step 25 of').waitFor();
  // Greys do not count as coloured, and after a reload the page is worked out anew.
  await shoot('step');
  await page.goto(`${desk.url}/sheets/ferry-steps-begun/record`);
  await page.getByRole('heading', { name: /^Sitting 3/ }).waitFor();
  await untilColoured(page, 0.05);
  await shoot('record');
  if (errors.length) throw new Error(`The pages reported errors: ${errors.join('; ')}`);
} finally {
  await browser.close();
  await desk.close();
}

/** The four sheets of the booklet side by side, on the papers that they are printed on. */
async function pictureOfBooklet(): Promise<void> {
  const [high, gap] = [760, 30];
  let left = gap;
  const laid = [];
  for (const { id, paper } of DEMO_PAGES) {
    const ground = { create: { width: 1, height: 1, channels: 3 as const, background: paperById(paper).tint } };
    const print = sharp(`src/demo/sheets/${id}.png`).resize({ height: high }).removeAlpha().toColourspace('srgb');
    const { data, info } = await print.png().toBuffer({ resolveWithObject: true });
    const sheet = sharp(ground).resize(info.width, info.height, { fit: 'fill' });
    const input = await sheet
      .composite([{ input: data, blend: 'multiply' }])
      .png()
      .toBuffer();
    laid.push({ input, left, top: gap });
    left += info.width + gap;
  }
  const desk = { create: { width: left, height: high + 2 * gap, channels: 3 as const, background: '#d3d2d0' } };
  const whole = await sharp(desk).composite(laid).png().toBuffer();
  await sharp(whole).resize({ width: 1600 }).png({ palette: true, colours: 64 }).toFile(`${FOLDER}/booklet.png`);
}

/** Logs the first steps of the order as done one May evening, each in about the time that was planned for it. */
async function workThrough(count: number): Promise<void> {
  const sheet = `${desk.url}/api/sheets/ferry-steps`;
  const { plan } = BenchState.parse(await (await fetch(`${sheet}/bench`)).json());
  let clock = Date.parse('2026-05-02T19:05:00Z');
  for (const [i, stepId] of plan!.order.slice(0, count).entries()) {
    const { minutes } = plan!.steps.find((step) => step.id === stepId)!;
    const startedAt = new Date(clock).toISOString();
    clock += (0.4 + minutes * (0.8 + 0.15 * (i % 4))) * 60_000;
    const entry = {
      id: `evening-${i}`,
      planId: plan!.id,
      stepId,
      kind: 'done',
      startedAt,
      finishedAt: new Date(clock).toISOString(),
    };
    await fetch(`${sheet}/log`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(entry),
    });
  }
}
