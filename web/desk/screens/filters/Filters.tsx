import { ScreenHead, Section } from '../../parts/Screen.tsx';
import { AnySource } from './AnySource.tsx';
import { FilterList } from './FilterList.tsx';
import { FilterPlacing } from './FilterPlacing.tsx';
import { GroupList } from './GroupList.tsx';
import { ProposedFilters } from './ProposedFilters.tsx';
import { Worth } from './Worth.tsx';

/** Tune, third screen: what shoppers can narrow their results with. */
export function Filters() {
  return (
    <>
      <ScreenHead title="Filters">
        What shoppers narrow their results with, in the order in which they see it. Every change shows in the shop
        window at once.
      </ScreenHead>
      <FilterList />
      <ProposedFilters />
      <Section title="From any other source" note="An attribute, or a family of tags that begin alike.">
        <AnySource />
      </Section>
      <Section
        title="Value groups"
        note="Several values of the catalog shown to shoppers as one: any filter of the attribute can use them."
      >
        <GroupList />
      </Section>
      <FilterPlacing />
      <Worth />
    </>
  );
}
