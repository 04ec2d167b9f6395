import { Section } from '../../parts/Screen.tsx';
import { FixedCorrections } from './FixedCorrections.tsx';
import { SpellingRules } from './Spelling.tsx';
import { WordListChips } from './WordListChips.tsx';

/** How misspelt words are corrected, and which words are left alone. */
export function SpellingPage() {
  return (
    <>
      <SpellingRules />
      <FixedCorrections />
      <Section
        title="Never correct these words"
        note="Shoppers who type one of these words mean it, though the catalog does not have it."
      >
        <WordListChips what="neverCorrected" label="Never correct these words" placeholder="gesso" />
      </Section>
      <Section title="Never offer these words" note="Never offer these words as a correction.">
        <WordListChips what="neverOffered" label="Never offer these words" placeholder="remnant" />
      </Section>
    </>
  );
}
