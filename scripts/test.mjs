// The whole test run: journeys through the real interface beside the unit and server tests and then the gates.
// The last line is "N passed, N failed"; each gate counts as one.
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './build.mjs';
import { gates, run, runGate } from './gates.mjs';

const results = { passed: 0, failed: 0 };
mkdirSync('.cache', { recursive: true });

// Journeys take longest, and mostly wait: these are walked beside the others.
const beside = ['bench', 'demo', 'plan-a-page', 'sheet', 'tray'].map((name) => `e2e/${name}.test.ts`);

const [types, ...others] = gates;

await build();
const checks = (async () => {
  await mocha('unit and server tests', ['--spec', 'src/**/*.test.ts', '--timeout', '120000'], 'unit');
  await gate(types);
})();
const desk = mkdtempSync(join(tmpdir(), 'harmonie-'));
/** The desk that every journey begins with a copy of is laid out once, while the first unit tests run. */
const firstDesk = run(['node_modules/.bin/tsx', 'e2e/first-desk.ts', desk]).then(({ code, output }) => {
  if (code !== 0) console.log(`The desk that journeys begin with could not be laid out.\n${output.trimEnd()}`);
});
const walk = async (name, args, file) => {
  await firstDesk;
  await mocha(name, [...args, '--timeout', '300000'], file, { HARMONIE_FIRST_DESK: desk });
};
const alone = ['--spec', 'e2e/**/*.test.ts', ...beside.flatMap((file) => ['--ignore', file])];
await Promise.all([
  checks,
  walk('journeys', alone, 'journeys'),
  walk(
    'journeys beside',
    beside.flatMap((file) => ['--spec', file]),
    'journeys-beside',
  ).then(() => inTurn(others)),
]);

rmSync(desk, { recursive: true, force: true });
console.log(`${results.passed} passed, ${results.failed} failed`);
process.exit(results.failed === 0 && results.passed > 0 ? 0 : 1);

async function gate(which) {
  results[(await runGate(which)) ? 'passed' : 'failed']++;
}

async function inTurn(several) {
  for (const each of several) await gate(each);
}

/** Runs a Mocha suite, prints its report and adds its counts. A suite that dies or runs nothing counts as a failure. */
async function mocha(name, args, file, env = {}) {
  const report = `.cache/${file}.json`;
  rmSync(report, { force: true });
  const started = Date.now();
  const { code, output } = await run(
    ['node_modules/.bin/mocha', ...args, '--reporter', 'json', '--reporter-option', `output=${report}`],
    env,
  );
  const seconds = ((Date.now() - started) / 1000).toFixed(0);
  let stats;
  try {
    const read = JSON.parse(readFileSync(report, 'utf8'));
    stats = read.stats;
    for (const { fullTitle, err } of read.failures)
      console.log(`FAILED  ${fullTitle}\n        ${err.message}\n${err.stack ?? ''}`);
  } catch {
    console.log(output.trimEnd());
  }
  const dead = !stats || stats.tests === 0 || (code !== 0 && stats.failures === 0);
  results.passed += stats?.passes ?? 0;
  results.failed += (stats?.failures ?? 0) + (dead ? 1 : 0);
  console.log(
    `${dead || stats.failures ? 'FAILED' : 'passed'}  ${name}: ${stats?.passes ?? 0} of ${stats?.tests ?? 0} (${seconds} s)`,
  );
}
