import { GitMerge } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { liveOf, nameOf } from '../../../core/setup/setupRef.ts';
import { useDeskState } from '../state/deskState.ts';
import { Notice } from './Notice.tsx';

/** Leads to what bringing the draft up to the live release would do. */
export const bringUpTo = (storefront: string): string =>
  `/drafts/merge?from=${encodeURIComponent(nameOf(liveOf(storefront)))}`;

/** Told above every screen while another release is live than the draft is up to. */
export function BehindNotice() {
  const { storefront, draft, release } = useDeskState();
  const { pathname } = useLocation();
  // Where it is being brought up to it, nobody needs to be told.
  if (!draft.isBehind || !release || pathname === '/drafts/merge') return null;
  return (
    <Notice label="The draft is behind" icon={GitMerge}>
      Release {release.number} by {release.who} is live since this draft was begun
      {draft.base === null ? '' : ` from release ${draft.base}`}. What it changed is not in this draft yet.{' '}
      <Link to={bringUpTo(storefront.id)} className="whitespace-nowrap text-press underline">
        Bring the draft up to it
      </Link>
    </Notice>
  );
}
