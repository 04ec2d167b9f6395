// npm run lint: everything that reads the code without running it. `npm test` runs the same checks.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './root.mjs';

const folders = ['core', 'api', 'server', 'cli', 'web', 'client', 'demo', 'bench', 'e2e', 'scripts'];
const checks = [
  // Several checkers beside each other work out the same types once each: one takes two thirds of the time of four on two cores.
  ['types', 'tsc', '-b', '--checkers', '1'],
  ['style', 'biome', 'check', '--error-on-warnings', '.'],
  ['import boundaries', 'depcruise', '--config', '.dependency-cruiser.cjs', ...folders],
  ['folders of core one way', 'depcruise', '--config', '.dependency-cruiser.folders.cjs', 'core'],
  ['nothing unused', 'knip'],
];

/** Runs a command to its end and answers whether it succeeded and what it said. */
const outcomeOf = (command, args) =>
  new Promise((resolve) => {
    const child = spawn(join(root, 'node_modules', '.bin', command), args, { cwd: root });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
    child.on('error', (error) => resolve({ passed: false, said: `${error.message}\n` }));
    child.on('close', (status) => resolve({ passed: status === 0, said }));
  });

/** Runs all checks, two at a time; what a check that failed said is printed. Answers each with its name. */
export async function runChecks() {
  const results = [];
  const waiting = checks.entries();
  const work = async () => {
    for (const [at, [name, command, ...args]] of waiting) {
      const { passed, said } = await outcomeOf(command, args);
      if (!passed) process.stdout.write(said);
      results[at] = { name, passed };
    }
  };
  await Promise.all([work(), work()]);
  return results;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const results = await runChecks();
  for (const { name, passed } of results) console.log(`${passed ? 'ok' : 'FAILED'}: ${name}`);
  process.exitCode = results.every(({ passed }) => passed) ? 0 : 1;
}
