import { conditionInWords } from '../../terms/conditionInWords.ts';
import { type Change, listed, type NamesForChanges } from '../../terms/part.ts';
import { deviceNames, planHowTexts, usualHow } from '../../terms/planTerms.ts';
import { spanInWords } from '../../terms/span.ts';
import type { ShelfPlan } from './shelfPlan.ts';

/** What a plan says of single products, before and after: sentences for what is new or other, then for what is gone. */
function productChanges<Item extends { readonly product: string }>(
  { before, after }: { readonly before: readonly Item[]; readonly after: readonly Item[] },
  said: { now(item: Item): string; gone(item: Item): string },
): string[] {
  const ofProduct = (items: readonly Item[]) => new Map(items.map((item) => [item.product, said.now(item)]));
  const [was, is] = [ofProduct(before), ofProduct(after)];
  return [
    ...[...is].filter(([product, sentence]) => was.get(product) !== sentence).map(([, sentence]) => sentence),
    ...before.filter(({ product }) => !is.has(product)).map(said.gone),
  ];
}

/** What was added to a set of a plan's and what was taken out of it. */
function setChanges(
  was: readonly string[] = [],
  is: readonly string[] = [],
  said: { now(item: string): string; gone(item: string): string },
): string[] {
  return [
    ...is.filter((item) => !was.includes(item)).map(said.now),
    ...was.filter((item) => !is.includes(item)).map(said.gone),
  ];
}

/** What a plan does besides pins and factors of single products. */
function otherChanges(
  { before, after }: { readonly before: ShelfPlan; readonly after: ShelfPlan },
  plan: string,
  names: NamesForChanges,
): string[] {
  const said: string[] = [];
  const conditions = (of: ShelfPlan) => [
    ...(of.conditionPulls ?? []).map(
      ({ condition, pull }) =>
        `${pull >= 1 ? 'boosts' : 'lowers'} (strength ×${pull}) what meets: ${conditionInWords(condition, names.attribute, names.collection)}`,
    ),
    ...(of.conditionHides ?? []).map(
      (condition) => `hides what meets: ${conditionInWords(condition, names.attribute, names.collection)}`,
    ),
  ];
  if ((before.collections ?? []).join('\n') !== (after.collections ?? []).join('\n'))
    said.push(`${plan} holds on pages of the collections: ${listed((after.collections ?? []).map(names.collection))}`);
  if ((before.first ?? []).join('\n') !== (after.first ?? []).join('\n'))
    said.push(`${plan} shows first: ${listed((after.first ?? []).map(names.product))}`);
  if ((before.only ?? false) !== (after.only ?? false))
    said.push(
      `${plan} shows ${after.only ? 'only the products it names first' : 'the rest behind the products it names'}`,
    );
  said.push(
    ...setChanges(before.bringIn, after.bringIn, {
      now: (product) => `${plan} brings in ${names.product(product)}`,
      gone: (product) => `${plan} no longer brings in ${names.product(product)}`,
    }),
    ...setChanges(before.hides, after.hides, {
      now: (product) => `${plan} hides ${names.product(product)}`,
      gone: (product) => `${plan} no longer hides ${names.product(product)}`,
    }),
    ...setChanges(conditions(before), conditions(after), {
      now: (does) => `${plan} ${does}`,
      gone: (does) => `${plan} no longer ${does}`,
    }),
  );
  if (JSON.stringify(before.banners ?? []) !== JSON.stringify(after.banners ?? []))
    said.push(`${plan} says to shoppers: ${listed((after.banners ?? []).map(({ text }) => `“${text}”`))}`);
  const differs = (field: keyof ShelfPlan): boolean => JSON.stringify(before[field]) !== JSON.stringify(after[field]);
  if (differs('whenChosen'))
    said.push(
      after.whenChosen?.length
        ? `${plan} holds only while shoppers have chosen ${after.whenChosen.map(({ filter, values }) => `${names.attribute(filter)}: ${values.join(' or ')}`).join(' and ')}`
        : `${plan} holds whatever shoppers have chosen`,
    );
  if (differs('devices'))
    said.push(
      `${plan} holds ${after.devices ? `only on ${after.devices.map((device) => deviceNames[device]).join(' and ')}` : 'on every device'}`,
    );
  if (differs('sort'))
    said.push(
      after.sort
        ? `${plan} orders its results by ${names.attribute(after.sort.attribute)}, ${after.sort.direction === 'high' ? 'highest' : 'lowest'} first`
        : `${plan} orders its results by relevance`,
    );
  if (differs('wordsOut')) said.push(`${plan} does not look for the words: ${listed(after.wordsOut ?? [])}`);
  if (differs('scope'))
    said.push(
      after.scope
        ? `${plan} looks only at what meets: ${conditionInWords(after.scope, names.attribute, names.collection)}`
        : `${plan} looks at the whole shop`,
    );
  if (differs('filters'))
    said.push(
      after.filters
        ? `${plan} shows the filters: ${listed(after.filters.map(names.attribute))}`
        : `${plan} shows the filters that belong there`,
    );
  if ((before.pinsWait ?? false) !== (after.pinsWait ?? false))
    said.push(`${plan} ${after.pinsWait ? 'lets pins of sold-out products wait' : 'pins what is sold out too'}`);
  if (before.redirect !== after.redirect)
    said.push(
      after.redirect ? `${plan} sends shoppers to ${after.redirect}` : `${plan} no longer sends shoppers elsewhere`,
    );
  if (before.treatAs !== after.treatAs)
    said.push(
      after.treatAs ? `${plan} takes its searches for “${after.treatAs}”` : `${plan} takes its searches as they are`,
    );
  return said;
}

