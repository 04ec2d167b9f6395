import { mendPlan } from '../../../../core/rules/mendRule.ts';
import { planConflicts } from '../../../../core/rules/planConflicts.ts';
import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';
import { Button } from '../../parts/Button.tsx';
import { useProducts } from '../../parts/ProductLine.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { conflictInWords } from './conflictInWords.ts';

/** What contradicts itself in the plan, said where it is changed. */
export function Conflicts({ id, plan }: { readonly id: string; readonly plan: ShelfPlan }) {
  const { setup } = useDeskState();
  const conflicts = planConflicts(plan, Object.values(setup.plans));
  const named = conflicts.flatMap((conflict) => ('product' in conflict ? [conflict.product] : []));
  const products = useProducts(named);
  if (conflicts.length === 0) return null;
  return (
    <ul aria-label="What contradicts itself" className="mt-3 space-y-1 text-[13px] text-on-changed">
      {conflicts.map((conflict) => {
        const text = conflictInWords(conflict, (product) => products?.get(product)?.title ?? product);
        const mend = mendPlan(id, plan, conflict);
        return (
          <li key={text} className="flex flex-wrap items-center gap-x-2 gap-y-1">
            <span className="min-w-[200px] flex-1">{text}</span>
            {conflict.code !== 'neverHolds' && conflict.code !== 'doesNothing' && (
              <Button
                className="px-2.5 py-1 text-[13px]"
                title={`${mend.label}: ${text}`}
                onClick={() => void edit(mend.edit)}
              >
                {mend.label}
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
