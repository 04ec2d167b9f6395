import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { spellingOf } from '../../../../core/query/spelling.ts';
import type { Setup } from '../../../../core/setup/schema.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice, NumberField } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

const popularKey = 'spoken';
type Settings = Setup['relevance']['spelling'];

/** How big the dictionary is that misspelt words are held against, and where its words come from. */
function Dictionary() {
  const { revision, setup } = useDeskState();
  const { data } = useQuery({
    queryKey: ['desk', 'dictionary', revision],
    queryFn: ({ signal }) => call('dictionary', { signal }),
  });
  if (!data) return null;
  const entry = setup.vocabulary[popularKey];
  const popular = entry?.what === 'spoken' ? entry.words : [];
  const isNew = data.popular.join(' ') !== popular.join(' ');
  return (
    <div className="mt-1.5 text-[13px] text-soft">
      <p>
        The dictionary has {counted(data.catalog, 'word')} of your catalog and {counted(data.vocabulary, 'word')} that
        only this vocabulary says. Numbers, amounts and part numbers are not in it: the nearest would be another
        product.
      </p>
      <p>
        {popular.length > 0
          ? `Of equally near words, the ${counted(popular.length, 'word')} shoppers search for come first, then the commonest in your catalog. `
          : 'Of equally near words, the commonest in your catalog comes first. '}
        {data.popular.length > 0 && isNew && (
          <Button
            tone="quiet"
            className="px-1.5 py-0 text-[13px]"
            onClick={() =>
              void edit({ part: 'vocabulary', key: popularKey, value: { what: 'spoken', words: data.popular } })
            }
          >
            {popular.length > 0
              ? 'Take the words of the log as it is now'
              : `Let the ${counted(data.popular.length, 'word')} shoppers search for come first`}
          </Button>
        )}
        {popular.length > 0 && (
          <Button
            tone="quiet"
            className="px-1.5 py-0 text-[13px]"
            onClick={() => void edit({ part: 'vocabulary', key: popularKey, value: null })}
          >
            Go by the catalog alone
          </Button>
        )}
      </p>
    </div>
  );
}

/** How far a correction may go, and what becomes of a search that finds nothing as it is typed. */
export function SpellingRules() {
  const { setup } = useDeskState();
  const isChanged = useChanged('relevance')('spelling');
  const spelling = spellingOf(setup);
  const save = (change: Partial<Settings>): void =>
    void edit({ part: 'relevance', key: 'spelling', value: { ...setup.relevance.spelling, ...change } });
  if (!spelling.tolerance)
    return (
      <Section title="Spelling">
        <p className="text-[13px] text-soft">
          Typos are not corrected.{' '}
          <Link to="/relevance" className="text-press underline">
            Relevance
          </Link>{' '}
          switches it on.
        </p>
      </Section>
    );
  return (
    <Section
      title="Spelling"
      note="One typo is a letter wrong, missing or too many, or two neighbours swapped. A search that is spelled right is never changed."
    >
      <div className={`${shelfRow(isChanged)} space-y-1.5 px-3 py-2`}>
        <p className="flex flex-wrap items-center gap-1.5">
          One typo in words of
          <NumberField
            label="Letters from which a word may have one typo"
            value={spelling.oneEditFrom}
            least={3}
            most={20}
            change={(oneEditFrom) =>
              save({ oneEditFrom, twoEditsFrom: Math.max(oneEditFrom, 5, spelling.twoEditsFrom) })
            }
          />
          letters and more, two from
          <NumberField
            label="Letters from which a word may have two typos"
            value={spelling.twoEditsFrom}
            least={5}
            most={20}
            change={(twoEditsFrom) => save({ twoEditsFrom, oneEditFrom: Math.min(twoEditsFrom, spelling.oneEditFrom) })}
          />
        </p>
        <p className="flex flex-wrap items-center gap-1.5">
          A search that finds nothing as typed is
          <Choice
            label="What becomes of a search that finds nothing as it is typed"
            value={spelling.atOnce ? 'corrected' : 'offered'}
            options={[
              ['corrected', 'corrected automatically, and the shopper is told'],
              ['offered', 'not corrected; corrections are suggested'],
            ]}
            change={(value) => save({ atOnce: value === 'corrected' })}
          />
        </p>
        <p className="flex flex-wrap items-center gap-1.5">
          Suggest up to
          <NumberField
            label="Other readings that are offered, at most"
            value={spelling.offers}
            least={0}
            most={5}
            change={(offers) => save({ offers })}
          />
          {spelling.offers === 1 ? 'correction' : 'corrections'} (“Did you mean …”)
        </p>
      </div>
      <Dictionary />
    </Section>
  );
}
