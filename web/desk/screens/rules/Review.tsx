import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { aYearLater } from '../../../../core/base/yearOn.ts';
import { type Mend, mendRule } from '../../../../core/rules/mendRule.ts';
import { type ReviewItem, type ReviewReason, type RuleRef, reviewRules } from '../../../../core/rules/reviewRules.ts';
import type { Setup } from '../../../../core/setup/schema.ts';
import type { EntryEdit } from '../../../../core/setup/withEntry.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { useProducts } from '../../parts/ProductLine.tsx';
import { Tick } from '../../parts/rule/PlaceTicks.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { useAttributeLabels } from '../../state/attributes.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { whenNow } from '../../state/whenNow.ts';
import { Calendar } from './Calendar.tsx';
import { reasonInWords, ruleAddress, ruleName } from './reviewInWords.ts';
import { useRuleFigures, useRuleUse } from './ruleFigures.ts';

const groups: readonly { readonly title: string; readonly codes: readonly ReviewReason['code'][] }[] = [
  { title: 'Contradictions', codes: ['samePlace', 'outdone', 'hiddenAnyway', 'cancelOut'] },
  { title: 'Does nothing', codes: ['attributeGone', 'meetsNothing', 'neverTriggers', 'changesNothing'] },
  { title: 'Works against what shoppers buy', codes: ['againstBuying'] },
  { title: 'Over', codes: ['over'] },
  { title: 'To be looked at again', codes: ['lookAgain'] },
];
const idle = new Set(['doesNothing', 'neverHolds']);
const titleFor = ({ reason }: ReviewItem): string =>
  reason.code === 'conflict'
    ? idle.has(reason.conflict.code)
      ? 'Does nothing'
      : 'Contradictions'
    : groups.find(({ codes }) => codes.includes(reason.code))!.title;

const nameOf = ({ part, key }: RuleRef): string => `${part}\n${key}`;

/** Edits that keep some rules for another year: their dates, and the day to look at them again, a year on. */
function anotherYear(setup: Setup, refs: readonly RuleRef[]): EntryEdit[] {
  return refs.flatMap(({ part, key }) => {
    const entry = setup[part][key];
    if (!entry) return [];
    const { from, until, lookAgain } = entry;
    const later = {
      ...(from !== undefined && { from: aYearLater(from) }),
      ...(until !== undefined && { until: aYearLater(until) }),
      ...(lookAgain !== undefined && { lookAgain: aYearLater(lookAgain) }),
    };
    return [{ part, key, value: { ...entry, ...later } }];
  });
}

/** Edits that switch plans and house rules off; a hiding has no switch, it is shown again instead. */
const switchedOff = (setup: Setup, refs: readonly RuleRef[]): EntryEdit[] =>
  refs.flatMap(({ part, key }) => {
    const entry = setup[part][key];
    if (!entry) return [];
    return [{ part, key, value: 'on' in entry ? { ...entry, on: false } : null }];
  });

/** Arrange: plans, house rules and hidings that contradict each other, do nothing, are over, or were to be looked at again. */
export function Review() {
  const { setup } = useDeskState();
  const { data, error, refetch } = useRuleFigures();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const use = useRuleUse();
  const items = data ? reviewRules(setup, data, whenNow(setup), use.data ?? null) : [];
  const present = new Set(items.map(nameOf));
  const refs = [...new Map(items.map((item) => [nameOf(item), item])).values()].filter((item) =>
    chosen.has(nameOf(item)),
  );
  const toggle = (name: string): void => {
    const next = new Set([...chosen].filter((each) => present.has(each)));
    if (!next.delete(name)) next.add(name);
    setChosen(next);
  };
  const carryOut = (edits: readonly EntryEdit[], done: string): void => {
    if (edits.length === 0) return;
    void edit(...edits);
    setChosen(new Set());
    toast(`${done}: ${counted(edits.length, 'rule')}`, {
      description: 'In the draft, not yet published.',
      action: { label: 'Undo', onClick: () => void step('undo') },
    });
  };
  return (
    <>
      <ScreenHead title="Review">
        Plans, house rules and hidings that contradict each other, do nothing, are over, or were to be looked at again
        by now.
      </ScreenHead>
      {error && !data ? (
        <LoadProblem error={error} again={() => void refetch()} />
      ) : !data ? (
        <Loading what="Looking through the rules" />
      ) : items.length === 0 ? (
        use.isPending ? (
          <Loading what="Looking what shoppers did" />
        ) : (
          <Nothing>Nothing is to be looked at. Every rule does something, and none contradicts another.</Nothing>
        )
      ) : (
        <>
          {use.isPending && <p className="mb-2 text-[13px] text-soft">Still looking what shoppers did …</p>}
          {use.error && <p className="mb-2 text-[13px] text-on-changed">What shoppers did is not known now.</p>}
          <section aria-label="What to do with those chosen" className="mb-3 flex flex-wrap items-center gap-2">
            <span role="status" className="text-[13px] text-soft">
              {counted(refs.length, 'rule')} chosen
            </span>
            <Button disabled={refs.length === 0} onClick={() => carryOut(switchedOff(setup, refs), 'Switched off')}>
              Switch off
            </Button>
            <Button
              disabled={refs.length === 0}
              onClick={() => carryOut(anotherYear(setup, refs), 'Kept for another year')}
            >
              Keep for another year
            </Button>
            <Button
              tone="danger"
              disabled={refs.length === 0}
              onClick={() =>
                carryOut(
                  refs.map(({ part, key }) => ({ part, key, value: null })),
                  'Removed',
                )
              }
            >
              Remove
            </Button>
          </section>
          {groups.map(({ title }) => (
            <Group
              key={title}
              title={title}
              items={items.filter((item) => titleFor(item) === title)}
              chosen={chosen}
              toggle={toggle}
              chooseAll={(names) => setChosen(new Set([...chosen, ...names]))}
              mend={(one) => carryOut([one.edit], one.label)}
            />
          ))}
        </>
      )}
      <Calendar />
    </>
  );
}

