import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, type Page, chromium } from 'playwright-core';
import { findChromium } from '../scripts/chromium.mjs';
import { putHalfSheets } from '../src/server/test/half-sheets.ts';

/** A desk of its own for one journey: a server on a free port with a data folder of its own. */
export interface TestDesk {
  url: string;
  folder: string;
  /** Stops the server as a crash would. */
  kill(): Promise<void>;
  /** Starts it again on the same folder and port. */
  start(options?: string[]): Promise<void>;
  /** Both, one after the other. */
  restart(options?: string[]): Promise<void>;
  close(): Promise<void>;
}

/** A desk as its very first start leaves it, copied for every journey. The whole run makes it once and says where it is. */
let laidOut: Promise<string> | null = null;

async function firstDesk(): Promise<string> {
  const made = process.env.HARMONIE_FIRST_DESK ?? mkdtempSync(join(tmpdir(), 'harmonie-'));
  if (!process.env.HARMONIE_FIRST_DESK) {
    process.once('exit', () => rmSync(made, { recursive: true, force: true }));
    await makeFirstDesk(made);
  }
  process.env.HARMONIE_DEMO = join(made, DEMO);
  return join(made, DESK);
}

/** What lies in the folder of a first desk: the demo's sheets, and the desk that was laid out with them. */
const [DEMO, DESK] = ['sheets', 'desk'];

/** Starts the server where nothing was yet, with the demo's sheets at half of their resolution, and stops it in good order. */
export async function makeFirstDesk(folder: string): Promise<void> {
  process.env.HARMONIE_DEMO = join(folder, DEMO);
  await putHalfSheets(process.env.HARMONIE_DEMO);
  const { child } = await serve(join(folder, DESK), 0);
  await ended(child, 'SIGTERM');
}

/**
 * @param env settings by environment beside port and folder
 * @param asDrawn whether the demo's sheets are laid out anew, at their full resolution
 */
export async function openDesk({
  env = {},
  asDrawn = false,
}: { env?: Record<string, string>; asDrawn?: boolean } = {}): Promise<TestDesk> {
  const folder = mkdtempSync(join(tmpdir(), 'harmonie-'));
  if (!asDrawn) cpSync(await (laidOut ??= firstDesk()), folder, { recursive: true });
  let { child, port } = await serve(folder, 0, [], env);
  const kill = () => ended(child, 'SIGKILL');
  const start = async (options: string[] = []) => {
    ({ child, port } = await serve(folder, port, options, env));
  };
  return {
    url: `http://localhost:${port}`,
    folder,
    kill,
    start,
    async restart(options) {
      await kill();
      await start(options);
    },
    async close() {
      await ended(child, 'SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

function serve(
  folder: string,
  port: number,
  options: string[] = [],
  own: Record<string, string> = {},
): Promise<{ child: ChildProcess; port: number }> {
  const env = { ...process.env, PORT: String(port), HARMONIE_DATA: folder, ...own };
  const child = spawn(process.execPath, ['dist/server/main.js', ...options], {
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((resolve, reject) => {
    let output = '';
    const read = (data: Buffer) => {
      output += data;
      const ready = /ready at http:\/\/localhost:(\d+)/.exec(output);
      if (ready) resolve({ child, port: Number(ready[1]) });
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.on('exit', () => reject(new Error(`The server stopped: ${output}`)));
  });
}

function ended(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    child.once('exit', () => resolve());
    child.kill(signal);
  });
}

const FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export function openBrowser(): Promise<Browser> {
  return chromium.launch({ executablePath: findChromium(), args: FLAGS });
}

/** How long a journey waits for something to appear, ms. */
const PATIENCE = 100_000;
/** Between two looks, ms. */
const LOOK_AGAIN = 100;

/**
 * Looks again and again until what it sees is so; where it never is, says what was waited for and what was seen last.
 * @param look at the server or the screen
 */
export async function until<T>(
  what: string,
  look: () => Promise<T>,
  isSo: (seen: T) => boolean,
  againMs = LOOK_AGAIN,
): Promise<T> {
  const began = Date.now();
  for (;;) {
    const seen = await look();
    if (isSo(seen)) return seen;
    if (Date.now() - began > PATIENCE)
      throw new Error(`${what}: not so in ${PATIENCE / 1000} s, but ${JSON.stringify(seen)}.`);
    await new Promise((resolve) => setTimeout(resolve, againMs));
  }
}

/** A page of 1280 x 800 that fails the test on any error of its own. */
export async function openPage(browser: Browser, url: string): Promise<{ page: Page; errors: string[] }> {
  // Without motion: what moves is painted by the processor here, all the time that it is in view.
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  const page = await context.newPage();
  // Machines that run tests can be slow; nothing here is about speed.
  page.setDefaultTimeout(PATIENCE);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/status of 4\d\d/.test(message.text())) errors.push(message.text());
  });
  await page.goto(url);
  return { page, errors };
}
