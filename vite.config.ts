import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

const here = dirname(fileURLToPath(import.meta.url));

/** The files that `firstFiles` makes. */
const firstNames = ['both-first', 'desk-first', 'desk-shared', 'shop-first', 'shop-shared'];

/** What opens a page runs at once: said to the browser, it is read beside the page's own work and kept read. */
const calledAtOnce: Plugin = {
  name: 'called-at-once',
  generateBundle: {
    order: 'post',
    handler(_, files) {
      for (const file of Object.values(files))
        if (file.type === 'chunk' && firstNames.includes(file.name))
          file.code = `//# allFunctionsCalledOnLoad\n${file.code}`;
    },
  },
};

const pages = { desk: join(here, 'web/index.html'), shop: join(here, 'web/shop.html') };
/** Where the code of each page begins. */
const begins = { desk: join(here, 'web/desk/main.tsx'), shop: join(here, 'web/shop/main.tsx') };

/** What a module asks for as it is loaded, and later. */
type ModuleOf = (
  id: string,
) => { readonly importedIds: readonly string[]; readonly dynamicallyImportedIds: readonly string[] } | null;

/** Everything that is loaded before a page can begin; with `later`, everything it may ever load. */
function loadedBy(entry: string, moduleOf: ModuleOf, later: boolean): ReadonlySet<string> {
  const found = new Set([entry]);
  for (const id of found) {
    const module = moduleOf(id);
    for (const imported of module?.importedIds ?? []) found.add(imported);
    if (later) for (const imported of module?.dynamicallyImportedIds ?? []) found.add(imported);
  }
  return found;
}

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

export default defineConfig({
  root: join(here, 'web'),
  plugins: [react(), tailwind(), calledAtOnce],
  build: {
    outDir: join(here, 'dist/web'),
    emptyOutDir: true,
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      input: pages,
      output: { codeSplitting: { groups: [firstFiles()] } },
    },
  },
});
