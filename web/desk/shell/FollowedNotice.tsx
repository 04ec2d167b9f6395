import { Link2 } from 'lucide-react';
import { useLocation } from 'react-router';
import { leaderOf } from '../../../core/setup/leaderOf.ts';
import { type FollowablePart, followable } from '../../../core/setup/terms/followable.ts';
import { useDeskState } from '../state/deskState.ts';
import { ownPart } from '../state/edits.ts';
import { useStorefrontName } from '../state/following.ts';
import { Notice } from './Notice.tsx';

/** The parts that each screen edits, by how its address begins; the longer beginning first. */
const partsOfScreens: readonly (readonly [path: string, parts: readonly FollowablePart[]])[] = [
  ['/catalog', ['products']],
  ['/content', ['content']],
  ['/attributes', ['attributes']],
  ['/relevance', ['relevance', 'attributes']],
  ['/vocabulary', ['vocabulary']],
  ['/filters/groups', ['valueGroups']],
  ['/filters', ['filters', 'valueGroups']],
  ['/plans', ['plans']],
  ['/house-rules', ['houseRules']],
  ['/hiding', ['hiding', 'houseRules']],
  ['/companions', ['companions', 'companionShelves']],
  ['/redirects', ['plans', 'specialShelves']],
  ['/results-page', ['resultsPage', 'look', 'badges']],
  ['/words', ['wording']],
  ['/search-box', ['searchBox', 'suggestedSearches']],
  ['/empty-shelf', ['emptyShelf', 'specialShelves']],
];

/** Told above a screen whose part follows another storefront’s, with the one press that makes it one’s own. */
export function FollowedNotice() {
  const { setup } = useDeskState();
  const { pathname } = useLocation();
  const parts = partsOfScreens.find(([path]) => pathname.startsWith(path))?.[1] ?? [];
  return parts.map((part) => {
    const leader = leaderOf(setup, part);
    return leader === null ? null : <Followed key={part} part={part} leader={leader} />;
  });
}

function Followed({ part, leader }: { readonly part: FollowablePart; readonly leader: string }) {
  const { changes } = useDeskState();
  const nameOf = useStorefrontName();
  // What is followed differs from what is live here only where it was held back, or is not published yet.
  const isHeldBack =
    changes.some((change) => change.part === part) &&
    !changes.some((change) => change.part === 'following' && change.key === part);
  return (
    <Notice label={`${followable[part]} follow ${nameOf(leader)}`} icon={Link2}>
      {followable[part]} follow <b>{nameOf(leader)}</b> and are changed there.{' '}
      {isHeldBack && 'What it published last was held back: shoppers here get it when you publish. '}
      <button type="button" className="text-press underline" onClick={() => void ownPart(part)}>
        Make them this storefront’s own
      </button>
    </Notice>
  );
}
