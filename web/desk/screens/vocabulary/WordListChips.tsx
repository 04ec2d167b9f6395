import { useDeskState } from '../../state/deskState.ts';
import { saveWords, WordChips, type WordList, wordListKeys } from './WordChips.tsx';

/** The words of one of the setup's lists. */
export function useWordList(what: WordList): readonly string[] {
  const entry = useDeskState().setup.vocabulary[wordListKeys[what]];
  return entry?.what === what ? entry.words : [];
}

/** One of the setup's lists of words, to add to and take from. */
export function WordListChips({
  what,
  label,
  placeholder,
}: {
  readonly what: WordList;
  readonly label: string;
  readonly placeholder: string;
}) {
  const words = useWordList(what);
  return <WordChips label={label} placeholder={placeholder} words={words} change={(next) => saveWords(what, next)} />;
}
