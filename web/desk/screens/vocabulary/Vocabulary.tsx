import { Link } from 'react-router';
import { ScreenHead, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { FixedCorrections } from './FixedCorrections.tsx';
import { PhraseList } from './PhraseList.tsx';
import { RecognisedWords } from './Recognised.tsx';
import { SpellingRules } from './Spelling.tsx';
import { Synonyms } from './Synonyms.tsx';
import { UsualStopWords } from './UsualStopWords.tsx';
import { saveWords, WordChips, type WordList, wordListKeys } from './WordChips.tsx';

/** Tune, second screen: the shopper's words and the shop's words brought together. */
export function Vocabulary() {
  const { setup } = useDeskState();
  const wordsOf = (what: WordList): readonly string[] => {
    const entry = setup.vocabulary[wordListKeys[what]];
    return entry?.what === what ? entry.words : [];
  };
  const chips = (what: WordList, label: string, placeholder: string) => (
    <WordChips
      label={label}
      placeholder={placeholder}
      words={wordsOf(what)}
      change={(words) => saveWords(what, words)}
    />
  );
  return (
    <>
      <ScreenHead title="Vocabulary">
        Words that mean the same, words a search passes over, and what spelling may do. It is in force in the window at
        once.{' '}
        <Link to="/proposals" className="text-press underline">
          See what is proposed.
        </Link>
      </ScreenHead>
      <Synonyms />
      <Section
        title="Words a search passes over"
        note="Words that add nothing, such as “for” or “supplies”. Only where other words carry the search: one of nothing but these still means them."
      >
        {chips('stopWords', 'Words to pass over', 'for, with, supplies')}
        <UsualStopWords words={wordsOf('stopWords')} />
      </Section>
      <PhraseList vocabulary={setup.vocabulary} />
      <RecognisedWords />
      <SpellingRules />
      <FixedCorrections />
      <Section
        title="Never taken as misspelt"
        note="A shopper who types one of these means it, though the catalog does not know it."
      >
        {chips('neverCorrected', 'Words never to correct', 'gesso')}
      </Section>
      <Section title="Never offered" note="No misspelt word is taken for one of these.">
        {chips('neverOffered', 'Words never to offer', 'remnant')}
      </Section>
    </>
  );
}
