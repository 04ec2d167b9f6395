import type { OneFilter } from './oneFilter.ts';
import { RangeBoxes } from './RangeBoxes.tsx';
import { RangeSlider } from './RangeSlider.tsx';
import { Swatches, Tiles } from './Tiles.tsx';
import { Dropdown, ValueList } from './ValueList.tsx';

/** What is inside a filter, by its kind. */
export function FilterBody(one: OneFilter) {
  const { filter } = one;
  return (
    <>
      {filter.help && <p className="mb-1.5 text-[12.5px] text-soft">{filter.help}</p>}
      <Inside {...one} />
    </>
  );
}

function Inside(one: OneFilter) {
  const { filter } = one;
  if (filter.range) {
    const { range } = filter;
    return filter.kind === 'slider' ? <RangeSlider {...one} range={range} /> : <RangeBoxes {...one} range={range} />;
  }
  if (filter.kind === 'swatches') return <Swatches {...one} />;
  if (filter.kind === 'tiles') return <Tiles {...one} />;
  if (filter.kind === 'dropdown') return <Dropdown {...one} />;
  return <ValueList {...one} />;
}
