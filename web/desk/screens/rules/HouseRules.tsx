import { ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { HouseRule } from '../../../../core/setup/parts/houseRules.ts';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { doesInWords, heldInWords } from '../../../../core/setup/terms/ruleInWords.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Switch } from '../../parts/Controls.tsx';
import { FindAndSort } from '../../parts/rule/FindAndSort.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { inRuleOrder, type RuleOrder, ruleOrders } from '../../parts/rule/ruleOrder.ts';
import { Nothing, ScreenHead, shelfRow } from '../../parts/Screen.tsx';
import { ShelfList } from '../../parts/ShelfList.tsx';
import { useChanged } from '../../state/changed.ts';
import { useConditionWords } from '../../state/conditionWords.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { notInForce, useRuleFigures } from './ruleFigures.ts';

/** Arrange: standing rules over attributes, for every search. */
export function HouseRules() {
  const { setup } = useDeskState();
  const go = useNavigate();
  const [sought, setSought] = useState('');
  const [order, setOrder] = useState<RuleOrder>('name');
  const inWords = useConditionWords();
  const found = Object.entries(setup.houseRules)
    .map(([id, rule]) => ({ id, rule, text: ruleInWords(rule, inWords) }))
    .filter(({ rule, text }) => `${rule.name} ${text}`.toLowerCase().includes(sought.toLowerCase()));
  const rules = inRuleOrder(found, order, ({ rule }) => rule);
  return (
    <>
      <ScreenHead
        title="House rules"
        aside={
          <Button tone="strong" onClick={() => void go('/house-rules/new')}>
            New house rule
          </Button>
        }
      >
        Boost, lower or hide everything that meets a condition, in every search, products that come tomorrow too. What
        boosts and lowers a product multiplies, and “Why here” names each rule.
      </ScreenHead>
      <div className="-mt-1.5 mb-2">
        <RulesFile part="houseRules" />
      </div>
      <FindAndSort<RuleOrder>
        label="Find a house rule"
        count={Object.keys(setup.houseRules).length}
        sought={sought}
        find={setSought}
        order={order}
        orders={ruleOrders}
        sort={setOrder}
      />
      {rules.length === 0 ? (
        <Nothing>
          {sought
            ? 'No house rule says that.'
            : 'No house rules yet. “Brand is any of these three: a little up” would be one.'}
        </Nothing>
      ) : (
        <ShelfList label="House rules" items={rules} keyOf={({ id }) => id} rowHeight={60}>
          {({ id, rule, text }) => <RuleRow id={id} rule={rule} text={text} />}
        </ShelfList>
      )}
    </>
  );
}

export const ruleInWords = (rule: HouseRule, inWords: (condition: Condition) => string): string =>
  `${doesInWords(rule)} what meets: ${inWords(rule.condition)}${heldInWords(rule)}`.replace(/^./, (letter) =>
    letter.toUpperCase(),
  );

function RuleRow({ id, rule, text }: { readonly id: string; readonly rule: HouseRule; readonly text: string }) {
  const changed = useChanged('houseRules');
  const { data } = useRuleFigures();
  const figures = data?.rules.find((each) => each.id === id);
  const isDead = figures !== undefined && figures.products === 0;
  const state = figures && rule.on ? notInForce[figures.state] : null;
  return (
    <div className={`${shelfRow(changed(id))} flex w-full items-center gap-3 px-3 py-2`}>
      <Switch
        label={`${rule.name} is in force`}
        isOn={rule.on}
        change={(on) => void edit({ part: 'houseRules', key: id, value: { ...rule, on } })}
      />
      <Link
        to={`/house-rules/${encodeURIComponent(id)}`}
        className="flex min-w-0 flex-1 items-center gap-3 hover:text-press"
      >
        <span className="min-w-0 flex-1">
          <span className="block truncate font-semibold">{rule.name}</span>
          <span className="block truncate text-[12.5px] text-soft" title={text}>
            {text}
          </span>
        </span>
        {state && <span className="shrink-0 rounded bg-paper px-2 py-0.5 text-[12.5px] text-soft">{state}</span>}
        {figures && (
          <span className={`shrink-0 text-[12.5px] ${isDead ? 'text-on-changed' : 'text-soft'}`}>
            {isDead ? 'no product meets it' : counted(figures.products, 'product')}
          </span>
        )}
        <ChevronRight size={16} aria-hidden className="shrink-0 text-soft" />
      </Link>
    </div>
  );
}
