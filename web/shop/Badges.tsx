import type { Card } from '../../core/answer/answer.ts';
import type { BadgePlace } from '../../core/setup/terms/badgeTerms.ts';
import { Badge } from '../look/Badge.tsx';

const stands: Readonly<Record<BadgePlace, string>> = {
  left: 'absolute top-1.5 left-1.5 items-start',
  right: 'absolute top-1.5 right-1.5 items-end',
  below: 'mt-1.5 items-start',
};

/** The badges of a card that stand at one place. */
export function Badges({ badges, place }: { readonly badges: Card['badges']; readonly place: BadgePlace }) {
  if (badges.length === 0) return null;
  return (
    <span className={`pointer-events-none z-[1] flex max-w-[calc(100%-0.75rem)] flex-col gap-1 ${stands[place]}`}>
      {badges.map((badge) => (
        <Badge key={badge.text} badge={badge} />
      ))}
    </span>
  );
}
