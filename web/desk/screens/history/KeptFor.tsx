import { call } from '../../../client/call.ts';
import { type Days, KeptDays } from '../../parts/KeptDays.tsx';
import { arrange } from '../../state/storefronts.ts';

const keep = (days: Days): void =>
  void arrange(() => call('keepHistory', { body: { days } }), 'The history is kept as before');

/** For how long the history is kept. */
export function KeptFor({ days }: { readonly days: Days }) {
  return (
    <p className="mb-3 flex items-center gap-2 text-[13px] text-soft">
      <KeptDays
        what="the history"
        lost="What is older goes for good, in every draft of this storefront. What undo can still take back, what led to the live release and what open drafts hold stays; releases always do."
        {...{ days, keep }}
      />
    </p>
  );
}
