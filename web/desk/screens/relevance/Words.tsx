import { Link } from 'react-router';
import { Switch } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

/** What holds for words in every attribute: typos, part numbers, and what shows where few products have them all. */
export function Words() {
  const { setup } = useDeskState();
  const changed = useChanged('relevance');
  const { spelling, partNumbers, fillUp } = setup.relevance;
  return (
    <Section title="Typos, part numbers and few results">
      <div className="space-y-[5px]">
        <div className={`${shelfRow(changed('spelling'))} px-3 py-2`}>
          <Switch
            label="Correct typos"
            isOn={spelling.tolerance}
            change={(on) => void edit({ part: 'relevance', key: 'spelling', value: { ...spelling, tolerance: on } })}
            shown={
              <>
                <b className="font-semibold">Correct typos.</b>{' '}
                <span className="text-soft">
                  A word the shop knows is only corrected where nothing has all the words. Numbers and part numbers
                  never are. How far it may go is set under{' '}
                  <Link to="/vocabulary/spelling" className="text-press underline">
                    Vocabulary
                  </Link>
                  .
                </span>
              </>
            }
          />
        </div>
        <div className={`${shelfRow(changed('partNumbers'))} px-3 py-2`}>
          <Switch
            label="A part number leads straight to its product"
            isOn={partNumbers.lead}
            change={(lead) => void edit({ part: 'relevance', key: 'partNumbers', value: { lead } })}
            shown={
              <>
                <b className="font-semibold">A part number leads straight to its product.</b>{' '}
                <span className="text-soft">
                  Where the whole search is one, however it is split; the shop opens it.
                </span>
              </>
            }
          />
        </div>
        <div className={`${shelfRow(changed('fillUp'))} px-3 py-2`}>
          <Switch
            label="Fill up searches with few results"
            isOn={fillUp.on}
            change={(on) => void edit({ part: 'relevance', key: 'fillUp', value: { on } })}
            shown={
              <>
                <b className="font-semibold">Fill up searches with few results.</b>{' '}
                <span className="text-soft">
                  Where the first page has room left, products that lack one word follow under “Also close to your
                  search”, each with the word it lacks. They never stand before a product that has all words, and are
                  not counted.
                </span>
              </>
            }
          />
        </div>
      </div>
    </Section>
  );
}
