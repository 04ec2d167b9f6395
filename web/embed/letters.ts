import bricolage from '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2?url';
import hanken from '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-wght-normal.woff2?url';
import newsreader from '@fontsource-variable/newsreader/files/newsreader-latin-wght-normal.woff2?url';

const files: Readonly<Record<string, readonly [family: string, address: string, weights: string]>> = {
  newsreader: ['Newsreader Variable', newsreader, '200 800'],
  hanken: ['Hanken Grotesk Variable', hanken, '100 900'],
  bricolage: ['Bricolage Grotesque Variable', bricolage, '200 800'],
};
const fetched = new Set<string>();

/**
 * Fetches letters by name for the page that the shop stands in: a root of its own can have none. A page that allows no
 * letters of other sites keeps its own.
 */
export async function fetchLetters(names: readonly string[]): Promise<void> {
  const wanted = names.filter((name) => files[name] && !fetched.has(name));
  await Promise.allSettled(
    wanted.map(async (name) => {
      fetched.add(name);
      const [family, address, weight] = files[name]!;
      const face = new FontFace(family, `url("${new URL(address, import.meta.url).href}")`, {
        weight,
        display: 'swap',
      });
      document.fonts.add(await face.load());
    }),
  );
}
