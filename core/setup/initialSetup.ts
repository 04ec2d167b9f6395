import { named } from '../base/named.ts';
import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { definitionOf, setupParts } from './registry.ts';
import { type Setup, setupVersion } from './schema.ts';
import type { Beginning } from './terms/part.ts';
import { type Shop, usualShop } from './terms/shop.ts';

/** A setup to begin with, from what the catalog holds; deterministic, so the same catalog always begins the same way. */
export function initialSetup(profiles: readonly AttributeProfile[], shop: Shop = usualShop): Setup {
  const beginning: Beginning = { profiles, shop };
  const parts = setupParts.map((part) => {
    const definition = definitionOf(part);
    if (!definition.isFixed) return [part, named(Object.entries(definition.begin?.(beginning) ?? {}))];
    const entries = Object.entries(definition.entries);
    return [part, named(entries.map(([key, entry]) => [key, entry.begin?.(beginning) ?? entry.usual]))];
  });
  return { format: 'clever-shelf-setup', version: setupVersion, ...Object.fromEntries(parts) };
}
