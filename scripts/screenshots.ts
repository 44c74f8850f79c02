/** Drives the demo through its stages and writes one picture of each main view: npm run screenshots */
import { mkdirSync } from 'node:fs';
import { BenchState } from '../src/contracts/index.ts';
import { goTo, nameFromKey, openFerrySteps, putInOrder, settle, takePalette } from '../e2e/stages.ts';
import { openBrowser, openDesk, openPage } from '../e2e/harness.ts';
import { build } from './build.mjs';

const FOLDER = process.env.SCREENSHOTS ?? 'docs/screenshots';
mkdirSync(FOLDER, { recursive: true });
await build();
const desk = await openDesk();
const browser = await openBrowser();
try {
  const { page, errors } = await openPage(browser, desk.url);
  const shoot = async (name: string) => {
    await settle(page);
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
  };
  await page.getByRole('img', { name: /The page/ }).waitFor();
  await shoot('shelf');
  await openFerrySteps(page);
  await nameFromKey(page);
  await page.mouse.click(480, 358);
  await shoot('sheet');
  await goTo(page, 'Tray');
  await page.getByRole('checkbox', { name: 'QS01 is here' }).waitFor();
  await shoot('tray');
  await goTo(page, 'Wheel');
  await takePalette(page);
  await shoot('wheel');
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
  await shoot('step');
  await page.getByRole('button', { name: 'Leave the table' }).click();
  await goTo(page, 'Record');
  await shoot('record');
  if (errors.length) throw new Error(`The pages reported errors: ${errors.join('; ')}`);
} finally {
  await browser.close();
  await desk.close();
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
