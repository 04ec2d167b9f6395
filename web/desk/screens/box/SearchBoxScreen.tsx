import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { longestQuery } from '../../../../core/query/readUnits.ts';
import { type BoxMoment, boxMoments, momentNames } from '../../../../core/setup/terms/boxTerms.ts';
import { TextField } from '../../parts/Controls.tsx';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { ScreenHead } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { useShopWindow } from '../../state/shopWindow.ts';
import { useTrial } from '../../state/trial.ts';
import { BoxShape } from './BoxShape.tsx';
import { LettersNeeded } from './LettersNeeded.tsx';
import { MomentBlocks } from './MomentBlocks.tsx';
import { Offered } from './Offered.tsx';
import { SuggestedSearches } from './SuggestedSearches.tsx';

const addresses: Readonly<Record<BoxMoment, string>> = {
  before: '/search-box',
  typing: '/search-box/typing',
  nothing: '/search-box/nothing',
};
/** What no shop of this kind has. */
const hopeless = 'xylophone';
/** Letters of the trial search that stand in the box to begin with. */
const begun = 3;

/** Shopfront: what hangs under the search box, at each of its three moments, with the box open beside it. */
export function SearchBoxScreen() {
  const { moment: named } = useParams();
  const isList = named === 'suggested';
  const moment = boxMoments.find((each) => each === named) ?? 'before';
  const isChanged = useChanged('searchBox');
  const { changes } = useDeskState();
  const trial = useTrial((state) => state.query);
  const [typed, setTyped] = useState({ typing: trial.slice(0, begun) || 'pap', nothing: hopeless });
  const shown = moment === 'before' ? '' : typed[moment];
  const { openBox } = useShopWindow.getState();
  useEffect(() => {
    openBox(shown);
    return () => openBox(null);
  }, [openBox, shown]);
  return (
    <>
      <ScreenHead title="Search box">
        What shoppers see under the box, at three moments. The box stays open in the shop window while you are here.
      </ScreenHead>
      <PageTabs
        label="Moments of the search box"
        pages={[
          ...boxMoments.map((each) => ({ to: addresses[each], label: momentNames[each], isChanged: isChanged(each) })),
          {
            to: '/search-box/suggested',
            label: 'Suggested searches',
            isChanged: changes.some(({ part }) => part === 'suggestedSearches'),
          },
        ]}
      />
      {moment !== 'before' && (
        <p className="mb-3 flex flex-wrap items-center gap-2 text-[13px]">
          Typed so far
          <TextField
            label="Typed so far"
            value={typed[moment]}
            maxLength={longestQuery}
            change={(text) => setTyped((before) => ({ ...before, [moment]: text }))}
          />
          <span className="text-soft">Or type into the box in the shop window.</span>
        </p>
      )}
      {isList ? (
        <SuggestedSearches />
      ) : (
        <>
          <MomentBlocks key={moment} moment={moment} />
          {moment === 'typing' && <LettersNeeded />}
          {moment !== 'nothing' && <Offered typed={shown} />}
          <BoxShape />
        </>
      )}
    </>
  );
}