/** What a change of a plan means, in sentences without a full stop. */
export function describePlan({ before, after }: Change<ShelfPlan>, names: NamesForChanges): string[] {
  if (!before) {
    const { name, redirect, treatAs } = after!;
    return [
      `Shelf plan “${name}” is added`,
      // What takes shoppers away from results is said of a new plan too.
      ...(redirect ? [`Shelf plan “${name}” sends shoppers to ${redirect}`] : []),
      ...(treatAs ? [`Shelf plan “${name}” takes its searches for “${treatAs}”`] : []),
    ];
  }
  if (!after) return [`Shelf plan “${before.name}” is removed`];
  const plan = `Shelf plan “${after.name}”`;
  const said: string[] = [];
  if (before.name !== after.name) said.push(`Shelf plan “${before.name}” is now called “${after.name}”`);
  if (before.on !== after.on) said.push(`${plan} is switched ${after.on ? 'on' : 'off'}`);
  const [was, is] = [before.how ?? usualHow, after.how ?? usualHow];
  if (before.searches.join('\n') !== after.searches.join('\n') || was !== is)
    said.push(`${plan} holds ${planHowTexts[is]}: ${listed(after.searches)}`);
  const [stood, stands] = [before.rank ?? 0, after.rank ?? 0];
  if (stood !== stands) said.push(`${plan} stands ${stands < stood ? 'higher' : 'lower'} in the list of plans`);
  if (spanInWords(before) !== spanInWords(after)) said.push(`${plan} holds ${spanInWords(after) || 'at any time'}`);
  const pins = productChanges(
    { before: before.pins, after: after.pins },
    {
      now: ({ product, place }) => `${plan} pins ${names.product(product)} at place ${place}`,
      gone: ({ product }) => `${plan} no longer pins ${names.product(product)}`,
    },
  );
  const pulls = productChanges(
    { before: before.pulls, after: after.pulls },
    {
      now: ({ product, pull }) =>
        `${plan} ${pull >= 1 ? 'boosts' : 'lowers'} ${names.product(product)} (strength ×${pull})`,
      gone: ({ product }) => `${plan} no longer boosts or lowers ${names.product(product)}`,
    },
  );
  return [...said, ...otherChanges({ before, after }, plan, names), ...pins, ...pulls];
}
