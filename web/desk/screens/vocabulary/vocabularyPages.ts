import type { SetupPart } from '../../../../core/setup/registry.ts';

const pageOf = {
  synonyms: '/vocabulary',
  stopWords: '/vocabulary/stop-words',
  phrases: '/vocabulary/phrases',
  recognised: '/vocabulary/values',
  spelling: '/vocabulary/spelling',
} as const;
type Page = (typeof pageOf)[keyof typeof pageOf];

export const vocabularyPages = [
  { to: pageOf.synonyms, label: 'Synonyms' },
  { to: pageOf.stopWords, label: 'Stop words' },
  { to: pageOf.phrases, label: 'Phrases' },
  { to: pageOf.recognised, label: 'Values recognised' },
  { to: pageOf.spelling, label: 'Spelling' },
] as const;

/** Which page each kind of entry is on. */
const pageOfKind: Readonly<Record<string, Page>> = {
  synonyms: pageOf.synonyms,
  oneWay: pageOf.synonyms,
  stopWords: pageOf.stopWords,
  phrases: pageOf.phrases,
  recognised: pageOf.recognised,
};

/** Pages on which something is not published yet. Whatever is none of the kinds above is about spelling. */
export function changedVocabularyPages(
  changes: readonly {
    readonly part: SetupPart;
    readonly key: string;
    readonly before: unknown;
    readonly after: unknown;
  }[],
): ReadonlySet<Page> {
  const pages = new Set<Page>();
  for (const { part, key, before, after } of changes) {
    if (part === 'relevance' && key === 'spelling') pages.add(pageOf.spelling);
    if (part !== 'vocabulary') continue;
    const { what } = (after ?? before) as { readonly what: string };
    pages.add((Object.hasOwn(pageOfKind, what) ? pageOfKind[what] : undefined) ?? pageOf.spelling);
  }
  return pages;
}
