import { type KeptAnswers, keepAnswers } from '../../core/base/keptAnswers.ts';
import { lastLevel } from '../../core/catalog/levels.ts';
import { isIndexedAsText } from '../../core/catalog/profileAttributes.ts';
import { textsOf } from '../../core/catalog/record.ts';
import { saysYesOrNo } from '../../core/catalog/writing.ts';
import { type LadderTrial, tryLadder } from '../../core/compare/ladderTrial.ts';
import { type NearList, nearTextsIn } from '../../core/proposals/nearTextsIn.ts';
import type { PreparedContent } from '../../core/search/contentEngine.ts';
import type { PreparedSetup } from '../../core/search/prepareSetup.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { BoxAnswer } from '../../core/suggest/boxAnswer.ts';
import { catalogPhrases } from '../../core/suggest/catalogPhrases.ts';
import { buildCompletions, type Completions, openCompletions } from '../../core/suggest/completions.ts';
import { type LettersNeeded, lettersNeeded, type SoughtSearch } from '../../core/suggest/lettersNeeded.ts';
import { logPhrases } from '../../core/suggest/logPhrases.ts';
import { mostPhrases } from '../../core/suggest/phrase.ts';
import { type BoxRequest, suggest } from '../../core/suggest/suggest.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { stem } from '../../core/text/wordForms.ts';
import type { Made } from '../demand/keptMade.ts';
import { purchases } from '../demand/purchases.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';
import { longTexts, publishedStopWords } from './stopWords.ts';
import { nearEvidence } from './wordEvidence.ts';

/** Searches that may be offered, packed for threads (`buildCompletions`), and what they were made from. */
export type PackedPhrases = Made<{ readonly shared: SharedArrayBuffer }>;

/** What the box is asked, and the searches that may be offered. */
export interface BoxTask {
  readonly request: BoxRequest;
  /** The moment it is asked as of, on the storefront's clock; absent: now. */
  readonly at?: string | undefined;
  readonly phrases: PackedPhrases | null;
}

/** Searches of the log, and different values of one attribute, from which what may be offered is made. */
const searchesTaken = mostPhrases;
const valuesTaken = 5000;
/** Searches of the log that say which words mean nearly the same. */
const searchesLed = 5000;
/** Searches that are sent up the ladder. */
const searchesClimbed = 1000;
/** Answers of the box that are kept for one setup: about 5 KB each. */
const boxesKept = 2000;
/** Searches that are typed letter by letter. */
const searchesTyped = 60;

/** What hangs under the search box, and what it is made from. */
export function boxQuestions({ ready, readyAt, log, db, storefront }: Workbench) {
  let opened: { readonly version: string; readonly completions: Completions | null } | null = null;
  /** Opened once a version: a buffer handed to this thread is another object each time. */
  const completionsOf = (phrases: PackedPhrases | null): Completions | null => {
    if (!phrases) return null;
    if (opened?.version !== phrases.version)
      opened = { version: phrases.version, completions: openCompletions(phrases.shared) };
    return opened.completions;
  };
  /** By setup, what the box answered last: many shoppers type the same first letters. */
  const boxes = new WeakMap<
    PreparedSetup,
    {
      readonly completions: Completions | null;
      readonly view: Ready['view'];
      readonly content: PreparedContent;
      readonly answers: KeptAnswers<BoxAnswer>;
    }
  >();
  /** By setup, what was answered last for some phrases: of what is live nothing changes while a draft is edited. */
  const letters = new WeakMap<PreparedSetup, { readonly version: string; readonly needed: LettersNeeded }>();
  const trials = new WeakMap<PreparedSetup, { readonly version: string; readonly trial: LadderTrial }>();
  return {
    suggest(ref: SetupRef, { request, at, phrases }: BoxTask): BoxAnswer {
      const { engine, setup, view, content } = readyAt(ref, at);
      const completions = completionsOf(phrases);
      const before = boxes.get(setup);
      const isSame = before?.completions === completions && before?.view === view && before?.content === content;
      const box = isSame ? before! : { completions, view, content, answers: keepAnswers<BoxAnswer>(boxesKept) };
      if (!isSame) boxes.set(setup, box);
      const { typed, language, device } = request;
      return box.answers.get(JSON.stringify([typed, language, device]), () =>
        suggest(engine, setup, request, { completions, content, readRecord: view.record }),
      );
    },
    /**
     * After how many letters the box has what shoppers search for most, under a setup. Cost: the box for every letter of
     * these searches.
     */
    lettersNeeded(ref: SetupRef, phrases: PackedPhrases | null): LettersNeeded {
      const { engine, setup, view, content } = ready(ref);
      const version = phrases?.version ?? '';
      const before = letters.get(setup);
      if (before?.version === version) return before.needed;
      const sources = { completions: completionsOf(phrases), content, readRecord: view.record };
      const { bySearch } = purchases(db, storefront);
      const sought = log.top(searchesTyped).map(({ key, search, searches }): SoughtSearch => {
        const bought = [...(bySearch.get(key) ?? [])].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
        return { search: search.trim(), searches, product: bought[0]?.[0] ?? null };
      });
      const ask = (typed: string): BoxAnswer => suggest(engine, setup, { typed }, sources);
      const needed = lettersNeeded(ask, sought, setup.setup.searchBox.shape.letters);
      letters.set(setup, { version, needed });
      return needed;
    },
    /** How far up the ladder the searches made most go, under a setup. Cost: a search each. */
    ladderTrial(ref: SetupRef): LadderTrial {
      const { engine, setup } = ready(ref);
      const version = log.version();
      const before = trials.get(setup);
      if (before?.version === version) return before.trial;
      const trial = tryLadder(engine, setup, log.top(searchesClimbed));
      trials.set(setup, { version, trial });
      return trial;
    },
    /**
     * Searches that may be offered, of the log and of the catalog as it is published, packed; and what is near to words that
     * the catalog does not have. Cost: a pass over the titles,
     * the values and the log; seconds in a large catalog.
     */
    phrases(ref: SetupRef): { readonly shared: SharedArrayBuffer; readonly near: NearList } {
      const { view, content } = ready(ref);
      const { snapshot } = view;
      const { families, recordsOf, attributes, values: columns, language } = snapshot;
      const titles = function* () {
        for (let family = 0; family < families; family++)
          yield* textsOf(view.record(recordsOf(family)[0]).values.title).slice(0, 1);
      };
      const values = function* () {
        for (const { title } of content.collections) yield { text: title, products: 1 };
        for (const profile of attributes) {
          const { key, averageWords, values: many } = profile;
          const column = columns.get(key);
          const isName = isIndexedAsText(profile) && averageWords <= longTexts && key !== 'title';
          // What all have alike, and yes or no, is no search to offer.
          if (!column || !isName || many > valuesTaken || many < 2 || (many === 2 && saysYesOrNo(column.name(0))))
            continue;
          const all = Uint32Array.from({ length: snapshot.records }, (_, record) => record);
          const { counts, present } = column.countFamilies({ records: all, failing: null });
          // A copy, since the counts are valid until the next ones only.
          for (const value of [...present]) yield { text: lastLevel(column.name(value)), products: counts[value]! };
        }
      };
      const empty = new Set(publishedStopWords(language).flatMap(tokenize));
      const ofCatalog = catalogPhrases({ titles: titles(), values: [...values()] }, empty);
      const ofLog = logPhrases(log.faded(searchesTaken));
      return {
        shared: buildCompletions([...ofLog, ...ofCatalog], (word) => stem(word, language)),
        near: nearTextsIn(nearEvidence(snapshot, log, searchesLed)),
      };
    },
  };
}
