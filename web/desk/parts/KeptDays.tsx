import { useState } from 'react';
import { historyDays } from '../../../api/limits.ts';
import { Ask } from './Ask.tsx';
import { Choice } from './Controls.tsx';

/** For how many days something is kept; null: for good. */
export type Days = (typeof historyDays)[number] | null;

const inWords = { 90: 'three months', 365: 'a year', 730: 'two years' } as const;
const kept = (days: Days): string => (days === null ? 'for good' : `for ${inWords[days]}`);

/** For how long something is kept; to keep it shorter is asked about first, since what is gone is gone. */
export function KeptDays({
  what,
  lost,
  days,
  keep,
}: {
  /** What it is called inside a sentence. */
  readonly what: string;
  /** What goes when it is kept shorter. */
  readonly lost: string;
  readonly days: Days;
  keep(days: Days): void;
}) {
  const [asked, setAsked] = useState<Days>(null);
  const choose = (value: string): void => {
    const next = historyDays.find((each) => String(each) === value) ?? null;
    if (next !== null && (days === null || next < days)) setAsked(next);
    else keep(next);
  };
  return (
    <>
      Kept
      <Choice
        label={`How long ${what} is kept`}
        value={String(days)}
        options={[[String(null), kept(null)], ...historyDays.map((each) => [String(each), kept(each)] as const)]}
        change={choose}
      />
      {asked !== null && (
        <Ask
          title={`Keep ${what} ${kept(asked)}?`}
          description={lost}
          close={() => setAsked(null)}
          answers={[{ label: `Keep it ${kept(asked)}`, answer: () => keep(asked) }]}
        />
      )}
    </>
  );
}
