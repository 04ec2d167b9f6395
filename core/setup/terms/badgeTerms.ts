/** Where a badge stands on a card; without a picture all stand above the title. */
export const badgePlaces = ['left', 'right', 'below'] as const;
export type BadgePlace = (typeof badgePlaces)[number];
export const badgePlaceNames: Readonly<Record<BadgePlace, string>> = {
  left: 'on the picture, left',
  right: 'on the picture, right',
  below: 'above the title',
};

/** Badges of a setup, characters of a badge's text, and badges on one card at most. */
export const mostBadges = 50;
export const longestBadge = 40;
export const mostOnCard = 6;

/** What a badge's text says in braces: how much is saved, in percent, or an attribute by its key. */
export const savingName = 'saving';
const namePattern = /\{([^{}]+)\}/g;
/** The names that a text has in braces, each once. */
export const namesIn = (text: string): string[] => [
  ...new Set([...text.matchAll(namePattern)].map(([, name]) => name!)),
];

/** A text with what stands for its names; null where one of them has nothing. */
export function withValues(text: string, valueFor: (name: string) => string | null): string | null {
  const values = new Map(namesIn(text).map((name) => [name, valueFor(name)]));
  if ([...values.values()].some((value) => !value)) return null;
  return text.replace(namePattern, (_, name: string) => values.get(name)!);
}

/** What a badge is called: what it says in the first of its languages. */
export const badgeName = ({ text }: { readonly text: Partial<Readonly<Record<string, string>>> }): string =>
  Object.values(text)[0]!;
