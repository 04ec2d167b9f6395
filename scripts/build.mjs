// Builds the server, its workers and the terminal command with esbuild, and the interface with Vite, into dist/.
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { root } from './root.mjs';

/**
 * Packages that find files of their own beside them, compiled ones above all. All others are bundled: to find and read their
 * hundreds of files is a third of what a start costs, or a command at the terminal.
 */
const readWhereTheyAre = ['better-sqlite3', 'sharp', 'piscina', 'pino', 'word-list'];

/** Bundles entry points, a source file each by where it goes in dist/, for Node.js. */
export async function bundleForNode(entryPoints) {
  const { build: bundle } = await import('esbuild');
  await bundle({
    absWorkingDir: root,
    entryPoints,
    outdir: 'dist',
    chunkNames: 'server/chunk-[hash]',
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: readWhereTheyAre,
    // As this package is by itself it reads a file beside it.
    alias: { 'css-tree': 'css-tree/dist/csstree.esm' },
    // Older packages ask for what Node.js itself has by a function that modules do not have.
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
    sourcemap: true,
    logLevel: 'warning',
  });
}

/** The words of each language, packed: made anew where their packages or the way of packing are others. */
async function writeWordLists() {
  const made = join(root, 'dist', 'words', 'made');
  const code = join(root, 'dist', 'server', 'writeWordLists.js');
  const hash = createHash('sha256');
  for (const path of [join(root, 'package-lock.json'), code]) hash.update(readFileSync(path));
  const version = hash.digest('hex');
  if (existsSync(made) && readFileSync(made, 'utf8') === version) return;
  const { writeWordLists: write } = await import(pathToFileURL(code).href);
  write();
  writeFileSync(made, version);
}

/** Beside each script and style sheet of a folder the same pressed: they are sent often, and made once. */
function pressIn(folder, quality) {
  for (const name of readdirSync(folder, { recursive: true })) {
    if (!/\.(js|css)$/.test(name)) continue;
    const path = join(folder, name);
    const text = readFileSync(path);
    writeFileSync(`${path}.br`, brotliCompressSync(text, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }));
    writeFileSync(`${path}.gz`, gzipSync(text, { level: 9 }));
  }
}

/** The package for programs that ask a shop: one script, its types, what it is. */
async function packClient() {
  const { build: bundle } = await import('esbuild');
  const [from, to] = ['client', 'dist/client'].map((folder) => join(root, folder));
  await bundle({
    absWorkingDir: root,
    entryPoints: ['client/index.ts'],
    outdir: 'dist/client',
    bundle: true,
    platform: 'neutral',
    format: 'esm',
    target: 'es2022',
    logLevel: 'warning',
  });
  for (const name of ['package.json', 'README.md']) copyFileSync(join(from, name), join(to, name));
  for (const name of ['types', 'answers']) {
    const types = readFileSync(join(from, `${name}.ts`), 'utf8').replaceAll(".ts';", ".js';");
    writeFileSync(join(to, `${name}.d.ts`), types);
  }
  writeFileSync(
    join(to, 'index.d.ts'),
    [
      "import type { OpenShop, Refusal } from './types.js';",
      "export type * from './types.js';",
      'export declare const openShop: OpenShop;',
      'export declare const isRefusal: (error: unknown) => error is Refusal;',
      '',
    ].join('\n'),
  );
}

export async function build() {
  await bundleForNode({
    'server/main': 'server/main.ts',
    'server/importWorker': 'server/catalog/importWorker.ts',
    'server/rowWorker': 'server/catalog/rowWorker.ts',
    'server/searchWorker': 'server/searching/searchWorker.ts',
    'server/writeWorker': 'server/store/writeWorker.ts',
    'server/cli': 'cli/main.ts',
    'server/writeWordLists': 'server/searching/writeWordLists.ts',
  });
  await writeWordLists();
  const { build: buildInterface } = await import('vite');
  for (const config of ['vite.config.ts', 'vite.embed.config.ts'])
    await buildInterface({ root: join(root, 'web'), configFile: join(root, config), logLevel: 'warn' });
  // What other shops' pages load is pressed as far as it goes; the desk is as often built as opened.
  pressIn(join(root, 'dist', 'embed'), constants.BROTLI_MAX_QUALITY);
  pressIn(join(root, 'dist', 'web', 'assets'), 9);
  await packClient();
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) await build();
