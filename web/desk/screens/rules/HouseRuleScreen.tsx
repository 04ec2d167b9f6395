import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { own } from '../../../../core/base/named.ts';
import { freeKey } from '../../../../core/setup/freeKey.ts';
import type { HouseRule } from '../../../../core/setup/parts/houseRules.ts';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { places } from '../../../../core/setup/terms/placeTerms.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { AboutRule } from '../../parts/rule/AboutRule.tsx';
import { PlaceTicks } from '../../parts/rule/PlaceTicks.tsx';
import { PullAim } from '../../parts/rule/PullAim.tsx';
import { RuleEffect } from '../../parts/rule/RuleEffect.tsx';
import { BackTo, RuleHead } from '../../parts/rule/RuleHead.tsx';
import { Strength } from '../../parts/rule/Strength.tsx';
import { WhenFields } from '../../parts/rule/WhenFields.tsx';
import { Nothing, Section } from '../../parts/Screen.tsx';
import { useConditionWords } from '../../state/conditionWords.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { useTrial } from '../../state/trial.ts';
import { madeNow } from '../../state/whenNow.ts';

type Does = HouseRule['does'];
/** A rule that is being made may have no condition yet. */
type Unfinished = Omit<HouseRule, 'condition'> & { readonly condition: Condition | null };

/** How strongly a rule begins: a little. */
const firstPull = 1.4;

export function HouseRuleScreen() {
  const { id = '' } = useParams();
  const { setup } = useDeskState();
  const rule = own(setup.houseRules, id);
  if (rule) return <KnownRule key={id} id={id} rule={rule} />;
  return (
    <Nothing>
      This rule is no longer there.{' '}
      <Link to="/house-rules" className="text-press underline">
        All house rules
      </Link>
    </Nothing>
  );
}

function KnownRule({ id, rule }: { readonly id: string; readonly rule: HouseRule }) {
  const go = useNavigate();
  const { setup } = useDeskState();
  const save = (value: HouseRule): void => void edit({ part: 'houseRules', key: id, value });
  const remove = (): void => {
    void edit({ part: 'houseRules', key: id, value: null });
    toast(`House rule “${rule.name}” is removed`, { action: { label: 'Undo', onClick: () => void step('undo') } });
    void go('/house-rules');
  };
  const duplicate = (): void => {
    const key = freeKey(setup.houseRules, id);
    const name = `${rule.name.slice(0, longest.planName - 7)} (copy)`;
    void edit({ part: 'houseRules', key, value: { ...rule, name, on: false, ...madeNow(setup) } });
    void go(`/house-rules/${encodeURIComponent(key)}`);
  };
  return (
    <>
      <BackTo list="/house-rules">All house rules</BackTo>
      <RuleHead
        of="rule"
        heading={`House rule ${rule.name}`}
        value={rule}
        change={(next) => save({ ...rule, ...next })}
        duplicate={duplicate}
        remove={remove}
      />
      <RuleFields
        id={id}
        rule={rule}
        change={(next) => {
          if (next.condition) save({ ...next, condition: next.condition });
        }}
      />
    </>
  );
}

/** A new rule: in the draft as soon as it says what it is about, so that the shop window shows what it does while it is made. */
export function NewHouseRule() {
  const go = useNavigate();
  const { setup } = useDeskState();
  const inWords = useConditionWords();
  const [key, setKey] = useState<string | null>(null);
  const [rule, setRule] = useState<Unfinished>({
    ...{ name: '', on: true, condition: null, does: { what: 'pull', pull: firstPull } },
    ...madeNow(setup),
  });
  /** What it says of a product, as a name: “it is in stock” is called In stock. */
  const calledBy = (condition: Condition): string =>
    inWords(condition)
      .replace(/^it is /, '')
      .replace(/[“”]/g, '')
      .replace(/^./, (letter) => letter.toUpperCase())
      .slice(0, longest.planName);
  const change = (next: Unfinished): void => {
    setRule(next);
    if (!next.condition) return;
    const under = key ?? freeKey(setup.houseRules, 'rule');
    setKey(under);
    const value = { ...next, name: next.name.trim() || calledBy(next.condition) };
    void edit({ part: 'houseRules', key: under, value });
  };
  const leave = (keep: boolean): void => {
    if (key && !keep) void edit({ part: 'houseRules', key, value: null });
    void go('/house-rules');
  };
  return (
    <>
      <BackTo list="/house-rules">All house rules</BackTo>
      <h1 className="mt-1 mb-4 font-display font-semibold text-[25px] leading-tight tracking-tight">New house rule</h1>
      <RuleFields id={key ?? 'new'} rule={rule} change={change} />
      <div className="mt-5 flex flex-wrap items-center gap-2 border-t pt-3">
        <TextField
          label="Name of the rule"
          placeholder={rule.condition ? calledBy(rule.condition) : 'A name, or it is called by its condition'}
          className="min-w-[200px] flex-1"
          mayBeEmpty
          maxLength={longest.planName}
          value={rule.name}
          change={(name) => change({ ...rule, name })}
        />
        <Button tone="quiet" onClick={() => leave(false)}>
          {key ? 'Remove it again' : 'Cancel'}
        </Button>
        <Button tone="strong" disabled={!key} onClick={() => leave(true)}>
          Done
        </Button>
      </div>
    </>
  );
}

