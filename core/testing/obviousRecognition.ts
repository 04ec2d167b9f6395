import { type AttributeProfile, hasValueColumn } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import { labelFromKey } from '../catalog/standardColumns.ts';
import type { Setup } from '../setup/schema.ts';
import { madeCollections, meetsCondition } from './obviousConditions.ts';
import { groupFor } from './obviousFilters.ts';

/** What some units of a search name, by looking at every record for every stretch of them. */
export interface ObviousRun {
  readonly from: number;
  readonly to: number;
  readonly as: 'strong' | 'filter';
  readonly allows: (record: CatalogRecord) => boolean;
  /** For a value: its attribute, and for each unit the tokens that stand for it with the records that have them so. */
  readonly attribute: number;
  readonly units: readonly (readonly { readonly token: string; has(record: CatalogRecord): boolean }[])[];
}

export interface RecognitionTools {
  readonly stemOf: (token: string) => string;
  /** A text as tokens, an amount with its unit being one. */
  readonly unitsOf: (text: string) => readonly string[];
  readonly fixed: ReadonlyMap<string, string>;
  /** Whether a run is to be left as words. */
  isLeft(run: ObviousRun): boolean;
}

export function obviousRuns(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  typed: readonly string[],
  today: number,
  { stemOf, unitsOf, fixed, isLeft }: RecognitionTools,
): ObviousRun[] {
  const entries = Object.values(setup.vocabulary).flatMap((entry) => (entry.what === 'recognised' ? [entry] : []));
  const ways = Object.assign({}, ...entries.map(({ attributes: own }) => own ?? {})) as Record<
    string,
    'strong' | 'filter'
  >;
  const stems = (tokens: readonly string[]): string => tokens.map(stemOf).join(' ');
  const tokens = typed.map((token) => fixed.get(token) ?? token);
  const levels = (record: CatalogRecord, key: string): string[] =>
    textsOf(record.values[key]).map((text) => text.split(' > ').at(-1)!);
  const allValues = new Map<string, string[]>();
  const valuesOf = (key: string): string[] => {
    const known = allValues.get(key) ?? [...new Set(records.flatMap((record) => levels(record, key)))];
    allValues.set(key, known);
    return known;
  };
  const valuesLike = (key: string, wanted: string): string[] => {
    const ofGroups = Object.values(setup.valueGroups)
      .filter(({ attribute }) => attribute === key)
      .flatMap((groups) => groups.groups.map(({ label }) => ({ groups, label })))
      .filter(({ label }) => stems(unitsOf(label)) === wanted)
      .map(({ groups, label }) => valuesOf(key).filter((text) => groupFor(groups, text)?.label === label))
      .find((list) => list.length > 0);
    return (ofGroups ?? valuesOf(key).filter((text) => stems(unitsOf(text)) === wanted)).sort();
  };
  const named = (from: number, size: number, only: string | null, start: number): ObviousRun[] => {
    const said = tokens.slice(from, from + size);
    const isBare = said.every((token) => !token.startsWith('=') && /^[\d.]+$/.test(token));
    if (said.length < size || (only === null && isBare)) return [];
    const runs = attributes.flatMap((profile, attribute): ObviousRun[] => {
      const as = ways[profile.key];
      if (!as || !hasValueColumn(profile) || (only !== null && only !== profile.key)) return [];
      const values = valuesLike(profile.key, stems(said));
      if (values.length === 0) return [];
      return [
        {
          from: start,
          to: from + size,
          as,
          attribute,
          allows: (record) => levels(record, profile.key).some((text) => values.includes(text)),
          units: said.map((_, unit) =>
            [...new Set(values.flatMap((text) => unitsOf(text)[unit] ?? []))].map((token) => ({
              token,
              has: (record: CatalogRecord) =>
                levels(record, profile.key).some((text) => values.includes(text) && unitsOf(text)[unit] === token),
            })),
          ),
        },
      ];
    });
    const narrowing = runs.find(({ as }) => as === 'filter');
    return narrowing ? [narrowing] : runs;
  };
  const labelled = (token: string): string | null =>
    attributes.findLast(
      ({ key, label }) =>
        key in ways &&
        attributes.some((profile) => profile.key === key && hasValueColumn(profile)) &&
        [label, labelFromKey(key)].some((text) => unitsOf(text).length === 1 && stems(unitsOf(text)) === stemOf(token)),
    )?.key ?? null;
  const condition = (from: number, size: number): ObviousRun[] => {
    const said = stems(tokens.slice(from, from + size));
    if (from + size > tokens.length) return [];
    const met = entries
      .flatMap(({ conditions = [] }) => conditions)
      .find(({ words }) => stems(unitsOf(words)) === said)?.condition;
    if (!met) return [];
    const allows = (record: CatalogRecord): boolean =>
      meetsCondition(attributes, record, met, today, madeCollections(setup));
    return [{ from, to: from + size, as: 'filter', allows, attribute: -1, units: [] }];
  };
  const all: ObviousRun[] = [];
  for (let at = 0; at < tokens.length; ) {
    const only = labelled(tokens[at]!);
    let found: ObviousRun[] = [];
    for (const size of [4, 3, 2, 1]) {
      if (found.length > 0) break;
      const tries = [
        () => (only === null ? [] : named(at + 1, size, only, at)),
        () => condition(at, size),
        () => named(at, size, null, at),
      ];
      for (const attempt of tries) if (found.length === 0) found = attempt();
      found = found.filter((run) => !isLeft(run));
    }
    all.push(...found);
    at = found[0]?.to ?? at + 1;
  }
  return all;
}
