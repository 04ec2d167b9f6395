import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type MessageFormatElement, parse } from '@formatjs/icu-messageformat-parser';
import tailwind from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';
import { de } from './core/messages/de.ts';
import { en } from './core/messages/en.ts';
import { es } from './core/messages/es.ts';
import { fr } from './core/messages/fr.ts';
import { loadedBy, type ModuleOf } from './vite.loadedBy.ts';
import { isOfBox } from './web/embed/boxTexts.ts';

const here = dirname(fileURLToPath(import.meta.url));

/** Pixels of a rem as browsers have it: a page that says otherwise would make everything larger or smaller. */
const pixelsOfRem = 16;

/**
 * Styles as they hold in a root of its own: what is said of the page is said of what we draw; lengths do not follow the
 * page's; and Tailwind's variables have their first values there, where `@property` does not reach.
 */
const inRootOfItsOwn: Plugin = {
  name: 'in-root-of-its-own',
  enforce: 'post',
  transform(code, id) {
    if (!id.endsWith('.css?inline')) return;
    const said = /^export default ("[\s\S]*");?\s*$/.exec(code.trim());
    if (!said) throw new Error(`The styles of ${id} are not the text they were.`);
    const styles = (JSON.parse(said[1]!) as string)
      .replace(/:root\b/g, '.shelf-root')
      .replace(/(\d*\.?\d+)rem\b(?![^{};]*\{)/g, (_, amount: string) => `${Number(amount) * pixelsOfRem}px`)
      .replace(/@supports \(+-webkit-hyphens:\s*none\)[^{]*\{/g, '@supports (display: block) {')
      .replace(/@property [^}]*\}/g, '');
    return { code: `export default ${JSON.stringify(styles)};`, map: null };
  },
};

const texts = { en, de, fr, es };
/** A text as it was read, so that nothing that reads texts need come with them; plain ones too. */
const read = (text: string): MessageFormatElement[] => parse(text, { captureLocation: false });

/** Texts are read as this is built, and come without what reads them. */
const textsReadBefore: Plugin = {
  name: 'texts-read-before',
  enforce: 'pre',
  resolveId(source, importer) {
    if (source === '@formatjs/icu-messageformat-parser' && importer?.includes('intl-messageformat'))
      return this.resolve('@formatjs/icu-messageformat-parser/no-parser.js', importer);
    // What comes at once on our own pages comes when it is needed on those of others.
    const [later] = /(?:shippedTexts|letters)\.ts$/.exec(source) ?? [];
    if (later && importer && !importer.includes('/embed/')) return join(here, 'web/embed', later);
  },
  load(id) {
    const rest = id.endsWith('/web/embed/restOfEnglish.ts');
    const [, language] = rest ? [id, 'en'] : (/core\/messages\/(en|de|fr|es)\.ts$/.exec(id) ?? []);
    if (!language) return;
    const said = Object.entries(texts[language as keyof typeof texts])
      .filter(([key]) => language !== 'en' || isOfBox(key) !== rest)
      .map(([key, text]) => [key, read(text)]);
    return `export const ${rest ? 'restOfEnglish' : language} = ${JSON.stringify(Object.fromEntries(said))};`;
  },
};

/** Of the library with the combobox only that: what it says of its other parts as it is loaded would keep them all. */
const onlyTheCombobox: Plugin = {
  name: 'only-the-combobox',
  transform(code, id) {
    if (!id.endsWith('/downshift.esm.mjs')) return;
    return {
      code: code.replace(/^(?:useSelect|useMultipleSelection|_useTagGroup)\.stateChangeTypes = .*;$/gm, ''),
      map: null,
    };
  },
};

/** A page may have put things of its own into the prototype of every object: the bundle's beginning must pass over them. */
const ownNamesOnly: Plugin = {
  name: 'own-names-only',
  renderChunk: (code) => ({
    code: code.replace(/for \((?:var|let|const) name in all\)/g, 'for (const name of Object.keys(all))'),
    map: null,
  }),
};

const from = (path: string): string => join(here, 'web', path);
const script = from('embed/clever-shelf.tsx');
const results = from('embed/EmbeddedPage.tsx');
const others = [from('shop/box/BoxLines.tsx'), from('shop/BasketCount.tsx')];
/**
 * All that is loaded before the element can begin, in one file: as several, a page would ask for the script, and then for
 * what it asks for. The little that results and another part need beyond it is there too, for the same reason.
 */
const oneFileFirst = {
  debugName: 'what the element begins with',
  includeDependenciesRecursively: false,
  name(id: string, context: { getModuleInfo: ModuleOf }): string | null {
    const isLoadedBy = (entry: string): boolean => loadedBy(entry, (of) => context.getModuleInfo(of)).has(id);
    return isLoadedBy(script) || (isLoadedBy(results) && others.some(isLoadedBy)) ? 'clever-shelf' : null;
  },
};

/**
 * The shop for pages of other sites. The same parts as on our own, drawn by the small library with React's interface: a
 * page that only wants a search box should not carry more than that.
 */
export default defineConfig({
  root: join(here, 'web'),
  base: './',
  publicDir: false,
  plugins: [textsReadBefore, onlyTheCombobox, tailwind(), inRootOfItsOwn, ownNamesOnly],
  resolve: {
    alias: [
      { find: /^react$/, replacement: 'preact/compat' },
      { find: /^react-dom$/, replacement: 'preact/compat' },
      { find: /^react-dom\/client$/, replacement: 'preact/compat/client' },
      { find: /^react\/jsx-runtime$/, replacement: 'preact/jsx-runtime' },
    ],
  },
  oxc: { jsx: { runtime: 'automatic' } },
  build: {
    outDir: join(here, 'dist/embed'),
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: false,
    cssMinify: true,
    rolldownOptions: {
      // What servers that draw pages are told does not matter here.
      onLog: (level, log, report) => log.code === 'MODULE_LEVEL_DIRECTIVE' || report(level, log),
      input: { 'clever-shelf': script },
      output: {
        codeSplitting: { groups: [oneFileFirst] },
        entryFileNames: '[name].js',
        chunkFileNames: 'parts/[name]-[hash].js',
      },
    },
  },
});
