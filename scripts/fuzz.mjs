// npm run fuzz -- --rounds N --seed N: nasty requests to a small shop, and what was wrong with the answers.
import { bundleForNode } from './build.mjs';
import { ensureInstalled, requireNode } from './prepare.mjs';
import { root } from './root.mjs';

requireNode();
ensureInstalled();
await bundleForNode({ 'testing/fuzz': 'server/testing/fuzzRun.ts' });
process.chdir(root);
await import('../dist/testing/fuzz.js');
