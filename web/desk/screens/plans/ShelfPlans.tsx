import { ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { searchKey } from '../../../../core/query/readUnits.ts';
import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';
import { planHowTexts, usualHow } from '../../../../core/setup/terms/planTerms.ts';
import { isAlways, spanInWords } from '../../../../core/setup/terms/span.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Switch } from '../../parts/Controls.tsx';
import { FindAndSort } from '../../parts/rule/FindAndSort.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { inRuleOrder, type RuleOrder } from '../../parts/rule/ruleOrder.ts';
import { Nothing, ScreenHead, shelfRow } from '../../parts/Screen.tsx';
import { ShelfList } from '../../parts/ShelfList.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { newPlanId, planFor } from '../../state/planActs.ts';
import { useTrial } from '../../state/trial.ts';

function planInWords(plan: ShelfPlan): string {
  const boosts = plan.pulls.filter(({ pull }) => pull > 1).length;
  const lowers = plan.pulls.filter(({ pull }) => pull < 1).length;
  const does = [
    plan.pins.length > 0 ? counted(plan.pins.length, 'pin') : null,
    boosts > 0 ? counted(boosts, 'boost') : null,
    lowers > 0 ? `${lowers} lowered` : null,
    plan.first
      ? `${plan.only ? 'only ' : ''}${counted(plan.first.length, 'product')}${plan.only ? '' : ' first'}`
      : null,
    plan.bringIn ? `${plan.bringIn.length} brought in` : null,
    plan.conditionPulls ? counted(plan.conditionPulls.length, 'condition') : null,
    plan.hides || plan.conditionHides ? 'hides some' : null,
    plan.banners ? counted(plan.banners.length, 'banner') : null,
    plan.sort ? 'an order of its own' : null,
    plan.scope || plan.wordsOut ? 'looks elsewhere' : null,
    plan.redirect ? 'sends elsewhere' : null,
    plan.treatAs ? `taken for “${plan.treatAs}”` : null,
  ].filter(Boolean);
  return does.length > 0 ? does.join(', ') : 'does nothing yet';
}

/** Arrange: plans for named searches. */
export function ShelfPlans() {
  const { setup } = useDeskState();
  const changed = useChanged('plans');
  const query = useTrial((state) => state.query);
  const go = useNavigate();
  const [order, setOrder] = useState<RuleOrder>('name');
  const plans = inRuleOrder(Object.entries(setup.plans), order, ([, plan]) => plan);
  const [sought, setSought] = useState('');
  const shown = plans.filter(([, { name, searches }]) =>
    [name, ...searches].some((text) => text.toLowerCase().includes(sought.toLowerCase())),
  );
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
        in the shop window, from the label under it.
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
          <FindAndSort
            label="Find a shelf plan"
            placeholder="Find a shelf plan by its name or a search"
            count={plans.length}
            sought={sought}
            find={setSought}
            order={order}
            sort={setOrder}
          />
          {shown.length === 0 && <Nothing>No shelf plan is called that, and none is for that search.</Nothing>}
          <ShelfList label="Shelf plans" items={shown} keyOf={([id]) => id} rowHeight={58}>
            {([id, plan]) => (
              <div className={`${shelfRow(changed(id))} flex w-full items-center gap-3 pl-3`}>
                <Switch
                  label={`${plan.name} is in force`}
                  isOn={plan.on}
                  change={(on) => void edit({ part: 'plans', key: id, value: { ...plan, on } })}
                />
                <Link
                  to={`/plans/${encodeURIComponent(id)}`}
                  className="flex min-w-0 flex-1 items-center gap-3 py-2 pr-3 hover:text-press"
                >
                  <span className="min-w-0 flex-1">
                    <span className="block truncate font-semibold">{plan.name}</span>
                    <span className="block truncate text-[12.5px] text-soft">
                      {plan.searches.length > 0
                        ? `${planHowTexts[plan.how ?? usualHow]} ${plan.searches.map((search) => `“${search}”`).join(', ')}`
                        : plan.collections
                          ? 'on collection pages'
                          : 'for no search yet'}{' '}
                      · {planInWords(plan)}
                    </span>
                  </span>
                  {!isAlways(plan) && <span className="shrink-0 text-[12.5px] text-soft">{spanInWords(plan)}</span>}
                  <ChevronRight size={16} aria-hidden className="text-soft" />
                </Link>
              </div>
            )}
          </ShelfList>
        </>
      )}
    </>
  );
}
