import { Link } from 'react-router';
import { Switch } from '../../parts/Controls.tsx';
import { ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { FixedCorrections } from './FixedCorrections.tsx';
import { Synonyms } from './Synonyms.tsx';
import { UsualStopWords } from './UsualStopWords.tsx';
import { saveWords, WordChips, type WordList, wordListKeys } from './WordChips.tsx';

const recognisedKey = 'recognised';

/** Tune, second screen: the shopper's words and the shop's words brought together. */
export function Vocabulary() {
  const { setup } = useDeskState();
  const recognised = setup.vocabulary[recognisedKey];
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
        note="Only where other words carry the search: one of nothing but these still means them."
      >
        {chips('stopWords', 'Words to pass over', 'for, with')}
        <UsualStopWords words={wordsOf('stopWords')} />
      </Section>
      <Section title="Recognised in a search">
        <div className={`${shelfRow(useChanged('vocabulary')(recognisedKey))} px-3 py-2`}>
          <Switch
            label="Limits of price narrow the results"
            isOn={recognised?.what === 'recognised' && recognised.price}
            change={(price) =>
              void edit({ part: 'vocabulary', key: recognisedKey, value: price ? { what: 'recognised', price } : null })
            }
            shown={
              <>
                <b className="font-semibold">Limits of price narrow the results.</b>{' '}
                <span className="text-soft">
                  “brush under 20”, “between 5 and 10”; shoppers are told, and can take it off.
                </span>
              </>
            }
          />
        </div>
      </Section>
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
