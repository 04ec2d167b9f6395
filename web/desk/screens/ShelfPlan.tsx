import { ArrowLeft, X } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { dayText } from '../../../core/base/day.ts';
import { localDay } from '../../../core/base/localDay.ts';
import type { ShelfPlan } from '../../../core/setup/parts/plans.ts';
import { leastPull, most } from '../../../core/setup/terms/limits.ts';
import { type PlanHow, planHows, usualHow } from '../../../core/setup/terms/planTerms.ts';
import { Button, IconButton } from '../parts/Button.tsx';
import { Choice, NumberField, Switch, TextField } from '../parts/Controls.tsx';
import { DayField } from '../parts/DayField.tsx';
import { ProductLine, useProducts } from '../parts/ProductLine.tsx';
import { ProductPicker } from '../parts/ProductPicker.tsx';
import { Nothing, Section, shelfRow } from '../parts/Screen.tsx';
import { SearchChips } from '../parts/SearchChips.tsx';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit, step } from '../state/edits.ts';
import { withoutPin, withPin, withPull } from '../state/planActs.ts';

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

const pullInWords = (pull: number): string =>
  pull === 1 ? 'neither boosted nor lowered' : pull > 1 ? `boosted: score ×${pull}` : `lowered: score ×${pull}`;

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

/** The days on which a plan holds, and what they mean today. */
function Days({ plan, save }: { readonly plan: ShelfPlan; save(plan: ShelfPlan): void }) {
  const { setup } = useDeskState();
  const { from, until } = plan;
  const today = dayText(localDay(setup.storefront.shop.timeZone, Date.now()));
  const change = (days: Pick<ShelfPlan, 'from' | 'until'>): void => save({ ...plan, ...days });
  return (
    <div className="mt-2.5 flex flex-wrap items-center gap-x-2 gap-y-1 text-[13px]">
      From
      <DayField
        label="First day of the plan"
        value={from ?? ''}
        change={(to) => change({ from: to === '' ? undefined : to })}
      />
      until
      <DayField
        label="Last day of the plan"
        value={until ?? ''}
        change={(to) => change({ until: to === '' ? undefined : to })}
      />
      {from !== undefined && until !== undefined && until < from ? (
        <span className="text-on-changed">It ends before it begins.</span>
      ) : from !== undefined && today < from ? (
        <span className="text-soft">It is not in force yet.</span>
      ) : until !== undefined && until < today ? (
        <span className="text-on-changed">Its days are over.</span>
      ) : (
        from === undefined && until === undefined && <span className="text-soft">Without days it always holds.</span>
      )}
    </div>
  );
}

function PlanEditor({ id, plan }: { readonly id: string; readonly plan: ShelfPlan }) {
  const how = plan.how ?? usualHow;
  const go = useNavigate();
  const isChanged = useChanged('plans')(id);
  const products = useProducts([...plan.pins, ...plan.pulls].map(({ product }) => product));
  const save = (value: ShelfPlan): void => void edit({ part: 'plans', key: id, value });
  const remove = (): void => {
    void edit({ part: 'plans', key: id, value: null });
    toast(`Shelf plan “${plan.name}” is removed`, { action: { label: 'Undo', onClick: () => void step('undo') } });
    void go('/plans');
  };
  return (
    <>
      <Link to="/plans" className="inline-flex items-center gap-1 text-[13px] text-soft hover:text-ink">
        <ArrowLeft size={14} aria-hidden /> All shelf plans
      </Link>
      <div className="mt-1 mb-4 flex flex-wrap items-center gap-3">
        <h1 className="sr-only">Shelf plan {plan.name}</h1>
        <TextField
          label="Name of the plan"
          className="-ml-2 min-w-0 flex-1 border-transparent bg-transparent font-display font-semibold text-[23px]"
          value={plan.name}
          change={(name) => save({ ...plan, name })}
        />
        <Switch
          label="The plan is in force"
          shown={plan.on ? 'In force' : 'Switched off'}
          isOn={plan.on}
          change={(on) => save({ ...plan, on })}
        />
        <Button tone="danger" onClick={remove}>
          Remove
        </Button>
      </div>
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
        <Days plan={plan} save={save} />
        {plan.searches.length === 0 && (
          <p className="mt-2 text-[13px] text-on-changed">Until a search is named, the plan does nothing.</p>
        )}
      </Section>
      <Section title="Pinned to a place" note="Shown there whatever its score, even where the words do not find it.">
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
                change={(next) => save(withPin(plan, product, Math.round(next)))}
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
            choose={({ id: product }) => save(withPin(plan, product, firstFreePlace(plan)))}
          />
        </div>
      </Section>
      <Section
        title="Boosted and lowered"
        note="Strength multiplies the product’s score: ×2 doubles it, ×0.5 halves it."
      >
        <ul className="space-y-[5px]">
          {plan.pulls.map(({ product, pull }) => (
            <li key={product} className={`${shelfRow(isChanged)} flex items-center gap-3 py-1.5 pr-2 pl-3`}>
              <span className="min-w-0 flex-1">
                <ProductLine id={product} card={products?.get(product)} isKnown={products !== undefined} />
                <span className="block pl-[46px] text-[12.5px] text-soft">{pullInWords(pull)}</span>
              </span>
              <span className="text-[13px] text-soft">strength</span>
              <NumberField
                label={`Strength of ${products?.get(product)?.title ?? product}`}
                value={pull}
                least={leastPull}
                most={most.pull}
                step={0.1}
                change={(next) =>
                  save({
                    ...plan,
                    pulls: plan.pulls.map((each) => (each.product === product ? { product, pull: next } : each)),
                  })
                }
              />
              <IconButton
                label={`Neither boost nor lower ${products?.get(product)?.title ?? product}`}
                onClick={() => save(withPull(plan, product, 1))}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ul>
        <div className="mt-2 flex flex-wrap gap-2">
          <ProductPicker
            label="Boost a product"
            chosen={new Set(plan.pulls.map(({ product }) => product))}
            choose={({ id: product }) => save(withPull(plan, product, 2))}
          />
          <ProductPicker
            label="Lower a product"
            chosen={new Set(plan.pulls.map(({ product }) => product))}
            choose={({ id: product }) => save(withPull(plan, product, 0.5))}
          />
        </div>
      </Section>
    </>
  );
}
