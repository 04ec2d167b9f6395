import type { CatalogRecord } from '../catalog/record.ts';
import { compoundParts } from '../query/compounds.ts';
import { weak } from '../query/understand.ts';
import { type MatchKind, rarity } from '../scoring/formula.ts';
import { editDistance } from '../text/editDistance.ts';
import { mayBeTwoSlips, slipLikelihood } from '../text/slips.ts';
import { isNumberLike } from '../text/tokenize.ts';
import { areForms } from '../text/wordForms.ts';
import type { ObviousCatalog } from './obviousCatalog.ts';
import { type Sought, waysToSplit } from './obviousUnits.ts';
import type { ObviousVocabulary } from './obviousVocabulary.ts';

export interface Way {
  readonly token: string;
  readonly how: MatchKind;
  /** The tokens that must stand side by side, where the word stands as several. */
  readonly phrase?: readonly string[];
  /** The attribute it is a recognised value of, and whether a record has that. */
  readonly ofValue?: { readonly attribute: number; has(record: CatalogRecord): boolean };
}
export interface Word {
  readonly text: string;
  readonly ways: readonly Way[];
  readonly rarity: number;
}

/** Everything a word may stand for, by a look at every word of the catalog. */
export function expander(
  catalog: ObviousCatalog,
  setupVocabulary: ObviousVocabulary,
  { typing, isOfLanguage }: { readonly typing: boolean; isOfLanguage(word: string): boolean },
) {
  const {
    records,
    all,
    vocabulary,
    setup,
    inPlainText,
    stemOf,
    isFormOf,
    reaches,
    phraseIn,
    isKnown,
    heldBy,
    isGerman,
  } = catalog;
  const { neverCorrected, neverOffered, popularityOf, saidAlone, synonymsAt } = setupVocabulary;
  const { tolerance: mayCorrect, atOnce, oneEditFrom, twoEditsFrom } = setup.relevance.spelling;
  const tolerance = mayCorrect && atOnce !== false;
  const expand = (
    sought: Sought,
    last: boolean,
    widen: boolean,
    joined: readonly string[],
    synonyms: readonly string[][],
    named: readonly Way[] = [],
    fitsRest: (token: string) => boolean = () => false,
  ): Word => {
    const text = sought.token;
    const ways: Way[] = [];
    const add = (tokens: readonly string[], how: MatchKind) => {
      for (const token of tokens)
        if (reaches(token, how) && !ways.some((way) => !way.phrase && !way.ofValue && way.token === token))
          ways.push({ token, how });
    };
    add(
      vocabulary.filter((token) => token === text),
      'exact',
    );
    for (const token of vocabulary)
      if (token !== text && isFormOf(token, text)) add([token], areForms(token, text) ? 'form' : 'related');
    for (const one of joined)
      add(
        vocabulary.filter((token) => token !== text && (token === one || isFormOf(token, one))),
        'joined',
      );
    if (isGerman)
      add(
        vocabulary.filter((token) =>
          compoundParts(token, isKnown).some((parts) => parts.some((part) => stemOf(part) === stemOf(text))),
        ),
        'compound',
      );
    const divided = text.startsWith('=')
      ? []
      : waysToSplit(text)
          .filter((parts) => parts.every((part) => isKnown(part)))
          .sort((a, b) => {
            const commonness = (parts: string[]) => Math.min(...parts.map((part) => heldBy(part)));
            return commonness(b) - commonness(a) || (a[0]! < b[0]! ? -1 : 1);
          })
          .slice(0, 3)
          .filter((parts) => all.some((read) => phraseIn(read, parts, 'split').size > 0));
    for (const parts of divided) ways.push({ token: parts[0]!, how: 'split', phrase: parts });
    for (const meant of synonyms) {
      const [synonym] = meant;
      if (meant.length === 1)
        add(
          vocabulary.filter((token) => token !== text && (token === synonym || isFormOf(token, synonym!))),
          'synonym',
        );
      else if (
        !ways.some(({ phrase }) => phrase?.join(' ') === meant.join(' ')) &&
        all.some((read) => phraseIn(read, meant, 'synonym').size > 0)
      )
        ways.push({ token: synonym!, how: 'synonym', phrase: meant });
    }
    ways.push(...named);
    if (last && text.length >= 2 && !text.startsWith('=') && (typing || ways.length === 0))
      add(
        vocabulary.filter((token) => token !== text && token.startsWith(text)),
        'prefix',
      );
    const isWeak = !typing && ways.every(({ how }) => weak.has(how));
    if (
      tolerance &&
      !isNumberLike(text) &&
      !neverCorrected.has(text) &&
      !sought.isFixed &&
      (widen || ways.length === 0 || isWeak)
    ) {
      const limit = text.length < (oneEditFrom ?? 4) ? 0 : text.length < (twoEditsFrom ?? 7) ? 1 : 2;
      const near = vocabulary
        .filter((token) => token !== text && token.length >= 3 && !isNumberLike(token) && inPlainText.has(token))
        .map((token) => ({ token, edits: editDistance(text, token, limit) }))
        .filter(({ token }) => !neverOffered.has(token))
        .filter(({ token, edits }) => {
          // Only the ending differs: another letter among the last two, or letters more.
          const begins = (length: number): boolean => length >= 4 && token.slice(0, length) === text.slice(0, length);
          const shorter = Math.min(token.length, text.length);
          if (begins(edits === 1 ? Math.max(4, shorter - 2) : shorter)) return true;
          // A word of the language is corrected by one letter where the rest fits; of two wrong letters none is the first.
          if (isOfLanguage(text)) return edits === 1 && fitsRest(token);
          return edits === 1 || (token[0] === text[0] && mayBeTwoSlips(text, token));
        })
        .filter(({ token, edits }) => edits <= limit && reaches(token, edits === 1 ? 'oneEdit' : 'twoEdits'));
      const fewest = Math.min(...near.map(({ edits }) => edits));
      const likelihood = ({ token, edits }: { token: string; edits: number }): number =>
        heldBy(token) * (edits === 1 ? slipLikelihood(text, token) : 1);
      const order = near
        .filter(({ edits }) => widen || edits === fewest)
        .sort(
          (a, b) =>
            a.edits - b.edits ||
            Number(a.token[0] !== text[0]) - Number(b.token[0] !== text[0]) ||
            popularityOf(a.token) - popularityOf(b.token) ||
            likelihood(b) - likelihood(a) ||
            (a.token < b.token ? -1 : 1),
        );
      const [said] = saidAlone
        .map((token) => ({ token, edits: editDistance(text, token, limit) }))
        .filter(({ edits }) => edits > 0 && edits <= limit)
        .sort((a, b) => a.edits - b.edits || Number(a.token[0] !== text[0]) - Number(b.token[0] !== text[0]));
      if (ways.length === 0 && limit > 0 && said && (order.length === 0 || said.edits < order[0]!.edits)) {
        const meant: Sought = { text: said.token, token: said.token, isFixed: true };
        return expand(meant, false, false, [], synonymsAt([meant], 0));
      }
      const isWay = (token: string) => ways.some((way) => way.token === token);
      const held = ways.reduce((sum, { token }) => sum + heldBy(token), 0);
      const [first] = order;
      const isLikelier = first?.edits === 1 && heldBy(first.token) > held;
      order.slice(0, widen || ways.length === 0 || isLikelier ? 6 : 0).forEach(({ token, edits }, at) => {
        if (isWay(token)) return;
        ways.push({ token, how: edits > 1 ? 'twoEdits' : at > 0 ? 'rivalEdit' : 'oneEdit' });
      });
    }
    const asWords = ways.filter(({ ofValue }) => !ofValue);
    const found = (asWords.length > 0 ? asWords : ways).reduce((sum, { token, how, phrase, ofValue }) => {
      if (ofValue)
        return sum + all.filter((read) => read.texts[ofValue.attribute]!.has(token) && ofValue.has(read.record)).length;
      if (phrase) return sum + all.filter((read) => phraseIn(read, phrase, how).size > 0).length;
      return sum + heldBy(token);
    }, 0);
    return { text: sought.text, ways, rarity: rarity(records.length, Math.min(found, records.length)) };
  };

  return { expand, tolerance };
}
