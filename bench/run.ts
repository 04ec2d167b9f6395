export {};

/**
 * npm run bench: speed beside other libraries. npm run bench -- quality: known items on real records.
 * npm run bench -- losses: what slips and other word forms cost, in each language.
 * npm run bench -- inventions: how often a word that a catalog does not have is taken for another.
 * npm run bench -- weights: what other weights would gain in finding known products, on real records.
 * npm run bench -- vocabulary: speed with a large vocabulary beside speed without.
 * npm run bench -- rules: speed under many plans, house rules and hidings beside speed without, and edits among them.
 * npm run bench -- filters: speed with twelve filters beside speed with eight.
 * npm run bench -- fill-up: speed with pages filled up beside speed without.
 * npm run bench -- suggest: what a letter typed into the search box costs, beside a prefix trie.
 * npm run bench -- companions: what stands beside a product, beside a search for its title; counting the log.
 * npm run bench -- serving: what shoppers wait while a desk is busy, on a real server.
 * npm run bench -- storefronts: memory and time of going from one to another, with many storefronts and drafts.
 * npm run bench -- opening: from opening an address of the desk to results in the shop window, and what jumps meanwhile.
 * npm run bench -- vitals: the web vitals of the stand-in shop's pages, on a slowed processor and line.
 * npm run bench -- importing: rows a second by catalog size, where the time goes, and the memory it takes.
 * npm run bench -- alike: words of real catalogs that stand in the same places, to be judged by hand.
 */
const [which, ...rest] = process.argv.slice(2);
if (which === 'quality') (await import('./quality/run.ts')).runQuality(rest);
else if (which === 'losses') (await import('./quality/losses.ts')).runLosses(rest);
else if (which === 'inventions') (await import('./quality/inventions.ts')).runInventions(rest);
else if (which === 'weights') (await import('./quality/weights.ts')).runWeights();
else if (which === 'vocabulary') (await import('./vocabulary.ts')).runVocabulary(rest);
else if (which === 'filters') (await import('./filters.ts')).runFilters(rest);
else if (which === 'rules') (await import('./rules.ts')).runRules(rest);
else if (which === 'fill-up') (await import('./fillUp.ts')).runFillUp(rest);
else if (which === 'suggest') (await import('./suggest.ts')).runSuggest(rest);
else if (which === 'companions') (await import('./companions.ts')).runCompanions(rest);
else if (which === 'serving') await (await import('./serving.ts')).runServing(rest);
else if (which === 'storefronts') await (await import('./storefronts.ts')).runStorefronts(rest);
else if (which === 'opening') await (await import('./opening.ts')).runOpening();
else if (which === 'vitals') await (await import('./vitals.ts')).runVitals();
else if (which === 'importing') await (await import('./importing.ts')).runImporting(rest);
else if (which === 'alike') (await import('./quality/alike.ts')).runAlike(rest);
else await import('./speed.ts');
