import { LayoutGrid, X } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { type PlanHow, planHows, usualHow } from '../../../../core/setup/terms/planTerms.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Choice, NumberField, Switch } from '../../parts/Controls.tsx';
import { ProductLine, useProducts } from '../../parts/ProductLine.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { AboutRule } from '../../parts/rule/AboutRule.tsx';
import { RuleEffect } from '../../parts/rule/RuleEffect.tsx';
import { BackTo, RuleHead } from '../../parts/rule/RuleHead.tsx';
import { WhenFields } from '../../parts/rule/WhenFields.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { SearchChips } from '../../parts/SearchChips.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { newPlanId, withoutPin, withPins } from '../../state/planActs.ts';
import { madeNow } from '../../state/whenNow.ts';
import { Conflicts } from './Conflicts.tsx';
import { PlanBanners } from './PlanBanners.tsx';
import { PlanCollections } from './PlanCollections.tsx';
import { HiddenByPlan } from './PlanConditions.tsx';
import { PlanElsewhere } from './PlanElsewhere.tsx';
import { PlanFilters } from './PlanFilters.tsx';
import { PlanOrder } from './PlanOrder.tsx';
import { BroughtIn, FirstProducts } from './PlanProducts.tsx';
import { PlanPulls } from './PlanPulls.tsx';
import { PlanWhen } from './PlanWhen.tsx';
import type { OfPlan } from './planPart.ts';

export function ShelfPlanScreen() {
  const { id = '' } = useParams();
  const { setup } = useDeskState();
  const plan = setup.plans[id];
  return plan ? (
    <PlanEditor key={id} id={id} plan={plan} />
  ) : (
    <Nothing>
      This plan is no longer there.{' '}
      <Link to="/plans" className="text-press underline">
        All shelf plans
      </Link>
    </Nothing>
  );
}

/** The first place that no pin of the plan has. */
function firstFreePlace(plan: ShelfPlan): number {
  let place = 1;
  while (plan.pins.some((pin) => pin.place === place)) place++;
  return place;
}

const howLabels: Readonly<Record<PlanHow, string>> = {
  exactly: 'Exactly these words',
  meaning: 'The same meaning',
  beginning: 'Beginning with these',
  containing: 'Containing these',
};
const howNotes: Readonly<Record<PlanHow, string>> = {
  exactly: 'Just these words in this order, whatever their capitals and accents.',
  meaning: 'The same words in any order, in any form or as a synonym, and none more.',
  beginning: 'Searches that begin with these words. A plan that holds more exactly comes first.',
  containing: 'Searches in which these words stand together. A plan that holds more exactly comes first.',
};

function PlanEditor({ id, plan }: { readonly id: string; readonly plan: ShelfPlan }) {
  const how = plan.how ?? usualHow;
  const go = useNavigate();
  const { setup } = useDeskState();
  const isChanged = useChanged('plans')(id);
  const products = useProducts(plan.pins.map(({ product }) => product));
  const save = (value: ShelfPlan): void => void edit({ part: 'plans', key: id, value });
  const of: OfPlan = { plan, save, isChanged };
  const remove = (): void => {
    void edit({ part: 'plans', key: id, value: null });
    toast(`Shelf plan “${plan.name}” is removed`, { action: { label: 'Undo', onClick: () => void step('undo') } });
    void go('/plans');
  };
  const duplicate = (): void => {
    const key = newPlanId(id);
    const name = `${plan.name.slice(0, longest.planName - 7)} (copy)`;
    void edit({ part: 'plans', key, value: { ...plan, name, on: false, ...madeNow(setup) } });
    void go(`/plans/${encodeURIComponent(key)}`);
  };
  return (
    <>
      <BackTo list="/plans">All shelf plans</BackTo>
      <RuleHead
        of="plan"
        heading={`Shelf plan ${plan.name}`}
        value={plan}
        change={(next) => save({ ...plan, ...next })}
        duplicate={duplicate}
        remove={remove}
      >
        <Link
          to={`/plans/${encodeURIComponent(id)}/board`}
          className="inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3.5 py-[6.5px] font-semibold hover:border-edge"
        >
          <LayoutGrid size={15} aria-hidden /> Board
        </Link>
      </RuleHead>
      <Section
        title="For these searches"
        note={`${howNotes[how]} Click one to try it.`}
        aside={
          <Choice
            label="How a search is compared"
            value={how}
            options={planHows.map((each) => [each, howLabels[each]] as const)}
            change={(to) => save({ ...plan, how: to })}
          />
        }
      >
        <SearchChips
          label="Searches of this plan"
          searches={plan.searches}
          change={(searches) => save({ ...plan, searches })}
        />
        <PlanCollections {...of} />
        <div className="mt-2.5">
          <WhenFields of="the plan" value={plan} change={(span) => save({ ...plan, ...span })} />
        </div>
        <PlanWhen {...of} />
      </Section>
      <Conflicts id={id} plan={plan} />
      <PlanOrder {...of} />
      <PlanFilters {...of} />
      <FirstProducts {...of} />
      <Section
        title="Pinned to a place"
        note="Shown there whatever its score, even where the words do not find it."
        aside={
          plan.pins.length > 0 && (
            <Switch
              label="Pins of sold-out products wait"
              shown="Wait while sold out"
              isOn={plan.pinsWait ?? false}
              change={(waits) => save({ ...plan, pinsWait: waits || undefined })}
            />
          )
        }
      >
        <ul className="space-y-[5px]">
          {plan.pins.map(({ product, place }) => (
            <li key={product} className={`${shelfRow(isChanged)} flex items-center gap-3 py-1.5 pr-2 pl-3`}>
              <span className="min-w-0 flex-1">
                <ProductLine id={product} card={products?.get(product)} isKnown={products !== undefined} />
              </span>
              <span className="text-[13px] text-soft">place</span>
              <NumberField
                label={`Place of ${products?.get(product)?.title ?? product}`}
                value={place}
                least={1}
                most={500}
                change={(next) => save(withPins(plan, [product], Math.round(next)))}
              />
              <IconButton
                label={`Unpin ${products?.get(product)?.title ?? product}`}
                onClick={() => save(withoutPin(plan, product))}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ul>
        <div className="mt-2">
          <ProductPicker
            label="Pin a product"
            chosen={new Set(plan.pins.map(({ product }) => product))}
            choose={({ id: product }) => save(withPins(plan, [product], firstFreePlace(plan)))}
          />
        </div>
      </Section>
      <PlanPulls id={id} {...of}>
        {plan.searches.length > 0 && <RuleEffect part="plans" id={id} value={plan} />}
      </PlanPulls>
      <BroughtIn {...of} />
      <HiddenByPlan {...of} />
      <PlanBanners {...of} />
      <PlanElsewhere {...of} />
      <Section title="For later">
        <AboutRule value={plan} change={(about) => save({ ...plan, ...about })} />
      </Section>
    </>
  );
}
