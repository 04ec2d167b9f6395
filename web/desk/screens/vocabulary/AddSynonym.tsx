import { ArrowRight } from 'lucide-react';
import { useState } from 'react';
import { mostMeanings } from '../../../../core/query/vocabulary.ts';
import { type SynonymEntry, sayingsIn, synonymKey } from '../../../../core/setup/vocabularyCsv.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { knownState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

const field = 'min-w-0 flex-1 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft';
const most = 20;

/** A key for a new entry; numbered where its words are those of another. */
function freeKey(entry: SynonymEntry): string {
  const base = synonymKey(entry);
  const vocabulary = knownState()?.setup.vocabulary ?? {};
  let key = base;
  for (let number = 2; key in vocabulary; number++) key = `${base.slice(0, 74)}-${number}`;
  return key;
}

/** The words of a field as an entry's, or null where they are too few or too long. */
function entryOf(kind: SynonymEntry['what'], words: string, finds: string): SynonymEntry | null {
  const [from, to] = [sayingsIn(words).slice(0, most), sayingsIn(finds).slice(0, most)];
  if ([...from, ...to].some((text) => text.split(' ').length > 4)) return null;
  if (kind === 'synonyms') return from.length >= 2 ? { what: 'synonyms', words: from, on: true } : null;
  return from.length > 0 && to.length > 0 ? { what: 'oneWay', from, to, on: true } : null;
}

/** A new set, or a new one-way entry; `says` is what somebody came here to explain. */
export function AddSynonym({ says }: { readonly says: string }) {
  const [kind, setKind] = useState<SynonymEntry['what']>(says ? 'oneWay' : 'synonyms');
  const [words, setWords] = useState(says);
  const [finds, setFinds] = useState('');
  const entry = entryOf(kind, words, finds);
  return (
    <form
      className="mt-2 flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!entry) return;
        void edit({ part: 'vocabulary', key: freeKey(entry), value: entry });
        setWords('');
        setFinds('');
      }}
    >
      <Choice<SynonymEntry['what']>
        label="Kind of the new synonym"
        value={kind}
        options={[
          ['synonyms', 'synonyms'],
          ['oneWay', 'one way'],
        ]}
        change={setKind}
      />
      <input
        aria-label={kind === 'synonyms' ? 'Synonyms' : 'What shoppers say'}
        placeholder={kind === 'synonyms' ? 'rubber, eraser, putty rubber' : 'aquarelle'}
        className={field}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      {kind === 'oneWay' && (
        <>
          <ArrowRight size={14} aria-hidden className="shrink-0 text-soft" />
          <input
            aria-label="What it finds"
            placeholder="watercolour"
            // biome-ignore lint/a11y/noAutofocus: whoever comes from a word wants to say what it means
            autoFocus={says !== ''}
            className={field}
            value={finds}
            onChange={(event) => setFinds(event.target.value)}
          />
        </>
      )}
      <Button type="submit" disabled={entry === null}>
        Add
      </Button>
      <p className="w-full text-[12.5px] text-soft">
        Put a comma between them; each may have up to four words, an entry up to {most}, and a word may find up to{' '}
        {mostMeanings} others.
      </p>
    </form>
  );
}
