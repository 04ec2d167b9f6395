import { Section } from '../../parts/Screen.tsx';
import { UsualStopWords } from './UsualStopWords.tsx';
import { useWordList, WordListChips } from './WordListChips.tsx';

/** Words that a search ignores. */
export function StopWords() {
  const words = useWordList('stopWords');
  return (
    <Section
      title="Stop words"
      note="The search ignores these words, such as “for” or “supplies”. A search of nothing but stop words still looks for them."
    >
      <WordListChips what="stopWords" label="Stop words" placeholder="for, with, supplies" />
      <UsualStopWords words={words} />
    </Section>
  );
}
