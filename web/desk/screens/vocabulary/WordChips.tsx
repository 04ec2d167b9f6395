import { X } from 'lucide-react';
import { useState } from 'react';
import type { VocabularyEntry } from '../../../../core/setup/parts/vocabulary.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { Button } from '../../parts/Button.tsx';
import { edit } from '../../state/edits.ts';

export type WordList = 'stopWords' | 'neverCorrected' | 'neverOffered';
/** The one entry that holds each list. */
export const wordListKeys: Readonly<Record<WordList, string>> = {
  stopWords: 'stop-words',
  neverCorrected: 'never-corrected',
  neverOffered: 'never-offered',
};

/** Saves a list of words; an empty one is no entry. */
export function saveWords(what: WordList, words: readonly string[]): void {
  const value: VocabularyEntry | null = words.length > 0 ? { what, words: words.slice(0, most.words) } : null;
  void edit({ part: 'vocabulary', key: wordListKeys[what], value });
}

const wordsIn = (text: string): string[] => text.split(/[,\s]+/).filter(Boolean);
/** Phrases, between commas; a word alone is none. */
const phrasesIn = (text: string): string[] =>
  text
    .split(',')
    .map((phrase) => phrase.trim().replace(/\s+/g, ' '))
    .filter((phrase) => phrase.includes(' ') && phrase.split(' ').length <= most.sayingWords);

/** A list of words, or of phrases: each can be taken off, several are added at once. */
export function WordChips({
  label,
  placeholder,
  words,
  change,
  phrases = false,
}: {
  readonly label: string;
  readonly placeholder: string;
  readonly words: readonly string[];
  change(words: readonly string[]): void;
  /** Whether each is several words, with commas between them. */
  readonly phrases?: boolean;
}) {
  const read = phrases ? phrasesIn : wordsIn;
  const [text, setText] = useState('');
  return (
    <>
      {words.length > 0 && (
        <ul className="mb-2 flex flex-wrap gap-1.5" aria-label={label}>
          {words.map((word) => (
            <li key={word} className="flex items-center gap-1 rounded-full border bg-surface py-0.5 pr-1 pl-2.5">
              {word}
              <button
                type="button"
                aria-label={`Take “${word}” off: ${label}`}
                className="rounded-full p-0.5 text-soft hover:text-ink"
                onClick={() => change(words.filter((each) => each !== word))}
              >
                <X size={13} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (read(text).length === 0) return;
          change([...new Set([...words, ...read(text)])]);
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
        <Button type="submit" disabled={read(text).length === 0}>
          Add
        </Button>
      </form>
    </>
  );
}
