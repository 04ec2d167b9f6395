import { type CatalogRecord, textsOf } from '../../core/catalog/record.ts';
import { bindCondition } from '../../core/conditions/bindCondition.ts';
import { isIn } from '../../core/conditions/recordSet.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import type { Effect } from '../../core/rules/effects.ts';
import { effectsOfPlan } from '../../core/rules/effectsOfPlan.ts';
import type { PreparedSetup } from '../../core/search/prepareSetup.ts';
import type { ShelfPlan } from '../../core/setup/parts/plans.ts';
import type { Condition } from '../../core/setup/terms/condition.ts';
import { planHowTexts, usualHow } from '../../core/setup/terms/planTerms.ts';
import { heldInWords, hiddenInWords } from '../../core/setup/terms/ruleInWords.ts';
import { type Span, spanInWords, stateOf, type When } from '../../core/setup/terms/span.ts';

export interface RuleAbout {
  readonly kind: 'pin' | 'pull' | 'hidden' | 'file' | 'boost';
  /** What it leads to: the shelf plan or the house rule, by its id. */
  readonly plan: string | null;
  readonly rule: string | null;
  readonly text: string;
  /** Whether it does anything now: switched on, and its time. */
  readonly isInForce: boolean;
}

const states = { holds: '', early: ' (not yet)', over: ' (over)', outOfSeason: ' (not in season)' } as const;
const stateInWords = (on: boolean, span: Span, when: When): string =>
  on ? states[stateOf(span, when)] : ' (switched off)';

const strength = (pull: number): string => `${pull >= 1 ? 'boosts' : 'lowers'} it (strength ×${pull})`;

/** For which searches, on which pages and when a plan holds. */
function planHeld({ how = usualHow, on, searches, collections = [], ...span }: ShelfPlan, when: When): string {
  const said = searches.map((search) => `“${search}”`).join(', ');
  const pages =
    collections.length > 0 ? `on ${collections.length} collection ${collections.length === 1 ? 'page' : 'pages'}` : '';
  const held = [said && `${planHowTexts[how]} ${said}`, pages].filter(Boolean).join(' and ');
  const dates = spanInWords(span);
  return `${held || 'for no search yet'}${dates ? ` ${dates}` : ''}${stateInWords(on, span, when)}`;
}

/** In which order what a plan does to a product is told. */
const order: readonly Effect['what'][] = ['pin', 'first', 'bringIn', 'factor', 'conditionFactor', 'hide', 'only'];

/** What some effects of one plan do to a product; `meets` says how many of its variants meet a condition. */
function doesTo(
  effects: readonly Effect[],
  product: string,
  meets: (condition: Condition) => number,
): { readonly kind: RuleAbout['kind']; readonly does: string }[] {
  const first = effects.filter(({ what }) => what === 'first');
  const said = effects
    .toSorted((a, b) => order.indexOf(a.what) - order.indexOf(b.what))
    .flatMap((effect): { readonly kind: RuleAbout['kind']; readonly does: string }[] => {
      if ('product' in effect && effect.product !== product) return [];
      switch (effect.what) {
        case 'pin':
          return [{ kind: 'pin', does: `pins it at place ${effect.place}` }];
        case 'first':
          return [{ kind: 'pin', does: `puts it first, as number ${first.indexOf(effect) + 1} of ${first.length},` }];
        case 'bringIn':
          return [{ kind: 'pin', does: 'brings it in' }];
        case 'factor':
          return [{ kind: 'pull', does: strength(effect.factor) }];
        case 'conditionFactor':
          return !effect.but.has(product) && meets(effect.condition) > 0
            ? [{ kind: 'pull', does: strength(effect.factor) }]
            : [];
        case 'hide': {
          const isHidden = 'product' in effect.of ? effect.of.product === product : meets(effect.of.condition) > 0;
          return isHidden ? [{ kind: 'hidden', does: 'hides it' }] : [];
        }
        case 'only':
          return effect.products.includes(product) ? [] : [{ kind: 'hidden', does: 'leaves it out' }];
        default:
          return [];
      }
    });
  const isFirstToHide = said.findIndex(({ does }) => does === 'hides it');
  return said.filter(({ does }, at) => does !== 'hides it' || at === isFirstToHide);
}

/** Every rule of a setup that touches a product, in words. `records` are its variants as they stand, from `first` on in the catalog. */
export function rulesAbout(
  snapshot: Snapshot,
  { setup, when, asked }: Pick<PreparedSetup, 'setup' | 'when' | 'asked'>,
  { product, records, first }: { product: string; records: readonly CatalogRecord[]; first: number },
): RuleAbout[] {
  const rules: RuleAbout[] = [];
  const holds = (on: boolean, span: Span): boolean => on && stateOf(span, when) === 'holds';
  const meets = (condition: Condition): number => {
    const met = bindCondition(snapshot, condition, asked);
    return records.filter((_, at) => isIn(met, first + at)).length;
  };
  for (const [id, plan] of Object.entries(setup.plans)) {
    const where = planHeld(plan, when);
    const about = { plan: id, rule: null, isInForce: holds(plan.on, plan) };
    const effects = effectsOfPlan(plan, { kind: 'plan', id, name: plan.name, how: plan.how ?? usualHow });
    for (const { kind, does } of doesTo(effects, product, meets))
      rules.push({ kind, ...about, text: `“${plan.name}” ${does} ${where}.` });
  }
  for (const [rule, houseRule] of Object.entries(setup.houseRules)) {
    const { name, on, condition, does } = houseRule;
    const touched = does.what === 'only' ? records.length - meets(condition) : meets(condition);
    if (touched === 0) continue;
    const some = does.what !== 'pull' && touched < records.length ? `${touched} of its variants` : 'it';
    const act = does.what === 'pull' ? strength(does.pull) : `hides ${some}`;
    const where = `${heldInWords(houseRule)}${stateInWords(on, houseRule, when)}`;
    rules.push({
      kind: does.what === 'pull' ? 'pull' : 'hidden',
      ...{ plan: null, rule, isInForce: holds(on, houseRule) },
      text: `The house rule “${name}” ${act}${where}.`,
    });
  }
  for (const hiding of Object.values(setup.hiding)) {
    const where = `${hiddenInWords(hiding)}${stateInWords(true, hiding, when)}`;
    const about = { kind: 'hidden', plan: null, rule: null, isInForce: holds(true, hiding) } as const;
    if (hiding.what === 'product' && hiding.product === product)
      rules.push({ ...about, text: `It is hidden${where}.` });
    if (hiding.what === 'tag' && records.some(({ values }) => textsOf(values.tags).includes(hiding.tag)))
      rules.push({ ...about, text: `It is hidden${where}, since every product tagged “${hiding.tag}” is.` });
  }
  const always = { plan: null, rule: null, isInForce: true };
  if (records.some(({ values }) => values.hidden)) rules.push({ kind: 'file', ...always, text: 'The file hides it.' });
  const boosts = records.flatMap(({ values }) => (typeof values.boost === 'number' ? [values.boost] : []));
  if (boosts.length > 0)
    rules.push({
      kind: 'boost',
      ...always,
      text: `Its boost multiplies its score by ${Math.max(...boosts)} in every search.`,
    });
  return rules;
}
