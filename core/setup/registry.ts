import { attributes } from './parts/attributes.ts';
import { badges } from './parts/badges.ts';
import { companionShelves } from './parts/companionShelves.ts';
import { companions } from './parts/companions.ts';
import { content } from './parts/content.ts';
import { emptyShelf } from './parts/emptyShelf.ts';
import { filters } from './parts/filters.ts';
import { following } from './parts/following.ts';
import { hiding } from './parts/hiding.ts';
import { houseRules } from './parts/houseRules.ts';
import { look } from './parts/look.ts';
import { plans } from './parts/plans.ts';
import { products } from './parts/products.ts';
import { relevance } from './parts/relevance.ts';
import { resultsPage } from './parts/resultsPage.ts';
import { searchBox } from './parts/searchBox.ts';
import { specialShelves } from './parts/specialShelves.ts';
import { storefront } from './parts/storefront.ts';
import { suggestedSearches } from './parts/suggestedSearches.ts';
import { valueGroups } from './parts/valueGroups.ts';
import { vocabulary } from './parts/vocabulary.ts';
import { wording } from './parts/wording.ts';
import type { PartDefinition } from './terms/part.ts';

/**
 * The parts of a setup, in the order in which changes are reported. All there is to know of a part stands in its file: what
 * may be written into it, what it begins with, what a change of it means. A new part is a file and a line here.
 */
export const registry = {
  attributes,
  relevance,
  filters,
  plans,
  houseRules,
  hiding,
  companions,
  companionShelves,
  resultsPage,
  look,
  badges,
  searchBox,
  suggestedSearches,
  emptyShelf,
  specialShelves,
  wording,
  products,
  content,
  vocabulary,
  valueGroups,
  storefront,
  following,
} as const satisfies Readonly<Record<string, PartDefinition>>;

export type SetupPart = keyof typeof registry;
export const setupParts = Object.keys(registry) as SetupPart[];
export const definitionOf = (part: SetupPart): PartDefinition => registry[part];
