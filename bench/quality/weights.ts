import { knownItemSearches } from '../../core/proposals/knownItems.ts';
import { betterWeights } from '../../core/proposals/proposeWeights.ts';
import { openEngine } from '../../core/search/prepareSetup.ts';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import { shelfOf, snapshotOf } from './finders.ts';
import { realCatalogs } from './realCatalogs.ts';
import { readCatalog } from './run.ts';

const productsKnown = 200;

/** What other weights than those a catalog begins with would gain in finding known products, on real records. */
export function runWeights(): void {
  for (const open of realCatalogs) {
    const catalog = open();
    const shelf = shelfOf(readCatalog(catalog));
    const snapshot = snapshotOf(shelf);
    const step = Math.max(1, Math.floor(shelf.records.length / productsKnown));
    const products = shelf.records.filter((_, at) => at % step === 0).slice(0, productsKnown);
    const recordsWith = (token: string): number => {
      const term = snapshot.terms.find(token);
      return term < 0 ? 0 : snapshot.postings.termRecords[term]!;
    };
    const searches = knownItemSearches(products, shelf.profiles, { recordsWith });
    const first = initialSetup(shelf.profiles);
    const better = betterWeights(openEngine(snapshot), first, first, 0, searches);
    const changes = [...(better?.changes ?? [])].map(([key, { from, to }]) => `${key} ${to} instead of ${from}`);
    console.log(
      better
        ? `${catalog.name}: ${changes.join(', ')}: ${better.firstAfter} of ${better.searches} among the first three, ${better.firstBefore} before`
        : `${catalog.name}: nothing gains as much as is proposed, by ${searches.length} searches`,
    );
  }
}
