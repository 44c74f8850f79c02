import { type Page } from 'playwright-core';
import { SheetState } from '../src/contracts/index.ts';
import { until } from './harness.ts';

/** Moves that journeys and screenshots share, each as a person would make it. */

export async function openFerrySteps(page: Page): Promise<void> {
  await page.getByRole('link', { name: /The Ferry Steps$/ }).click();
  await page.getByText(/found,/).waitFor();
}

export async function nameFromKey(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Name things from the key' }).click();
  await page.getByRole('list', { name: 'Things' }).getByText('Brass bell').waitFor();
}

export async function goTo(page: Page, stage: string): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage, exact: true });
  await link.click();
  // The stage before it stays until this one is loaded.
  await link.and(page.locator('[aria-current="page"]')).waitFor();
}

/** Asks for palettes and takes the first. */
export async function takePalette(page: Page): Promise<void> {
  await page.getByRole('button', { name: /Propose/ }).click();
  const proposed = page.locator('ul[aria-label="Proposed palettes"][aria-busy="false"]');
  await proposed
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await page.getByRole('status').getByText('Saved').waitFor();
}

export async function putInOrder(page: Page): Promise<void> {
  await page.getByRole('button', { name: /in order/ }).click();
  await page.getByRole('button', { name: /Sit down|Go on/ }).waitFor();
}

/** Presses a key at the table as a press of its own: once the last one has been taken. */
export async function pressAtTable(page: Page, key: string): Promise<void> {
  await page.locator('[data-testid="step"]:not([data-taken])').waitFor();
  await page.keyboard.press(key);
}

/** Presses Space at the table twice with nothing between, as a finger that slips does. */
export async function pressTwiceAtOnce(page: Page): Promise<void> {
  await page.locator('[data-testid="step"]:not([data-taken])').waitFor();
  await page.evaluate(() => {
    for (let press = 0; press < 2; press++) {
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', code: 'Space', bubbles: true }));
    }
  });
}

/** Waits until something holds in the page, for so many frames on end that nothing can be about to begin. */
async function untilSteady(page: Page, what: string, holds: () => boolean, frames = STEADY_FRAMES): Promise<void> {
  const look = `(async () => {
    for (let frame = 0; frame < ${frames}; frame++) {
      await new Promise((next) => requestAnimationFrame(next));
      if (!(${holds.toString()})()) return false;
    }
    return true;
  })()`;
  await until(what, () => page.evaluate<boolean>(look), Boolean);
}
const STEADY_FRAMES = 4;

/** Waits until all that is shown of the sheet is worked out and painted. */
export function untilPainted(page: Page): Promise<void> {
  return untilSteady(
    page,
    'all painted',
    () => document.querySelector('[aria-busy="false"] > [data-testid="sheet"]') !== null,
  );
}

/** Share of the sheet's canvas that is coloured: pixels whose channels differ clearly. */
export function colouredShare(page: Page): Promise<number> {
  return page.getByTestId('sheet').evaluate((element) => {
    const canvas = element as HTMLCanvasElement;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
    let coloured = 0;
    for (let i = 0; i < data.length; i += 4) {
      if (Math.max(data[i], data[i + 1], data[i + 2]) - Math.min(data[i], data[i + 1], data[i + 2]) > 24) coloured++;
    }
    return (4 * coloured) / data.length;
  });
}

/** Waits until at least this share of the sheet is coloured, and painted as finely as it will be. */
export async function untilColoured(page: Page, least: number): Promise<void> {
  await until(
    `${least} of the sheet coloured`,
    () => paintedShare(page),
    (share) => share >= least,
    PICTURE_AGAIN,
  );
}

/** Waits until next to nothing of the sheet is coloured. */
export async function untilBare(page: Page): Promise<void> {
  await until(
    'a bare sheet',
    () => paintedShare(page),
    (share) => share < 0.01,
    PICTURE_AGAIN,
  );
}

/** A whole picture is read back no more often than this, ms: the machine has pages to paint. */
const PICTURE_AGAIN = 400;

async function paintedShare(page: Page): Promise<number> {
  await untilPainted(page);
  return colouredShare(page);
}

/** Waits until the desk says that all is saved. */
export function untilSaved(page: Page): Promise<void> {
  const saved = () => [...document.querySelectorAll('[role="status"]')].some((each) => each.textContent === 'Saved');
  return untilSteady(page, 'all saved', saved, 3 * STEADY_FRAMES);
}

/** A sheet as the server has it, once the desk says that all is saved. */
export async function savedSheet(page: Page, deskUrl: string, sheetId: string): Promise<SheetState> {
  await untilSaved(page);
  return SheetState.parse(await (await fetch(`${deskUrl}/api/sheets/${sheetId}`)).json());
}
