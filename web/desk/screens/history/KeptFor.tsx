import { useState } from 'react';
import { historyDays } from '../../../../api/limits.ts';
import { call } from '../../../client/call.ts';
import { Ask } from '../../parts/Ask.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { arrange } from '../../state/storefronts.ts';

type Days = (typeof historyDays)[number] | null;

const inWords = { 90: 'three months', 365: 'a year', 730: 'two years' } as const;
const kept = (days: Days): string => (days === null ? 'for good' : `for ${inWords[days]}`);
const keep = (days: Days): void =>
  void arrange(() => call('keepHistory', { body: { days } }), 'The history is kept as before');

/** For how long the history is kept; to keep it shorter is asked about first, since what is gone is gone. */
export function KeptFor({ days }: { readonly days: Days }) {
  const [asked, setAsked] = useState<Days>(null);
  const choose = (value: string): void => {
    const next = historyDays.find((each) => String(each) === value) ?? null;
    if (next !== null && (days === null || next < days)) setAsked(next);
    else keep(next);
  };
  return (
    <p className="mb-3 flex items-center gap-2 text-[13px] text-soft">
      Kept
      <Choice
        label="How long the history is kept"
        value={String(days)}
        options={[[String(null), kept(null)], ...historyDays.map((each) => [String(each), kept(each)] as const)]}
        change={choose}
      />
      {asked !== null && (
        <Ask
          title={`Keep the history ${kept(asked)}?`}
          description="What is older goes for good, in every draft of this storefront. What undo can still take back, what led to the live release and what open drafts hold stays; releases always do."
          close={() => setAsked(null)}
          answers={[{ label: `Keep it ${kept(asked)}`, answer: () => keep(asked) }]}
        />
      )}
    </p>
  );
}
