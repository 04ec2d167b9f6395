import type { Badge } from './parts/badges.ts';

/** Colours that a badge may begin with, by what it says. */
const grounds = { plain: '#2b3140', saving: '#9c2f24', few: '#6b4a10' } as const;

/** A new badge for a condition. */
export const newBadge = (key: string, text: string, condition: Badge['condition']): Badge => ({
  ...{ key, on: true, condition, text: { en: text }, place: 'left', colour: grounds.plain },
});

/** Badges a shop may begin with, of those whose attributes the catalog has. */
export function badgeStarters(attributes: ReadonlySet<string>): { readonly name: string; readonly badge: Badge }[] {
  const all = [
    {
      name: 'The saving',
      needs: ['price', 'former_price'],
      badge: {
        ...newBadge('saving', '–{saving}', { match: 'all', tests: [{ how: 'reduced' }] }),
        colour: grounds.saving,
      },
    },
    {
      name: 'What is new',
      needs: ['date_added'],
      badge: newBadge('new', 'New', {
        match: 'all',
        tests: [{ how: 'lastDays', attribute: 'date_added', days: 60 }],
      }),
    },
    {
      name: 'The last few',
      needs: ['stock'],
      badge: {
        ...newBadge('last-few', 'Last {stock}', {
          match: 'all',
          tests: [{ how: 'between', attribute: 'stock', from: 1, to: 5 }],
        }),
        ...{ place: 'right' as const, colour: grounds.few },
      },
    },
  ];
  return all.flatMap(({ name, needs, badge }) => (needs.every((key) => attributes.has(key)) ? [{ name, badge }] : []));
}
