import axe from 'axe-core';
import { expect } from 'chai';
import { type Browser, type Page } from 'playwright-core';
import { type Settings } from '../src/contracts/index.ts';
import { BEGUN_SHEET } from '../src/demo/index.ts';
import { type TestDesk, openBrowser, openDesk, openPage, until } from './harness.ts';

const STAGES = ['sheet', 'wheel', 'light', 'layers', 'bench', 'record'].map(
  (stage) => `/sheets/${BEGUN_SHEET}/${stage}`,
);
const ROOMS = [
  '/sheets',
  '/settings',
  '/tray/demo-tray',
  '/tray/my-pencils',
  ...STAGES,
  `/sheets/${BEGUN_SHEET}/bench?sitting=1`,
];
const MODES = ['evening', 'day'] as const;
const LOOKS_AT_REST = 12;

/** What holds of every room alike, each loaded once. */
describe('every room', () => {
  let desk: TestDesk;
  let browser: Browser;
  let page: Page;
  before(async () => {
    [desk, browser] = await Promise.all([openDesk(), openBrowser()]);
    ({ page } = await openPage(browser, desk.url));
    await page.addInitScript(() => {
      const counted = window as { asked?: number };
      const send = Worker.prototype.postMessage as (this: Worker, ...all: unknown[]) => void;
      Worker.prototype.postMessage = function (this: Worker, ...all: unknown[]) {
        counted.asked = (counted.asked ?? 0) + 1;
        send.apply(this, all);
      };
    });
  });
  after(async () => {
    await browser?.close();
    await desk?.close();
  });

  for (const path of ROOMS) {
    describe(path, () => {
      before(async () => {
        await page.goto(desk.url + path);
        await page.waitForFunction(() => document.querySelector('h1') && !document.querySelector('[aria-busy="true"]'));
      });

      it('comes to rest: it asks for nothing more', async () => {
        // At rest is what asks for nothing over so many looks on end.
        let [before, still] = [-1, 0];
        await until(
          `${path} at rest`,
          async () => {
            const now = await page.evaluate(
              () => ((window as { asked?: number }).asked ?? 0) + performance.getEntriesByType('resource').length,
            );
            still = now === before ? still + 1 : 0;
            before = now;
            return still;
          },
          (looks) => looks >= LOOKS_AT_REST,
        );
      });

      it('is clean to axe, and as easy to read by evening as by day', async () => {
        for (const mode of MODES) {
          await show({ mode });
          // By day only the colours are others.
          const faults = await accessibilityFaults(mode === 'day' ? ['color-contrast'] : []);
          expect(faults, `by ${mode}`).to.equal('');
        }
      });

      it('has no ground, text or border with a colour of its own, by day or by evening', async () => {
        for (const mode of MODES) {
          await show({ mode });
          expect(await coloured(), `by ${mode}`).to.deep.equal([]);
        }
      });

      it('fits a small laptop, a tablet on its side and a phone, with text at 100% and at 150%', async () => {
        for (const [text, width, height] of [
          ['150', 1280, 800],
          ['100', 390, 800],
          ['100', 1024, 768],
          ['100', 1280, 800],
        ] as const) {
          await page.setViewportSize({ width, height });
          await show({ text });
          const says = `${width} px, text at ${text}%`;
          const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
          expect(beyond, says).to.be.at.most(0);
          if (!STAGES.includes(path)) continue;
          // What is long is scrolled within the desk, and the desk stays where it is.
          const below = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
          expect(below, says).to.be.at.most(0);
          expect((await page.getByTestId('sheet').boundingBox())!.width, says).to.be.above(text === '100' ? 100 : 60);
        }
      });
    });
  }

  it('is by evening and in large letters from its first moment where that was chosen in Settings', async () => {
    await page.goto(`${desk.url}/settings`);
    await page.getByRole('radio', { name: 'Evening' }).click();
    await page.getByRole('radio', { name: '150%' }).click();
    await until(
      'both are kept',
      async () => (await (await fetch(`${desk.url}/api/settings`)).json()) as Settings,
      ({ mode, text }) => mode === 'evening' && text === 150,
    );
    await page.goto(`${desk.url}/sheets`);
    await page.waitForFunction(() => {
      const { mode, text } = document.documentElement.dataset;
      return mode === 'evening' && text === '150';
    });
  });

  /** Shows the page as a setting would, once it is laid out. */
  async function show(setting: Record<string, string>): Promise<void> {
    await page.evaluate((wanted) => {
      Object.assign(document.documentElement.dataset, wanted);
      return new Promise((laidOut) => requestAnimationFrame(() => requestAnimationFrame(laidOut)));
    }, setting);
  }

  /** @param rules to look for; none: all */
  async function accessibilityFaults(rules: string[]): Promise<string> {
    await page.evaluate(axe.source);
    return page.evaluate(async (only) => {
      interface Axe {
        run(options: object): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
      }
      const { axe: here } = window as unknown as { axe: Axe };
      const wanted = only.length > 0 ? { runOnly: only } : {};
      const { violations } = await here.run({ ...wanted, resultTypes: ['violations'] });
      return violations
        .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`)
        .join('\n');
    }, rules);
  }

  /** What has a colour of its own: grounds, letters and borders, as far as nobody chose them. */
  function coloured(): Promise<string[]> {
    return page.evaluate(() => {
      const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!;
      return [...document.querySelectorAll('body *')].flatMap((element) => {
        const { color, backgroundColor, borderTopColor } = getComputedStyle(element);
        // Paper under a page on the shelf and pencils' own colours are the colourist's.
        if (element.getAttribute('style')?.includes('background')) return [];
        return [color, backgroundColor, borderTopColor].filter((colour) => {
          canvas.clearRect(0, 0, 1, 1);
          canvas.fillStyle = colour;
          canvas.fillRect(0, 0, 1, 1);
          const [r, g, b, a] = canvas.getImageData(0, 0, 1, 1).data;
          return a > 0 && Math.max(r, g, b) - Math.min(r, g, b) > 6;
        });
      });
    });
  }
});
