// Runs the gates that need no tests: types, lint, borders between folders, format. Shared by check and test.
import { spawn } from 'node:child_process';

const bin = (name) => `node_modules/.bin/${name}`;

export const gates = [
  // The compiler that is written in Go: the other one, which some tools need, takes four times as long.
  { name: 'types', command: ['node', 'node_modules/typescript-native/bin/tsc', '-b'] },
  { name: 'lint', command: [bin('oxlint')] },
  {
    name: 'borders',
    command: [bin('depcruise'), '--config', '.dependency-cruiser.cjs', 'src', 'e2e', 'bench', 'scripts'],
  },
  { name: 'drawing', command: ['node', 'scripts/architecture.mjs', '--check'] },
  { name: 'format', command: [bin('prettier'), '--check', '--log-level', 'warn', '.'] },
];

/** Runs a command and resolves to its exit code and output. */
export function run([command, ...args], env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { env: { ...process.env, ...env } });
    let output = '';
    child.stdout.on('data', (data) => (output += data));
    child.stderr.on('data', (data) => (output += data));
    child.on('error', (error) => resolve({ code: 1, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** Runs one gate, prints how it went, and says whether it passed. */
export async function runGate({ name, command }) {
  const started = Date.now();
  const { code, output } = await run(command);
  const seconds = ((Date.now() - started) / 1000).toFixed(0);
  console.log(`${code === 0 ? 'passed' : 'FAILED'}  ${name} (${seconds} s)`);
  if (code !== 0) console.log(output.trimEnd());
  return code === 0;
}