/** The places with an order that something can be moved in. */
const orderedPlaces = places.filter((place) => place !== 'emptyShelf');

const actTexts = [
  ['pull', 'boost or lower'],
  ['hide', 'hide'],
  ['only', 'show nothing but'],
] as const;

/** What a rule is about, what it does, where and when. */
function RuleFields({
  id,
  rule,
  change,
}: {
  readonly id: string;
  readonly rule: Unfinished;
  change(rule: Unfinished): void;
}) {
  const [drawn, setDrawn] = useState<number | null>(null);
  // Worked out from the results of a search: of what is in the draft, and holds there.
  const isAimable = Object.hasOwn(useDeskState().setup.houseRules, id) && (rule.places?.includes('results') ?? true);
  const trial = useTrial(({ query }) => query);
  const { does } = rule;
  const setDoes = (what: Does['what']): void =>
    change({ ...rule, does: what === 'pull' ? { what, pull: firstPull } : { what } });
  const shown = does.what === 'pull' && drawn !== null ? { ...does, pull: drawn } : does;
  return (
    <>
      <Section title="Products" note="Every product that meets this, also those that come later.">
        <ConditionEditor value={rule.condition} change={(condition) => change({ ...rule, condition })} />
        <ConditionMet condition={rule.condition} />
      </Section>
      <Section
        title="What the rule does"
        aside={
          <Choice<Does['what']> label="What the rule does" value={does.what} options={actTexts} change={setDoes} />
        }
      >
        {does.what === 'pull' && (
          <Strength
            label="Strength of the rule"
            value={does.pull}
            drawn={setDrawn}
            change={(pull) => {
              setDrawn(null);
              change({ ...rule, does: { what: 'pull', pull } });
            }}
          />
        )}
        {does.what === 'pull' && isAimable && (
          <PullAim
            pulled={{ of: 'rule', rule: id }}
            title="the rule’s products"
            searches={trial.trim() === '' ? [] : [trial.trim()]}
            change={(pull) => change({ ...rule, does: { what: 'pull', pull } })}
          />
        )}
        {does.what === 'only' && (
          <p className="text-[13px] text-soft">
            Everything that does not meet it is hidden. Where nothing meets it, the rule does nothing.
          </p>
        )}
        {does.what === 'hide' && (
          <p className="text-[13px] text-soft">
            Not in results, not in counts, not by part number. Of a product only the variants that meet it.
          </p>
        )}
        {rule.condition && (
          <RuleEffect part="houseRules" id={id} value={{ ...rule, name: rule.name || 'New', does: shown }} />
        )}
      </Section>
      <Section title="Where and when">
        <div className="space-y-2.5">
          <PlaceTicks
            label="Places where the rule holds"
            offered={does.what === 'pull' ? orderedPlaces : places}
            value={rule.places}
            change={(to) => change({ ...rule, places: to })}
          />
          <WhenFields of="the rule" value={rule} change={(span) => change({ ...rule, ...span })} />
        </div>
      </Section>
      <Section title="For later">
        <AboutRule value={rule} change={(about) => change({ ...rule, ...about })} />
      </Section>
    </>
  );
}
