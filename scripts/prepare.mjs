// What every command needs first: a Node that is new enough, the packages, the build. No dependency of its own, so
// that it runs on a machine that has nothing but Node.js and npm.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { homedir, tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './root.mjs';

const hashOf = (text) => createHash('sha256').update(text).digest('hex');
const at = (...names) => join(root, ...names);

export function fail(sentence) {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  fail(`Clever Shelf needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

const sqlite = () => JSON.parse(readFileSync(at('package-lock.json'), 'utf8')).packages['node_modules/better-sqlite3'];
const prebuiltFolder = () => join(process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache'), 'clever-shelf', 'prebuilt');
const prebuiltName = () =>
  `better-sqlite3-v${sqlite().version}-node-v${process.versions.modules}-${process.platform}-${process.arch}.tar.gz`;

/** Keeps the compiled database module for the next clone: compiling it is most of an installation's time. */
function keepCompiled() {
  const compiled = at('node_modules', 'better-sqlite3', 'build', 'Release', 'better_sqlite3.node');
  const kept = join(prebuiltFolder(), prebuiltName());
  if (existsSync(kept) || !existsSync(compiled)) return;
  try {
    const stage = join(tmpdir(), `clever-shelf-${process.pid}`);
    mkdirSync(join(stage, 'build', 'Release'), { recursive: true });
    mkdirSync(prebuiltFolder(), { recursive: true });
    cpSync(compiled, join(stage, 'build', 'Release', 'better_sqlite3.node'));
    execFileSync('tar', ['-czf', kept, '-C', stage, 'build'], { stdio: 'ignore' });
    rmSync(stage, { recursive: true, force: true });
  } catch {
    // Only time is lost: the next installation compiles again.
  }
}

/** Installs the packages where the lock file has changed since they were installed. */
export function ensureInstalled() {
  const stamp = at('node_modules', '.installed-for');
  const wanted = hashOf(readFileSync(at('package-lock.json'), 'utf8'));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  process.stderr.write('Installing packages (the first time takes a few minutes) …\n');
  const env = { ...process.env, npm_config_better_sqlite3_local_prebuilds: prebuiltFolder() };
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    env,
    stdio: ['ignore', 2, 2],
  });
  if (status !== 0) fail('The packages could not be installed; see what npm said above.');
  writeFileSync(stamp, wanted);
  keepCompiled();
}

function fingerprint() {
  const parts = [];
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) walk(path);
      else if (!/\.test\.tsx?$/.test(entry.name))
        parts.push(`${path} ${statSync(path).size} ${statSync(path).mtimeMs}`);
    }
  };
  for (const folder of ['core', 'api', 'server', 'cli', 'web']) walk(at(folder));
  for (const file of [
    'package-lock.json',
    'vite.config.ts',
    'vite.embed.config.ts',
    'vite.loadedBy.ts',
    'scripts/build.mjs',
  ])
    parts.push(String(statSync(at(file)).mtimeMs));
  return hashOf(parts.join('\n'));
}

/** Builds the server and the interface where a source has changed since they were built. */
export async function ensureBuilt() {
  const stamp = at('dist', '.built-for');
  const wanted = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  process.stderr.write('Building …\n');
  const { build } = await import('./build.mjs');
  await build();
  writeFileSync(stamp, wanted);
}
