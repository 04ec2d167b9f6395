import { type AttributeProfile, isIndexedAsText } from '../catalog/profileAttributes.ts';
import type { Setup } from '../setup/schema.ts';
import { type MatchKind, quality } from './formula.ts';

export const matchKinds = Object.keys(quality) as readonly MatchKind[];
export const kindNumber = Object.fromEntries(matchKinds.map((kind, index) => [kind, index])) as Record<
  MatchKind,
  number
>;

/** A gain that stands for "does not count as found": the attribute is not searched, or not in this way. */
export const notFound = -1;

/**
 * The gain of every attribute and kind of match, as one row of attributes for each kind (see formula.ts). Codes are
 * found exactly or by their beginning only. An attribute of weight 0 is found and gives nothing.
 */
export function gainTable(attributes: readonly AttributeProfile[], setup: Setup): readonly Float64Array[] {
  const settings = attributes.map((profile) => (isIndexedAsText(profile) ? setup.attributes[profile.key] : undefined));
  const heaviest = Math.max(0, ...settings.map((setting) => (setting?.searchable ? setting.weight : 0)));
  return matchKinds.map((kind) =>
    Float64Array.from(attributes, (profile, index) => {
      const setting = settings[index];
      if (!setting?.searchable) return notFound;
      if (profile.kind === 'code' && kind !== 'exact' && kind !== 'prefix') return notFound;
      return heaviest === 0 ? 0 : (setting.weight / heaviest) * quality[kind];
    }),
  );
}
