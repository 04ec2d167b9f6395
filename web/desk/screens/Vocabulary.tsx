import { Trash2, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { VocabularyEntry } from '../../../core/setup/schema.ts';
import { Button, IconButton } from '../parts/Button.tsx';
import { Switch, TextField } from '../parts/Controls.tsx';
import { Nothing, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';

const stopKey = 'stop-words';
const save = (key: string, value: VocabularyEntry | null): void => void edit({ part: 'vocabulary', key, value });
const wordsIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[,\s]+/)
      .map((word) => word.trim())
      .filter(Boolean),
  ),
];

/** Tune, second screen: the shopper's words and the shop's words brought together. */
export function Vocabulary() {
  const { setup } = useDeskState();
  const changed = useChanged('vocabulary');
  const sets = Object.entries(setup.vocabulary).flatMap(([key, entry]) =>
    entry.what === 'synonyms' ? [{ key, entry }] : [],
  );
  const stop = setup.vocabulary[stopKey];
  return (
    <>
      <ScreenHead title="Vocabulary">
        Words that mean the same, and words a search passes over. It is in force in the window at once.{' '}
        <Link to="/proposals" className="text-press underline">
          See what is proposed.
        </Link>
      </ScreenHead>
      <Section
        title="Words that mean the same"
        note="Each of a set finds what the others find, a little behind products that have the word itself."
      >
        {sets.length === 0 && <Nothing>None yet.</Nothing>}
        <ul className="space-y-[5px]">
          {sets.map(({ key, entry }) => (
            <li key={key} className={`${shelfRow(changed(key))} flex items-center gap-3 px-3 py-2`}>
              <TextField
                label={`Words that mean the same: ${entry.words.join(', ')}`}
                value={entry.words.join(', ')}
                maxLength={600}
                className="min-w-0 flex-1"
                change={(text) =>
                  wordsIn(text).length >= 2 && save(key, { ...entry, words: wordsIn(text).slice(0, 20) })
                }
              />
              <Switch
                label={`${entry.words.join(', ')} count as the same`}
                shown="On"
                isOn={entry.on}
                change={(on) => save(key, { ...entry, on })}
              />
              <IconButton label={`Remove ${entry.words.join(', ')}`} onClick={() => save(key, null)}>
                <Trash2 size={15} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ul>
        <AddWords
          label="Words that mean the same"
          placeholder="aquarelle, watercolour"
          least={2}
          add={(words) =>
            save(`same-${words.join('-')}`.slice(0, 80), { what: 'synonyms', words: words.slice(0, 20), on: true })
          }
        />
      </Section>
      <Section
        title="Words a search passes over"
        note="Only where other words carry the search: one of nothing but these still means them."
      >
        <ul className="flex flex-wrap gap-1.5">
          {(stop?.words ?? []).map((word) => (
            <li key={word} className="flex items-center gap-1 rounded-full border bg-surface py-0.5 pr-1 pl-2.5">
              {word}
              <button
                type="button"
                aria-label={`No longer pass over “${word}”`}
                className="rounded-full p-0.5 text-soft hover:text-ink"
                onClick={() => {
                  const left = stop!.words.filter((each) => each !== word);
                  save(stopKey, left.length > 0 ? { what: 'stopWords', words: left } : null);
                }}
              >
                <X size={13} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
        <AddWords
          label="Words to pass over"
          placeholder="for, with"
          least={1}
          add={(words) =>
            save(stopKey, { what: 'stopWords', words: [...new Set([...(stop?.words ?? []), ...words])].slice(0, 500) })
          }
        />
      </Section>
    </>
  );
}

function AddWords({
  label,
  placeholder,
  least,
  add,
}: {
  readonly label: string;
  readonly placeholder: string;
  readonly least: number;
  add(words: string[]): void;
}) {
  const [text, setText] = useState('');
  const words = wordsIn(text);
  return (
    <form
      className="mt-2 flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (words.length < least) return;
        add(words);
        setText('');
      }}
    >
      <input
        aria-label={label}
        placeholder={placeholder}
        className="min-w-0 flex-1 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" disabled={words.length < least}>
        Add
      </Button>
    </form>
  );
}
