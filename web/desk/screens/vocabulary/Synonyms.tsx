import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { Nothing, Section } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { AddSynonym } from './AddSynonym.tsx';
import { inOrder, type Kind, listSynonyms, type Order } from './listSynonyms.ts';
import { SynonymFile } from './SynonymFile.tsx';
import { SynonymRow } from './SynonymRow.tsx';
import { useEntryNotes, useEntryTimes } from './useEntryNotes.ts';

/** Rows shown at once; a vocabulary of thousands is searched, not scrolled. */
const stretch = 50;

/** Synonyms: both ways, and one way. */
export function Synonyms() {
  const { setup } = useDeskState();
  const changed = useChanged('vocabulary');
  const [contains, setContains] = useState('');
  const [kind, setKind] = useState<Kind>('all');
  const [shown, setShown] = useState(stretch);
  const [order, setOrder] = useState<Order>('words');
  const says = useSearchParams()[0].get('say') ?? '';
  const times = useEntryTimes(order === 'searches');
  const all = listSynonyms(setup.vocabulary, '', 'all');
  const rows = inOrder(listSynonyms(setup.vocabulary, contains, kind), order, times);
  const visible = rows.slice(0, shown);
  const notes = useEntryNotes(visible.map(({ key }) => key));
  return (
    <Section
      title="Synonyms"
      note="A set finds what its other words find, a little behind products that have the word itself. One-way words find others, not the reverse."
      aside={<SynonymFile hasAny={all.length > 0} />}
    >
      {all.length > 6 && (
        <div className="mb-2 flex flex-wrap items-center gap-2">
          <input
            type="search"
            aria-label="Synonyms with this word"
            placeholder="Find a word"
            className="min-w-0 flex-1 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft"
            value={contains}
            onChange={(event) => {
              setContains(event.target.value);
              setShown(stretch);
            }}
          />
          <Choice<Kind>
            label="Kind of synonyms shown"
            value={kind}
            options={[
              ['all', 'all kinds'],
              ['synonyms', 'synonyms'],
              ['oneWay', 'one way'],
              ['off', 'switched off'],
            ]}
            change={setKind}
          />
          <Choice<Order>
            label="Order of the synonyms"
            value={order}
            options={[
              ['words', 'by their words'],
              ['finds', 'by what they find'],
              ['searches', 'most searched first'],
            ]}
            change={setOrder}
          />
        </div>
      )}
      {all.length === 0 && <Nothing>None yet.</Nothing>}
      {all.length > 0 && rows.length === 0 && <Nothing>No synonym has “{contains}”.</Nothing>}
      <ul className="space-y-[5px]" aria-label="Synonyms">
        {visible.map(({ key, entry }) => (
          <SynonymRow key={key} id={key} entry={entry} note={notes.get(key)} isChanged={changed(key)} />
        ))}
      </ul>
      {rows.length > visible.length && (
        <p className="mt-2 text-[13px] text-soft">
          {counted(visible.length, 'entry', 'entries')} of {count(rows.length)} shown.{' '}
          <Button tone="quiet" onClick={() => setShown(shown + stretch)}>
            Show more
          </Button>
        </p>
      )}
      <AddSynonym key={says} says={says} />
    </Section>
  );
}
