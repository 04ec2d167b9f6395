import { useState } from 'react';
import type { OfferedSearch, SuggestedSearch } from '../../../../core/setup/parts/suggestedSearches.ts';
import { suggestionKey } from '../../../../core/setup/suggestionKey.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { mostSuggested, usualPriority } from '../../../../core/setup/terms/suggestionTerms.ts';
import { TextField } from '../../parts/Controls.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { Nothing, Section } from '../../parts/Screen.tsx';
import { ShelfList } from '../../parts/ShelfList.tsx';
import { TextChips } from '../../parts/TextChips.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { SuggestedRow } from './SuggestedRow.tsx';

const rowHeight = 84;

/** The searches one chose to offer, and the words no search that is offered may have. */
export function SuggestedSearches() {
  const { setup } = useDeskState();
  const [sought, setSought] = useState('');
  const all = Object.values(setup.suggestedSearches);
  const offered = all
    .filter((entry): entry is OfferedSearch => entry.what === 'offer')
    .filter(({ text }) => text.toLowerCase().includes(sought.trim().toLowerCase()))
    .sort((a, b) => b.priority - a.priority || (a.text < b.text ? -1 : 1));
  const refused = all.filter((entry) => entry.what === 'never');
  const save = (entry: SuggestedSearch): void =>
    void edit({ part: 'suggestedSearches', key: suggestionKey(entry), value: entry });
  const drop = (entry: Pick<SuggestedSearch, 'what' | 'text'>): void =>
    void edit({ part: 'suggestedSearches', key: suggestionKey(entry), value: null });
  const isFull = all.length >= mostSuggested;
  return (
    <>
      <Section
        title="Searches of your own"
        note="They stand before what shoppers searched for, the highest priority first, as long as they lead to something."
      >
        <div className="-mt-1 mb-2">
          <RulesFile part="suggestedSearches" />
        </div>
        <div className="mb-2 flex flex-wrap items-center gap-2 text-[13px]">
          {!isFull && (
            <TextField
              key={all.length}
              label="A search to suggest"
              placeholder="A search to suggest"
              className="w-[240px]"
              value=""
              mayBeEmpty
              maxLength={longest.search}
              change={(text) => save({ what: 'offer', text, on: true, priority: usualPriority })}
            />
          )}
          {all.length > 10 && (
            <input
              type="search"
              aria-label="Find among the suggested searches"
              placeholder="Find"
              className="rounded-md border bg-surface px-2 py-[3px] hover:border-edge"
              value={sought}
              onChange={({ target }) => setSought(target.value)}
            />
          )}
          {isFull && <span className="text-soft">There are {mostSuggested} entries: that is as many as can be.</span>}
        </div>
        {offered.length === 0 ? (
          <Nothing>
            {sought === ''
              ? 'None of your own: shoppers are offered what others searched for and what the catalog says.'
              : 'None of them has these letters.'}
          </Nothing>
        ) : (
          <ShelfList
            label="Searches of your own"
            items={offered}
            keyOf={(entry) => suggestionKey(entry)}
            rowHeight={rowHeight}
          >
            {(entry) => <SuggestedRow entry={entry} save={save} drop={() => drop(entry)} />}
          </ShelfList>
        )}
      </Section>
      <Section title="Searches never offered" note="Just these; a longer search with the same words still is.">
        <Refused refused={refused.filter((entry) => entry.alone)} isAlone {...{ save, drop }} />
      </Section>
      <Section
        title="Words never offered"
        note="No search that has these words side by side is offered, whoever made it."
      >
        <Refused refused={refused.filter((entry) => !entry.alone)} isAlone={false} {...{ save, drop }} />
      </Section>
    </>
  );
}

/** Searches, or words, that are never offered. */
function Refused({
  refused,
  isAlone,
  save,
  drop,
}: {
  readonly refused: readonly SuggestedSearch[];
  readonly isAlone: boolean;
  save(entry: SuggestedSearch): void;
  drop(entry: Pick<SuggestedSearch, 'what' | 'text'>): void;
}) {
  const texts = refused.map(({ text }) => text);
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <TextChips
        texts={texts}
        add={isAlone ? 'A search never offered' : 'Words never offered'}
        takeOff={(text) => (isAlone ? `Offer ${text} again` : `Offer searches with ${text} again`)}
        most={most.words}
        longest={longest.saying}
        change={(next) => {
          for (const text of texts) if (!next.includes(text)) drop({ what: 'never', text });
          for (const text of next)
            if (!texts.includes(text)) save({ what: 'never', text, ...(isAlone && { alone: true }) });
        }}
      />
    </div>
  );
}
