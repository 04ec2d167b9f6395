import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import type { Setup } from '../setup/schema.ts';
import type { Rung } from '../setup/terms/ladderTerms.ts';
import { type ObviousAnswer, type ObviousRequest, obviousSearch } from './obviousSearch.ts';

/** The vocabulary without entries of some kinds. */
const without = (setup: Setup, kinds: readonly string[]): Setup => ({
  ...setup,
  vocabulary: Object.fromEntries(Object.entries(setup.vocabulary).filter(([, { what }]) => !kinds.includes(what))),
});

/** What else a text may be looked for as: the whole of it, then each run of up to three words that has an unknown one. */
function rewritten(words: ObviousAnswer['words'], near: (words: string) => readonly string[]): string[] {
  const texts = words.map(({ text }) => text);
  const all: string[] = [...near(texts.join(' '))];
  const runs: { from: number; size: number; nears: readonly string[] }[] = [];
  let at = 0;
  while (at < texts.length) {
    const sizes = [3, 2, 1].filter((size) => at + size <= texts.length && size < texts.length);
    const size = sizes.find(
      (each) =>
        words.slice(at, at + each).some(({ isKnown }) => !isKnown) &&
        near(texts.slice(at, at + each).join(' ')).length > 0,
    );
    if (size !== undefined) runs.push({ from: at, size, nears: near(texts.slice(at, at + size).join(' ')) });
    at += size ?? 1;
  }
  const put = (some: typeof runs, to: (run: (typeof runs)[number]) => string): string => {
    const left = [...texts];
    for (const run of [...some].reverse()) left.splice(run.from, run.size, to(run));
    return left.join(' ');
  };
  for (const run of runs) for (const each of run.nears) all.push(put([run], () => each));
  if (runs.length > 1) all.push(put(runs, ({ nears }) => nears[0]!));
  return [...new Set(all)].filter((text) => text !== texts.join(' ')).slice(0, 8);
}

/** The ladder by its definition: every step allows what those before it do and one thing more; the first that finds something ends it. */
export function obviousLadder(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  typed: string,
  request: ObviousRequest,
  now: number,
  near: (words: string) => readonly string[],
): ObviousAnswer & { readonly instead: string | null } {
  const { order, off } = setup.emptyShelf.ladder;
  const steps = order.filter((rung) =>
    rung === 'spelling'
      ? setup.relevance.spelling.atOnce !== false
      : rung !== 'wholeShop' && !(off as readonly Rung[]).includes(rung) && !(rung === 'meaning' && request.typing),
  );
  const firstStep = steps.findIndex((rung) => rung !== 'synonyms' && rung !== 'spelling');
  const ask = (allowed: readonly Rung[], query: string, isNear: boolean): ObviousAnswer => {
    const spelled = allowed.includes('spelling')
      ? setup
      : { ...setup, relevance: { ...setup.relevance, spelling: { ...setup.relevance.spelling, atOnce: false } } };
    const read = allowed.includes('synonyms') ? spelled : without(spelled, ['synonyms', 'oneWay']);
    const options = { ...request, allWords: isNear || !allowed.includes('words') };
    return obviousSearch(records, attributes, read, query, options, now, allowed.includes('filters') ? 'fewer' : 'all');
  };
  let itself: ObviousAnswer | null = null;
  let isPut = false;
  for (let many = firstStep < 0 ? steps.length : firstStep; many <= steps.length; many++) {
    const allowed = steps.slice(0, many);
    if (itself === null || steps[many - 1] !== 'meaning') {
      itself = ask(allowed, typed, false);
      if (itself.foundByWords || typed.trim() === '') return { ...itself, instead: null };
    }
    isPut ||= itself.foundAny;
    if (!allowed.includes('meaning') || isPut) continue;
    const spelled = allowed.includes('spelling')
      ? []
      : [{ relevance: { ...setup.relevance, spelling: { ...setup.relevance.spelling, atOnce: false } } }];
    const plain = Object.assign(
      {},
      without(setup, ['recognised', ...(allowed.includes('synonyms') ? [] : ['synonyms', 'oneWay'])]),
      { plans: {} },
      ...spelled,
    ) as Setup;
    const { words } = obviousSearch(records, attributes, plain, typed, request, now);
    for (const instead of rewritten(words, near)) {
      const found = ask(allowed, instead, true);
      if (found.foundByWords) return { ...found, instead };
    }
  }
  return { ...itself!, instead: null };
}
