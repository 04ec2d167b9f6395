// Measures the code as it ships: the bench is bundled with the server's own settings. Run through a loader that keeps
// function names, the very common word took a fifth longer (14.4 and 11.8 ms),
// since every closure is then named anew when it is made.
import { spawnSync } from 'node:child_process';
import { bundleForNode } from './build.mjs';
import { ensureInstalled } from './prepare.mjs';
import { root } from './root.mjs';

ensureInstalled();
await bundleForNode({ 'bench/run': 'bench/run.ts', 'bench/busyDesk': 'bench/busyDesk.ts' });
const { status } = spawnSync(
  process.execPath,
  [
    '--expose-gc',
    '--max-old-space-size=16000',
    '--max-semi-space-size=64',
    'dist/bench/run.js',
    ...process.argv.slice(2),
  ],
  { cwd: root, stdio: 'inherit' },
);
process.exit(status ?? 1);
