import { leaderOf } from '../../../../core/setup/leaderOf.ts';
import { type FollowablePart, followable, followableParts } from '../../../../core/setup/terms/followable.ts';
import { Choice } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit, ownPart } from '../../state/edits.ts';
import { usePlace } from '../../state/place.ts';
import { useStorefronts } from '../../state/storefronts.ts';

const own = '';

/** For each part whether this storefront has its own or follows another one’s; nothing where there is no other. */
export function Following() {
  const { data } = useStorefronts();
  const { storefront: here } = usePlace();
  const { storefront, setup } = useDeskState();
  const others = data?.storefronts.filter(({ id, release }) => id !== here && release !== null) ?? [];
  if (others.length === 0) return null;
  const choose = (part: FollowablePart, leader: string): void =>
    void (leader === own ? ownPart(part) : edit({ part: 'following', key: part, value: { storefront: leader } }));
  return (
    <Section
      title={`What ${storefront.name} follows`}
      note="A part that follows another storefront is changed there; what that one publishes comes here with it. Made its own again, it begins as a copy."
    >
      <ul className="divide-y rounded-lg border bg-surface">
        {followableParts.map((part) => (
          <li key={part} className="flex items-center gap-3 px-3 py-1.5">
            <span className="min-w-0 flex-1">{followable[part]}</span>
            <Choice
              label={`Whose the ${followable[part].toLowerCase()} are`}
              value={leaderOf(setup, part) ?? own}
              options={[[own, 'Its own'], ...others.map(({ id, name }) => [id, `Follow ${name}`] as const)]}
              change={(leader) => choose(part, leader)}
              className="w-[230px]"
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}
