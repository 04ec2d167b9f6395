// The engine at a terminal: npm run --silent shelf -- COMMAND
import { ensureBuilt, ensureInstalled, requireNode } from './prepare.mjs';

requireNode();
ensureInstalled();
await ensureBuilt();
await import('../dist/server/cli.js');
