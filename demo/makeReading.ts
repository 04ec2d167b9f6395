import { pick, seededRandom } from '../core/base/random.ts';
import { shades } from './palette.ts';
import { ranges } from './ranges.ts';

/** An article of the store's journal. */
export interface Article {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  readonly link: string;
  readonly tags: readonly string[];
}

/** A collection by rule over one attribute. */
export interface Collection {
  readonly id: string;
  readonly title: string;
  readonly attribute: string;
  readonly values: readonly string[];
}

const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** Sixty articles: guides to the goods and to colours. */
export function makeArticles(seed: number): Article[] {
  const random = seededRandom(seed);
  const nouns = [...new Set(ranges.map((range) => range.noun))];
  const guides = nouns.map((noun) => ({
    title: `How to choose ${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`,
    tags: ['guide', noun],
  }));
  const colours = shades.slice(0, 60 - guides.length).map(({ name, family }) => ({
    title: `${name}: ${pick(random, ['what it mixes with', 'a short history', 'five ways to use it'])}`,
    tags: ['colour', family.toLowerCase()],
  }));
  return [...guides, ...colours].slice(0, 60).map(({ title, tags }) => ({
    id: `a-${slug(title)}`,
    title,
    text: `${title}. ${pick(random, ['Start with one good thing and use it up.', 'Test it on a scrap of the paper you mean to use.', 'Ask at the counter for a swatch.'])} ${pick(random, ['We keep a sheet of trials by the till.', 'Our evening classes begin with exactly this.', 'It matters less than you think, and then more.'])}`,
    link: `/journal/${slug(title)}`,
    tags,
  }));
}

/** Forty collections, each by rule over one attribute. */
export function makeCollections(): Collection[] {
  const kinds = [...new Set(ranges.map((range) => range.kind))].map((kind) => ({
    title: `${kind}s`.replace(/sss?$/, 's').replace(/hs$/, 'hes').replace(/ys$/, 'ies'),
    attribute: 'kind',
    values: [kind],
  }));
  const tagged = [
    'gift',
    'students',
    'travel',
    'clearance',
    'new',
    'printmaking',
    'illustration',
    'studio',
    'acid free',
    'calligraphy',
    'craft',
    'set',
  ].map((tag) => ({ title: `${tag.charAt(0).toUpperCase()}${tag.slice(1)}`, attribute: 'tags', values: [tag] }));
  return [...kinds, ...tagged].slice(0, 40).map((collection) => ({ id: slug(collection.title), ...collection }));
}
