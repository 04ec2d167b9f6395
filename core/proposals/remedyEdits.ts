import { freeKey } from '../setup/freeKey.ts';
import { idFor } from '../setup/idFor.ts';
import type { Setup } from '../setup/schema.ts';
import { longest, most } from '../setup/terms/limits.ts';
import { mostShelfWords } from '../setup/terms/shelfTerms.ts';
import { fixedCorrectionsKey } from '../setup/terms/vocabularyKeys.ts';
import type { EntryEdit } from '../setup/withEntry.ts';
import { tokenize } from '../text/tokenize.ts';
import type { DeadEnd } from './deadEnds.ts';
import type { Remedy } from './remedy.ts';

export const quote = (text: string): string => `“${text}”`;

export function correction(
  setup: Setup,
  { from, to }: { readonly from: string; readonly to: string },
  also: readonly string[],
): Remedy {
  const entry = setup.vocabulary[fixedCorrectionsKey];
  const all = [from, ...also.filter((text) => tokenize(text).length === 1 && text !== to)];
  const others = entry?.what === 'corrections' ? entry.pairs.filter((pair) => !all.includes(pair.from)) : [];
  return {
    id: `correction:${from}=${to}`,
    kind: 'correction',
    title: `Always correct ${quote(from)} to ${quote(to)}`,
    edits: [
      {
        part: 'vocabulary',
        key: fixedCorrectionsKey,
        value: { what: 'corrections', pairs: [...others, ...all.map((each) => ({ from: each, to }))] },
      },
    ],
  };
}

export function synonym(
  setup: Setup,
  { from, to }: { readonly from: string; readonly to: string },
  also: readonly string[],
): Remedy {
  const key = `way-${tokenize(from).join('-')}`.slice(0, longest.key);
  const before = Object.hasOwn(setup.vocabulary, key) ? setup.vocabulary[key] : undefined;
  const known = before?.what === 'oneWay' ? before.to.filter((text) => text !== to) : [];
  return {
    id: `synonym:${from}=${to}`,
    kind: 'synonym',
    title: `${quote(from)} also finds ${quote(to)}`,
    edits: [
      {
        part: 'vocabulary',
        key,
        value: {
          what: 'oneWay',
          from: [...new Set([from, ...also])].slice(0, most.sayings),
          to: [...known, to],
          on: true,
        },
      },
    ],
  };
}

/** Neighbouring words that are kept together: only what has them side by side is found. */
export function phrase(setup: Setup, text: string): Remedy {
  const entry = setup.vocabulary.phrases;
  const known = entry?.what === 'phrases' ? entry.phrases : [];
  return {
    id: `phrase:${text}`,
    kind: 'phrase',
    title: `Keep ${quote(text)} together: find only what has it as a phrase`,
    edits: [{ part: 'vocabulary', key: 'phrases', value: { what: 'phrases', phrases: [...known, text] } }],
  };
}

/** A plan for just this search. */
export function plan(setup: Setup, { search, also }: DeadEnd, does: object): EntryEdit {
  const name = search.slice(0, longest.planName);
  return {
    part: 'plans',
    key: freeKey(
      setup.plans,
      idFor(search, () => false),
    ),
    value: {
      name,
      on: true,
      searches: [search, ...also].slice(0, most.searches),
      pins: [],
      pulls: [],
      how: 'meaning',
      ...does,
    },
  };
}

/** A special page for searches that have these words. */
export function page(setup: Setup, { search, also }: DeadEnd, content: object): EntryEdit {
  const words = tokenize(search).join(' ') || search;
  const all = [words, ...also].map((text) => text.slice(0, longest.saying)).slice(0, mostShelfWords);
  return {
    part: 'specialShelves',
    key: idFor(words, (id) => Object.hasOwn(setup.specialShelves, id)),
    value: {
      ...{ name: words.slice(0, longest.planName), on: true, words: all, looks: [] },
      ...{ message: setup.emptyShelf.content.message, searches: [], products: [] },
      ...content,
    },
  };
}
