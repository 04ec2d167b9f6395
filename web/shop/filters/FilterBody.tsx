import type { OneFilter } from './oneFilter.ts';
import { RangeBoxes } from './RangeBoxes.tsx';
import { RangeSlider } from './RangeSlider.tsx';
import { Swatches, Tiles } from './Tiles.tsx';
import { Dropdown, DropdownList, ValueList } from './ValueList.tsx';

/** What is inside a filter, by its kind; `isOpened` where it stands in a panel that was opened for it. */
export function FilterBody({ isOpened = false, ...one }: OneFilter & { readonly isOpened?: boolean }) {
  const { filter } = one;
  return (
    <>
      {filter.help && <p className="mb-1.5 text-[12.5px] text-soft">{filter.help}</p>}
      <Inside {...one} isOpened={isOpened} />
    </>
  );
}

function Inside({ isOpened, ...one }: OneFilter & { readonly isOpened: boolean }) {
  const { filter } = one;
  if (filter.range) {
    const { range } = filter;
    return filter.kind === 'slider' ? <RangeSlider {...one} range={range} /> : <RangeBoxes {...one} range={range} />;
  }
  if (filter.kind === 'swatches') return <Swatches {...one} />;
  if (filter.kind === 'tiles') return <Tiles {...one} />;
  // Behind a button already, its list needs no second one.
  if (filter.kind === 'dropdown') return isOpened ? <DropdownList {...one} /> : <Dropdown {...one} />;
  return <ValueList {...one} />;
}
