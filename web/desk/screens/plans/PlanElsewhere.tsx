import { longest } from '../../../../core/setup/terms/limits.ts';
import { AddressField } from '../../parts/AddressField.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import type { OfPlan } from './planPart.ts';

/** Where shoppers are sent instead, and which search is answered in the place of this one. */
export function PlanElsewhere({ plan, save }: OfPlan) {
  return (
    <Section title="Instead of its results">
      <div className="space-y-2 text-[13.5px]">
        <div className="flex flex-wrap items-center gap-2">
          <span className="w-[150px]">Send shoppers to</span>
          <AddressField
            label="Page shoppers are sent to"
            placeholder="/pages/opening-hours or https://…"
            className="min-w-[200px] flex-1"
            maxLength={longest.link}
            value={plan.redirect ?? ''}
            change={(link) => save({ ...plan, redirect: link === '' ? undefined : link })}
          />
        </div>
        <div className="flex flex-wrap items-center gap-2">
          <span className="w-[150px]">Take it for the search</span>
          <TextField
            label="Search it is taken for"
            placeholder="as it is"
            className="min-w-[200px] flex-1"
            mayBeEmpty
            maxLength={longest.search}
            value={plan.treatAs ?? ''}
            change={(treatAs) => save({ ...plan, treatAs: treatAs === '' ? undefined : treatAs })}
          />
        </div>
        <p className="text-[13px] text-soft">
          Pages within the shop open at once; an address elsewhere is offered to shoppers with its results below.
        </p>
      </div>
    </Section>
  );
}