/** Rows listed of a group; all of them can be chosen together. */
const mostListed = 100;

/** Products that reasons and hidings name. */
const productsIn = (items: readonly ReviewItem[], setup: Setup): string[] =>
  items.flatMap(({ part, key, reason }) => {
    const hiding = part === 'hiding' ? setup.hiding[key] : undefined;
    const conflict = reason.code === 'conflict' && 'product' in reason.conflict ? [reason.conflict.product] : [];
    return [
      ...(hiding?.what === 'product' ? [hiding.product] : []),
      ...(reason.code === 'hiddenAnyway' ? [reason.product] : []),
      ...(reason.code === 'againstBuying' && reason.product !== null ? [reason.product] : []),
      ...conflict,
    ];
  });

function Group({
  title,
  items,
  chosen,
  toggle,
  chooseAll,
  mend,
}: {
  readonly title: string;
  chooseAll(names: readonly string[]): void;
  /** Does what mends one. */
  mend(mend: Mend): void;
  readonly items: readonly ReviewItem[];
  readonly chosen: ReadonlySet<string>;
  toggle(name: string): void;
}) {
  const { setup } = useDeskState();
  const products = useProducts(productsIn(items.slice(0, mostListed), setup));
  const labelOf = useAttributeLabels();
  if (items.length === 0) return null;
  const names = { setup, labelOf, titleOf: (product: string) => products?.get(product)?.title ?? product };
  return (
    <Section
      title={title}
      aside={
        items.length > 1 && (
          <Button
            tone="quiet"
            className="px-2 py-0.5 text-[13px]"
            aria-label={`Choose all ${items.length}: ${title}`}
            onClick={() => chooseAll(items.map(nameOf))}
          >
            Choose all {count(items.length)}
          </Button>
        )
      }
    >
      <ul className="space-y-[5px]" aria-label={title}>
        {items.slice(0, mostListed).map((item, at) => {
          const name = ruleName(item, names);
          const { owner, note } = setup[item.part][item.key] ?? {};
          const mending = mendRule(setup, item, whenNow(setup).today);
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: one rule may have several reasons, which have no name
            <li key={`${nameOf(item)}/${at}`} className={`${shelfRow(false)} flex items-start gap-3 px-3 py-2`}>
              <Tick isOn={chosen.has(nameOf(item))} toggle={() => toggle(nameOf(item))}>
                <span className="sr-only">Choose {name}</span>
              </Tick>
              <span className="min-w-0 flex-1">
                <Link to={ruleAddress(item, setup)} className="font-semibold hover:text-press">
                  {name}
                </Link>
                <span className="block text-[13px]">{reasonInWords(item.reason, names)}</span>
                {(owner || note) && (
                  <span className="block text-[12.5px] text-soft">
                    {[owner && `Ask ${owner}.`, note].filter(Boolean).join(' ')}
                  </span>
                )}
              </span>
              {mending && (
                <Button
                  className="px-2.5 py-1 text-[13px]"
                  title={`${mending.label}: ${name}`}
                  onClick={() => mend(mending)}
                >
                  {mending.label}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {items.length > mostListed && (
        <p className="mt-1 text-[13px] text-soft">And {count(items.length - mostListed)} more.</p>
      )}
    </Section>
  );
}
