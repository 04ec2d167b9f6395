import { ChevronRight } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { searchKey } from '../../../core/query/readUnits.ts';
import type { ShelfPlan } from '../../../core/setup/parts/plans.ts';
import { planHowTexts, usualHow } from '../../../core/setup/terms/planTerms.ts';
import { day } from '../../look/dates.ts';
import { counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
import { Nothing, ScreenHead, shelfRow } from '../parts/Screen.tsx';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';
import { newPlanId, planFor } from '../state/planActs.ts';
import { useTrial } from '../state/trial.ts';

function planInWords(plan: ShelfPlan): string {
  const boosts = plan.pulls.filter(({ pull }) => pull > 1).length;
  const lowers = plan.pulls.filter(({ pull }) => pull < 1).length;
  const does = [
    plan.pins.length > 0 ? counted(plan.pins.length, 'pin') : null,
    boosts > 0 ? counted(boosts, 'boost') : null,
    lowers > 0 ? `${lowers} lowered` : null,
  ].filter(Boolean);
  return does.length > 0 ? does.join(', ') : 'does nothing yet';
}

/** Arrange: plans for named searches. */
const daysInWords = ({ from, until }: ShelfPlan): string =>
  [from && `from ${day(from)}`, until && `until ${day(until)}`].filter(Boolean).join(' ');

export function ShelfPlans() {
  const { setup } = useDeskState();
  const changed = useChanged('plans');
  const query = useTrial((state) => state.query);
  const go = useNavigate();
  const plans = Object.entries(setup.plans).sort(([, a], [, b]) => a.name.localeCompare(b.name));
  const key = searchKey(query);
  const known = plans.find(
    ([, plan]) => (plan.how ?? usualHow) === 'exactly' && plan.searches.some((search) => searchKey(search) === key),
  );
  const open = (): void => {
    const { id, plan } = query
      ? planFor(query)
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
      {plans.length === 0 ? (
        <Nothing>
          No shelf plans yet. Every search is ordered by relevance and tie-breakers alone, which is often all it needs.
        </Nothing>
      ) : (
        <ul className="space-y-[5px]">
          {plans.map(([id, plan]) => (
            <li key={id} className={shelfRow(changed(id))}>
              <Link
                to={`/plans/${encodeURIComponent(id)}`}
                className="flex items-center gap-3 px-3 py-2 hover:text-press"
              >
                <span className="min-w-0 flex-1">
                  <span className="block truncate font-semibold">{plan.name}</span>
                  <span className="block truncate text-[12.5px] text-soft">
                    {plan.searches.length > 0
                      ? `${planHowTexts[plan.how ?? usualHow]} ${plan.searches.map((search) => `“${search}”`).join(', ')}`
                      : 'for no search yet'}{' '}
                    · {planInWords(plan)}
                  </span>
                </span>
                {(plan.from ?? plan.until) !== undefined && (
                  <span className="shrink-0 text-[12.5px] text-soft">{daysInWords(plan)}</span>
                )}
                {!plan.on && <span className="rounded bg-paper px-2 py-0.5 text-[12.5px] text-soft">switched off</span>}
                <ChevronRight size={16} aria-hidden className="text-soft" />
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
