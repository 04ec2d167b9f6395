import { most } from '../../../../core/setup/terms/limits.ts';
import { CollectionChips } from '../../parts/CollectionChips.tsx';
import { useCollections } from '../../state/collections.ts';
import { type OfPlan, unlessEmpty } from './planPart.ts';

/** The collections on whose pages the plan holds too. */
export function PlanCollections({ plan, save }: OfPlan) {
  const known = useCollections();
  const chosen = plan.collections ?? [];
  if (known.length === 0 && chosen.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13.5px]">
      and on the pages of the collections
      <CollectionChips
        label="Add a collection"
        chosen={chosen}
        most={most.collections}
        change={(collections) => save({ ...plan, collections: unlessEmpty(collections) })}
      />
    </div>
  );
}
