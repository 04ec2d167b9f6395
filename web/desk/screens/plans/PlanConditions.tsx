import { Plus, X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { PullAim } from '../../parts/rule/PullAim.tsx';
import { Strength } from '../../parts/rule/Strength.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useConditionWords } from '../../state/conditionWords.ts';
import { NamedProducts } from './PlanProducts.tsx';
import { type OfPlan, unlessEmpty } from './planPart.ts';

/** How strongly a condition boosts at first. */
const firstPull = 1.5;

/** One condition of a plan in words, to be opened and changed. */
function ConditionRow({
  condition,
  isChanged,
  change,
  remove,
  children,
}: {
  readonly condition: Condition;
  readonly isChanged: boolean;
  change(condition: Condition): void;
  remove(): void;
  readonly children?: ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  const text = useConditionWords()(condition);
  return (
    <li className={`${shelfRow(isChanged)} py-1.5 pr-2 pl-3`}>
      <div className="flex items-center gap-2">
        <span className="min-w-0 flex-1">{text}</span>
        <Button
          tone="quiet"
          className="px-2 py-1 text-[13px]"
          aria-expanded={isOpen}
          aria-label={`Change: ${text}`}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Done' : 'Change'}
        </Button>
        <IconButton label={`Remove: ${text}`} onClick={remove}>
          <X size={15} aria-hidden />
        </IconButton>
      </div>
      {isOpen && (
        <div className="mt-1.5">
          <ConditionEditor value={condition} change={change} />
          <ConditionMet condition={condition} />
        </div>
      )}
      {children}
    </li>
  );
}

/** What a plan looks at only, where it does not look at the whole shop. */
export function PlanScope({ plan, save, isChanged }: OfPlan) {
  return plan.scope ? (
    <ul>
      <ConditionRow
        condition={plan.scope}
        isChanged={isChanged}
        change={(scope) => save({ ...plan, scope })}
        remove={() => save({ ...plan, scope: undefined })}
      >
        <span className="text-soft">Only this is looked at.</span>
      </ConditionRow>
    </ul>
  ) : (
    <NewCondition label="Look only within …" add={(scope) => save({ ...plan, scope })} />
  );
}

/** A condition that is being made: it counts once it is complete. */
function NewCondition({ label, add }: { readonly label: string; add(condition: Condition): void }) {
  const [isOpen, setOpen] = useState(false);
  if (!isOpen)
    return (
      <Button onClick={() => setOpen(true)}>
        <Plus size={15} aria-hidden /> {label}
      </Button>
    );
  return (
    <div className="w-full">
      <ConditionEditor
        value={null}
        change={(condition) => {
          setOpen(false);
          add(condition);
        }}
      />
      <Button tone="quiet" className="mt-1 text-[13px]" onClick={() => setOpen(false)}>
        Cancel
      </Button>
    </div>
  );
}

const without = <Item,>(list: readonly Item[], at: number): Item[] => list.filter((_, index) => index !== at);
const replaced = <Item,>(list: readonly Item[], at: number, by: Item): Item[] =>
  list.map((item, index) => (index === at ? by : item));

/** Conditions that boost or lower all that meet them; a product that the plan names by itself goes by its own strength. */
export function ConditionPulls({ id, plan, save, isChanged }: OfPlan & { readonly id: string }) {
  const pulls = plan.conditionPulls ?? [];
  const set = (list: typeof pulls): void => save({ ...plan, conditionPulls: unlessEmpty(list) });
  return (
    <>
      <ul className="mt-2 space-y-[5px]" aria-label="Boosted or lowered by a condition">
        {pulls.map(({ condition, pull }, at) => (
          <ConditionRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a condition has no name of its own
            key={at}
            condition={condition}
            isChanged={isChanged}
            change={(to) => set(replaced(pulls, at, { condition: to, pull }))}
            remove={() => set(without(pulls, at))}
          >
            <Strength
              label={`Strength of condition ${at + 1}`}
              value={pull}
              change={(to) => set(replaced(pulls, at, { condition, pull: to }))}
            />
            <PullAim
              pulled={{ of: 'condition', plan: id, at }}
              title={`condition ${at + 1}`}
              searches={plan.searches}
              change={(to) => set(replaced(pulls, at, { condition, pull: to }))}
            />
          </ConditionRow>
        ))}
      </ul>
      {pulls.length < most.planConditions && (
        <div className="mt-2">
          <NewCondition
            label="Boost by a condition"
            add={(condition) => set([...pulls, { condition, pull: firstPull }])}
          />
        </div>
      )}
    </>
  );
}

/** What does not show for the plan's searches, by product and by condition. */
export function HiddenByPlan({ plan, save, isChanged }: OfPlan) {
  const products = plan.hides ?? [];
  const conditions = plan.conditionHides ?? [];
  const setProducts = (list: readonly string[]): void => save({ ...plan, hides: unlessEmpty(list) });
  const setConditions = (list: readonly Condition[]): void => save({ ...plan, conditionHides: unlessEmpty(list) });
  return (
    <Section title="Hidden here" note="For these searches only; Hiding hides from every search.">
      <NamedProducts
        products={products}
        isChanged={isChanged}
        takeOff={(title) => `No longer hide ${title}`}
        change={setProducts}
      />
      <ul className="mt-[5px] space-y-[5px]" aria-label="Hidden by a condition">
        {conditions.map((condition, at) => (
          <ConditionRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a condition has no name of its own
            key={at}
            condition={condition}
            isChanged={isChanged}
            change={(to) => setConditions(replaced(conditions, at, to))}
            remove={() => setConditions(without(conditions, at))}
          />
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        <ProductPicker
          label="Hide a product here"
          chosen={new Set(products)}
          choose={({ id }) => setProducts([...products, id])}
        />
        {conditions.length < most.planConditions && (
          <NewCondition label="Hide by a condition" add={(condition) => setConditions([...conditions, condition])} />
        )}
      </div>
    </Section>
  );
}
