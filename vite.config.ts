import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { loadedBy, type ModuleOf } from './vite.loadedBy.ts';

const here = dirname(fileURLToPath(import.meta.url));

const pages = { desk: join(here, 'web/index.html'), shop: join(here, 'web/shop.html') };
/** Where the code of each page begins. */
const begins = { desk: join(here, 'web/desk/main.tsx'), shop: join(here, 'web/shop/main.tsx') };

/**
 * The desk opens with a shop beside it: what both begin with is one file, and what each begins with alone is one more. As
 * dozens of small ones, asking for them took as long as reading them. What the other may need later is in neither, as it
 * would load the whole beginning of a page that it is not.
 */
function firstFiles() {
  const known = new Map<string, ReadonlySet<string>>();
  const loaded = (page: keyof typeof begins, moduleOf: ModuleOf, later = false): ReadonlySet<string> => {
    const name = `${page} ${later}`;
    const found = known.get(name) ?? loadedBy(begins[page], moduleOf, later);
    known.set(name, found);
    return found;
  };
  return {
    debugName: 'what the pages begin with',
    includeDependenciesRecursively: false,
    name(id: string, context: { getModuleInfo: ModuleOf }): string | null {
      const moduleOf: ModuleOf = (of) => context.getModuleInfo(of);
      const [desk, shop] = [loaded('desk', moduleOf).has(id), loaded('shop', moduleOf).has(id)];
      if (desk && shop) return 'both-first';
      if (desk) return loaded('shop', moduleOf, true).has(id) ? 'desk-shared' : 'desk-first';
      if (shop) return loaded('desk', moduleOf, true).has(id) ? 'shop-shared' : 'shop-first';
      return null;
    },
  };
}

/** The shop beside the desk is asked for as soon as the desk's own code is there, not only when its frame stands. */
const shopOnItsWay: Plugin = {
  name: 'shop-on-its-way',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { path, bundle = {} }) =>
      Object.values(bundle)
        .filter(
          ({ type, name }) => path === '/index.html' && type === 'chunk' && /^shop-(?:first|shared)$/.test(name ?? ''),
        )
        .map(({ fileName }) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', fetchpriority: 'low', crossorigin: true, href: `/${fileName}` },
          injectTo: 'head' as const,
        })),
  },
};

export default defineConfig({
  root: join(here, 'web'),
  plugins: [react(), tailwind(), shopOnItsWay],
  build: {
    outDir: join(here, 'dist/web'),
    emptyOutDir: true,
    chunkSizeWarningLimit: 700,
    // Every browser the desk is used in has it.
    modulePreload: { polyfill: false },
    rolldownOptions: {
      input: pages,
      output: { codeSplitting: { groups: [firstFiles()] } },
    },
  },
});
