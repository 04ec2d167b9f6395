// npm test: types, lint with the import boundaries, unit tests, then the real interface in Chromium.
// Its last line is "N passed, N failed", counting every check and every test.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runChecks } from './lint.mjs';
import { ensureBuilt, ensureInstalled, requireNode } from './prepare.mjs';
import { root } from './root.mjs';

/** Debian's Chromium, the one without a window of its own first, as server/testing/chromium.ts takes it. */
const chromiums = ['chromium-headless-shell', 'chromium'];
const hasChromium = () => chromiums.some((name) => existsSync(`/usr/bin/${name}`));
/** Tests of the real interface that may need a second try in one run; more are a fault. */
const mostFlaky = 2;
const tally = { passed: 0, failed: 0 };
const began = Date.now();

function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return status === 0;
}

/**
 * Begins to install Chromium where it is missing, and resolves when that has ended: it comes from Debian's packages, the
 * tests cannot bring their own. The packages of the application come meanwhile, which leaves a core and the disk time.
 */
async function installChromium() {
  if (hasChromium()) return;
  if (process.getuid?.() !== 0) {
    console.log('Chromium is not installed. As root: apt-get update && apt-get install chromium-headless-shell');
    return;
  }
  console.log('Installing Chromium from Debian …');
  // A Debian that does not have the first has the other.
  const install = chromiums.map((name) => `apt-get install -y -qq --no-install-recommends ${name}`).join(' || ');
  const child = spawn('sh', ['-c', `apt-get update -qq && { ${install}; }`], {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  await new Promise((resolve) => child.on('close', resolve).on('error', resolve));
}

/** Runs a test runner that writes a JSON report, and adds its tests to the tally. */
function suite(name, args, count, env) {
  const folder = mkdtempSync(join(tmpdir(), 'clever-shelf-tests-'));
  const report = join(folder, 'report.json');
  const passed = run(process.execPath, args(report), env(report));
  let counted = { passed: 0, failed: 0 };
  try {
    counted = count(JSON.parse(readFileSync(report, 'utf8')));
  } catch {
    console.log(`FAILED: ${name} wrote no report`);
  }
  rmSync(folder, { recursive: true, force: true });
  tally.passed += counted.passed;
  tally.failed += counted.failed;
  // A runner that fails without a failed test (a file that does not load) must not pass unseen.
  if (!passed && counted.failed === 0) tally.failed++;
  console.log(`${passed ? 'ok' : 'FAILED'}: ${name}, ${counted.passed} passed, ${counted.failed} failed`);
}

requireNode();
const chromiumIsThere = installChromium();
ensureInstalled();
// Building keeps one core busy, and so do the checks towards their end.
const [checks] = await Promise.all([runChecks(), ensureBuilt()]);
for (const { name, passed } of checks) {
  console.log(`${passed ? 'ok' : 'FAILED'}: ${name}`);
  tally[passed ? 'passed' : 'failed']++;
}
suite(
  'unit tests',
  (report) => [
    '--import',
    './scripts/jest/bare.mjs',
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${report}`,
  ],
  (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }),
  () => ({}),
);
await chromiumIsThere;
if (hasChromium()) {
  suite(
    'the real interface',
    () => ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts'],
    ({ stats }) => {
      if (stats.flaky > 0) console.log(`Passed only the second time (named above as flaky): ${stats.flaky}`);
      const tooMany = stats.flaky > mostFlaky ? stats.flaky : 0;
      return { passed: stats.expected + stats.flaky - tooMany, failed: stats.unexpected + tooMany };
    },
    (report) => ({ PLAYWRIGHT_JSON_OUTPUT_NAME: report }),
  );
} else {
  console.log('FAILED: the real interface needs Chromium');
  tally.failed++;
}
console.log(`All of it took ${((Date.now() - began) / 60_000).toFixed(1)} minutes.`);
console.log(`${tally.passed} passed, ${tally.failed} failed`);
process.exitCode = tally.failed > 0 ? 1 : 0;
