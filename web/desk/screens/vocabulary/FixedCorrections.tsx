import { ArrowRight, X } from 'lucide-react';
import { useState } from 'react';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { fixedCorrectionsKey } from '../../../../core/setup/terms/vocabularyKeys.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

const key = fixedCorrectionsKey;
interface Pair {
  readonly from: string;
  readonly to: string;
}
const save = (pairs: readonly Pair[]): void =>
  void edit({ part: 'vocabulary', key, value: pairs.length > 0 ? { what: 'corrections', pairs: [...pairs] } : null });

const field = 'min-w-0 flex-1 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft';
const isWord = (text: string): boolean => /^\S+$/.test(text.trim());

/** What a shopper's word is always taken for, whatever the catalog knows. */
export function FixedCorrections() {
  const { setup } = useDeskState();
  const changed = useChanged('vocabulary')(key);
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const entry = setup.vocabulary[key];
  const pairs = entry?.what === 'corrections' ? entry.pairs : [];
  const isFine = isWord(from) && isWord(to) && from.trim().toLowerCase() !== to.trim().toLowerCase();
  return (
    <Section
      title="Corrections by hand"
      note="The first word is always corrected to the second, even where the catalog knows it. Shoppers are told."
    >
      <ul className="space-y-[5px]" aria-label="Corrections by hand">
        {pairs.map((pair) => (
          <li key={pair.from} className={`${shelfRow(changed)} flex items-center gap-2 py-1 pr-2 pl-3`}>
            <span>{pair.from}</span>
            <ArrowRight size={14} aria-label="is corrected to" className="text-soft" />
            <b className="flex-1 font-semibold">{pair.to}</b>
            <IconButton
              label={`Remove the correction of ${pair.from}`}
              onClick={() => save(pairs.filter((each) => each !== pair))}
            >
              <X size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isFine) return;
          save([...pairs.filter((pair) => pair.from !== from.trim()), { from: from.trim(), to: to.trim() }]);
          setFrom('');
          setTo('');
        }}
      >
        <input
          aria-label="What the shopper types"
          placeholder="gauche"
          className={field}
          value={from}
          maxLength={longest.word}
          onChange={(event) => setFrom(event.target.value)}
        />
        <ArrowRight size={14} aria-hidden className="shrink-0 text-soft" />
        <input
          aria-label="What is meant"
          placeholder="gouache"
          className={field}
          value={to}
          maxLength={longest.word}
          onChange={(event) => setTo(event.target.value)}
        />
        <Button type="submit" disabled={!isFine}>
          Add
        </Button>
      </form>
    </Section>
  );
}
