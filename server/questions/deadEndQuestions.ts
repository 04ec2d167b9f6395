import { cardOf } from '../../core/answer/card.ts';
import { firstText, heldBy } from '../../core/catalog/record.ts';
import { demandKey } from '../../core/demand/logEntry.ts';
import { type DeadEnd, findDeadEnds } from '../../core/proposals/deadEnds.ts';
import { remediesFor } from '../../core/proposals/remedies.ts';
import type { Remedy } from '../../core/proposals/remedy.ts';
import { type TriedRemedy, tryRemedies } from '../../core/proposals/tryRemedies.ts';
import type { PreparedSetup } from '../../core/search/prepareSetup.ts';
import { changesBetween } from '../../core/setup/entries.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { type EntryEdit, withEntries } from '../../core/setup/withEntry.ts';
import { type Language, languages } from '../../core/text/languages.ts';
import { wordListOf } from '../searching/wordLists.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';

/** Searches of the log that are looked through, and those that must not change unseen. */
const searchesLooked = 3000;
const othersLooked = 200;

/** A remedy as it is told: with the titles of what a shopper would see first. */
export type ToldRemedy = Omit<TriedRemedy, 'first'> & { readonly titles: readonly string[] };

/** Searches that lead shoppers nowhere, and what mends them. */
export function deadEndQuestions({ ready, log }: Workbench) {
  const known = new WeakMap<PreparedSetup, { readonly version: string; readonly deadEnds: readonly DeadEnd[] }>();
  const titleIn = ({ view, setup }: Ready, product: string): string => {
    const family = view.snapshot.findFamily(product);
    if (family < 0) return product;
    const record = view.record(view.snapshot.recordsOf(family)[0]);
    return cardOf(record, { variants: 1, isInStock: true }, setup.setup).title || firstText(heldBy(record, 'title'));
  };
  const deadEnds = (ref: SetupRef): readonly DeadEnd[] => {
    const { engine, setup } = ready(ref);
    const version = log.version();
    const before = known.get(setup);
    if (before?.version === version) return before.deadEnds;
    const own = engine.snapshot.language;
    const otherLanguage = (word: string): Language | null =>
      languages.find((language) => language !== own && wordListOf(language)(word)) ?? null;
    const evidence = { demand: log.top(searchesLooked), askedAgain: log.askedAgain(searchesLooked), otherLanguage };
    const found = findDeadEnds(engine, setup, evidence);
    known.set(setup, { version, deadEnds: found });
    return found;
  };
  /** What may mend a search under a setup that is not the draft's own yet. */
  const remediesUnder = (here: Ready, deadEnd: DeadEnd): Remedy[] =>
    remediesFor(
      { engine: here.engine, prepared: here.setup, content: here.content.content, titleOf: (id) => titleIn(here, id) },
      deadEnd,
      log.whatNext(demandKey(deadEnd.search)),
    );
  return {
    deadEnds: (ref: SetupRef): DeadEnd[] => [...deadEnds(ref)],
    /** What may mend one dead end, tried out; none where it is none any more. Cost: a setup bound and some hundred searches for each. */
    remedies(ref: SetupRef, search: string): ToldRemedy[] {
      const here = ready(ref);
      const all = deadEnds(ref);
      const deadEnd = all.find((each) => each.search === search);
      if (!deadEnd) return [];
      const others = log.top(othersLooked).map((each) => ({ search: each.search, searches: each.searches }));
      const tried = tryRemedies(here.engine, here.setup, remediesUnder(here, deadEnd), {
        deadEnd,
        deadEnds: all,
        others,
      });
      return tried.map(({ first, ...remedy }) => ({ ...remedy, titles: first.map((id) => titleIn(here, id)) }));
    },
    /** What taking remedies changes in the draft, one after the other, as several may change one entry. */
    editsForRemedies(ref: SetupRef, chosen: readonly { readonly search: string; readonly id: string }[]): EntryEdit[] {
      const here = ready(ref);
      const all = deadEnds(ref);
      const before = here.setup.setup;
      let after = before;
      for (const { search, id } of chosen) {
        const deadEnd = all.find((each) => each.search === search);
        if (!deadEnd) continue;
        // What leads where is known from the draft as it is; only the entries are written on those made just now.
        const laid = { ...here, setup: { ...here.setup, setup: after } };
        const remedy = remediesUnder(laid, deadEnd).find((each) => each.id === id);
        if (remedy) after = withEntries(after, remedy.edits);
      }
      return changesBetween(before, after).map(({ part, key, after: value }) => ({ part, key, value }));
    },
  };
}
