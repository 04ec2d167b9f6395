// npm run torture -- --rounds N --seed N: a real server killed at random moments, and what was wrong at the next start.
import { bundleForNode } from './build.mjs';
import { ensureBuilt, ensureInstalled, requireNode } from './prepare.mjs';
import { root } from './root.mjs';

requireNode();
ensureInstalled();
await ensureBuilt();
await bundleForNode({ 'testing/torture': 'server/testing/tortureRun.ts' });
process.chdir(root);
await import('../dist/testing/torture.js');
