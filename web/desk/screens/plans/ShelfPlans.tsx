import { ChevronsUp, ChevronUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { mostEdits } from '../../../../api/limits.ts';
import { searchKey } from '../../../../core/query/readUnits.ts';
import { inListOrder, ranksToMove } from '../../../../core/setup/parts/plans/planOrder.ts';
import { usualHow } from '../../../../core/setup/terms/planTerms.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { FindAndSort } from '../../parts/rule/FindAndSort.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { inRuleOrder, type RuleOrder, ruleOrders } from '../../parts/rule/ruleOrder.ts';
import { Nothing, ScreenHead } from '../../parts/Screen.tsx';
import { manyRows, ShelfList } from '../../parts/ShelfList.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { newPlanId, planFor } from '../../state/planActs.ts';
import { useTrial } from '../../state/trial.ts';
import { PlanRow } from './PlanRow.tsx';

const orders = [['list', 'in your order'], ...ruleOrders] as const;

/** Moves a plan of a long list higher. */
function MoveHigher({ name, move }: { readonly name: string; move(by: number): void }) {
  return (
    <span className="flex">
      <IconButton label={`Move ${name} to the top`} onClick={() => move(Number.POSITIVE_INFINITY)}>
        <ChevronsUp size={15} aria-hidden />
      </IconButton>
      <IconButton label={`Move ${name} higher`} onClick={() => move(1)}>
        <ChevronUp size={15} aria-hidden />
      </IconButton>
    </span>
  );
}

/** Arrange: plans for named searches. */
export function ShelfPlans() {
  const { setup } = useDeskState();
  const query = useTrial((state) => state.query);
  const go = useNavigate();
  const [order, setOrder] = useState<RuleOrder | 'list'>('list');
  const list = useMemo(() => inListOrder(setup.plans), [setup.plans]);
  const plans = order === 'list' ? list : inRuleOrder(list, order, ([, plan]) => plan);
  const [sought, setSought] = useState('');
  const shown = plans.filter(([, { name, searches }]) =>
    [name, ...searches].some((text) => text.toLowerCase().includes(sought.toLowerCase())),
  );
  const rows = shown.map(([id, plan]) => ({ id, plan, name: plan.name }));
  const placeOf = new Map(list.map(([id], at) => [id, at]));
  const mayMove = order === 'list' && sought === '';
  /** Counted from 0, in the whole list. */
  const move = async (id: string, to: number): Promise<void> => {
    const ranks = [...ranksToMove(list, id, to)];
    for (let at = 0; at < ranks.length; at += mostEdits)
      await edit(
        ...ranks.slice(at, at + mostEdits).map(([own, rank]) => ({
          ...{ part: 'plans' as const, key: own },
          value: { ...setup.plans[own], rank },
        })),
      );
  };
  const key = searchKey(query);
  const known = plans.find(
    ([, plan]) => (plan.how ?? usualHow) === 'exactly' && plan.searches.some((search) => searchKey(search) === key),
  );
  const open = (): void => {
    const { id, plan } = query
      ? planFor({ query, collection: '' })
      : { id: newPlanId('new plan'), plan: { name: 'New plan', on: true, searches: [], pins: [], pulls: [] } };
    if (!setup.plans[id]) void edit({ part: 'plans', key: id, value: plan });
    void go(`/plans/${encodeURIComponent(id)}`);
  };
  return (
    <>
      <ScreenHead
        title="Shelf plans"
        aside={
          <Button tone="strong" onClick={open}>
            {known ? `Open the plan for “${query}”` : query ? `Plan for “${query}”` : 'New plan'}
          </Button>
        }
      >
        Products you put in their place for named searches: pinned, boosted or lowered. You can also act on any product
        in the shop window, from the label under it, or on several by their boxes.
      </ScreenHead>
      <div className="-mt-1.5 mb-2">
        <RulesFile part="plans" />
      </div>
      {plans.length === 0 ? (
        <Nothing>
          No shelf plans yet. Every search is ordered by relevance and tie-breakers alone, which is often all it needs.
        </Nothing>
      ) : (
        <>
          <FindAndSort<RuleOrder | 'list'>
            label="Find a shelf plan"
            placeholder="Find a shelf plan by its name or a search"
            count={plans.length}
            sought={sought}
            find={setSought}
            order={order}
            orders={orders}
            sort={setOrder}
          />
          {shown.length === 0 && <Nothing>No shelf plan is called that, and none is for that search.</Nothing>}
          {mayMove && shown.length > 1 && (
            <p className="mb-1.5 text-[13px] text-soft">
              Of plans that hold just as exactly, the one higher in this list comes first.
            </p>
          )}
          {mayMove && shown.length <= manyRows ? (
            <SortableList label="Shelf plans" items={rows} move={({ id }, _, to) => void move(id, to)}>
              {({ id, plan }, grip) => <PlanRow id={id} plan={plan} before={grip} />}
            </SortableList>
          ) : (
            <ShelfList label="Shelf plans" items={rows} keyOf={({ id }) => id} rowHeight={58}>
              {({ id, plan }) => (
                <PlanRow
                  id={id}
                  plan={plan}
                  before={
                    mayMove && <MoveHigher name={plan.name} move={(by) => void move(id, placeOf.get(id)! - by)} />
                  }
                />
              )}
            </ShelfList>
          )}
        </>
      )}
    </>
  );
}
