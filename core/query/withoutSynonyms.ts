import { named } from '../base/named.ts';
import type { Setup } from '../setup/schema.ts';

/** A setup in which no words mean the same. */
export const withoutSynonyms = (setup: Setup): Setup => ({
  ...setup,
  vocabulary: named(
    Object.entries(setup.vocabulary).filter(([, { what }]) => what !== 'synonyms' && what !== 'oneWay'),
  ),
});
