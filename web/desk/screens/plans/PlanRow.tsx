import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';
import { planHowTexts, usualHow } from '../../../../core/setup/terms/planTerms.ts';
import { isAlways, spanInWords } from '../../../../core/setup/terms/span.ts';
import { counted } from '../../../look/price.ts';
import { Switch } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { edit } from '../../state/edits.ts';

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
    plan.filters ? counted(plan.filters.length, 'filter') : null,
    plan.redirect ? 'sends elsewhere' : null,
    plan.treatAs ? `taken for “${plan.treatAs}”` : null,
  ].filter(Boolean);
  return does.length > 0 ? does.join(', ') : 'does nothing yet';
}

/** A shelf plan in the list of them. */
export function PlanRow({
  id,
  plan,
  before,
}: {
  readonly id: string;
  readonly plan: ShelfPlan;
  /** What the row is moved by. */
  readonly before: ReactNode;
}) {
  const changed = useChanged('plans');
  return (
    <div className={`${shelfRow(changed(id))} flex w-full items-center gap-3 ${before ? 'pl-1.5' : 'pl-3'}`}>
      {before}
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
          <span className="flex items-baseline justify-between gap-3">
            <span className="truncate font-semibold">{plan.name}</span>
            {!isAlways(plan) && <span className="shrink-0 text-[12.5px] text-soft">{spanInWords(plan)}</span>}
          </span>
          <span className="block truncate text-[12.5px] text-soft">
            {plan.searches.length > 0
              ? `${planHowTexts[plan.how ?? usualHow]} ${plan.searches.map((search) => `“${search}”`).join(', ')}`
              : plan.collections
                ? 'on collection pages'
                : 'for no search yet'}{' '}
            · {planInWords(plan)}
          </span>
        </span>
        <ChevronRight size={16} aria-hidden className="text-soft" />
      </Link>
    </div>
  );
}
