import { type CatalogRecord, textsOf } from '../../core/catalog/record.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { placeNames } from '../../core/setup/terms/placeTerms.ts';
import { planHowTexts, usualHow } from '../../core/setup/terms/planTerms.ts';

export interface RuleAbout {
  readonly kind: 'pin' | 'pull' | 'hidden' | 'file' | 'boost';
  readonly plan: string | null;
  readonly text: string;
}

/** Every rule of a setup that touches a product, in words. `records` are its variants as they stand. */
export function rulesAbout(setup: Setup, records: readonly CatalogRecord[], product: string): RuleAbout[] {
  const rules: RuleAbout[] = [];
  for (const [plan, { name, on, how = usualHow, from, until, searches, pins, pulls }] of Object.entries(setup.plans)) {
    const where = `${planHowTexts[how]} ${searches.map((search) => `“${search}”`).join(', ') || 'no search yet'}${from ? ` from ${from}` : ''}${until ? ` until ${until}` : ''}${on ? '' : ' (switched off)'}`;
    for (const pin of pins)
      if (pin.product === product)
        rules.push({ kind: 'pin', plan, text: `“${name}” pins it at place ${pin.place} ${where}.` });
    for (const { pull, ...pulled } of pulls)
      if (pulled.product === product)
        rules.push({
          kind: 'pull',
          plan,
          text: `“${name}” ${pull >= 1 ? 'boosts' : 'lowers'} it (strength ×${pull}) ${where}.`,
        });
  }
  for (const hiding of Object.values(setup.hiding)) {
    if (hiding.what === 'product' && hiding.product === product)
      rules.push({
        kind: 'hidden',
        plan: null,
        text: `It is hidden from ${hiding.from ? hiding.from.map((place) => placeNames[place]).join(' and ') : 'all results'}.`,
      });
    if (hiding.what === 'tag' && records.some(({ values }) => textsOf(values.tags).includes(hiding.tag)))
      rules.push({ kind: 'hidden', plan: null, text: `It is hidden, since every product tagged “${hiding.tag}” is.` });
  }
  if (records.some(({ values }) => values.hidden)) rules.push({ kind: 'file', plan: null, text: 'The file hides it.' });
  const boosts = records.flatMap(({ values }) => (typeof values.boost === 'number' ? [values.boost] : []));
  if (boosts.length > 0)
    rules.push({
      kind: 'boost',
      plan: null,
      text: `Its boost multiplies its score by ${Math.max(...boosts)} in every search.`,
    });
  return rules;
}
