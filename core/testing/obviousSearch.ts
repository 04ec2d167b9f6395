import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { isIndexedAsText } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import { type ChosenFilters, readRange } from '../facets/filters.ts';
import { positionsLookedAt, valueGap } from '../index/postings.ts';
import {
  alsoLine,
  bestLine,
  closenessLine,
  gapBetween,
  type MatchKind,
  pairPoints,
  quality,
  rarity,
  wordPoints,
} from '../ranking/formula.ts';
import type { Setup } from '../setup/schema.ts';
import { allowedEdits, editDistance } from '../text/editDistance.ts';
import { readableToken } from '../text/quantity.ts';
import { isNumberLike, normalizeCode, readWords, tokenize } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';

/**
 * The obvious search: no index, no typed array, every record looked at for every word. It is what the fast path is
 * held to, so it is written from the definitions and shares only the formula's lines with it.
 */
interface ReadRecord {
  readonly record: CatalogRecord;
  /** By attribute number, then by token: its positions. */
  readonly texts: readonly ReadonlyMap<string, readonly number[]>[];
}

export interface ObviousResult {
  readonly familyId: string;
  readonly recordId: string;
  readonly score: number;
}
export interface ObviousAnswer {
  readonly total: number;
  readonly results: readonly ObviousResult[];
  readonly dropped: readonly string[];
  /** By filter key and value: products. */
  readonly counts: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

interface Sought {
  readonly text: string;
  readonly token: string;
}

/** Word by word: where a quantity begins it is taken whole, unless its unit is doubtful and the amount unknown. */
function soughtIn(query: string, isKnown: (token: string) => boolean): Sought[] {
  const { tokens, quantities } = readWords(query);
  const taken = quantities.filter(({ token, isDoubtful }) => !isDoubtful || isKnown(token));
  const all = tokens.flatMap((text, at): Sought[] => {
    const here = taken.filter((quantity) => quantity.at === at);
    if (here.length > 0) return here.map(({ token }) => ({ text: readableToken(token), token }));
    return taken.some((quantity) => quantity.at < at && at < quantity.to) ? [] : [{ text, token: text }];
  });
  return all.filter(({ token }, at) => all.findIndex((other) => other.token === token) === at);
}

interface Word {
  readonly text: string;
  readonly ways: readonly { readonly token: string; readonly how: MatchKind }[];
  readonly rarity: number;
}

function readTexts(record: CatalogRecord, attributes: readonly AttributeProfile[]): ReadRecord['texts'] {
  return attributes.map((profile) => {
    const positions = new Map<string, number[]>();
    if (!isIndexedAsText(profile)) return positions;
    const all = profile.key === 'sku' ? [record.sku] : textsOf(record.values[profile.key]);
    let position = 0;
    for (const text of profile.kind === 'path' ? all.slice(-1) : all) {
      const { tokens, quantities } =
        profile.kind === 'code' ? { tokens: [normalizeCode(text)].filter(Boolean), quantities: [] } : readWords(text);
      const stand = (token: string, at: number) =>
        positions.set(
          token,
          [...(positions.get(token) ?? []), position + at].sort((a, b) => a - b),
        );
      for (const [at, token] of tokens.entries()) stand(token, at);
      for (const { token, at } of quantities) stand(token, at);
      position += tokens.length + valueGap;
    }
    return positions;
  });
}

export function obviousSearch(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  query: string,
  chosen: ChosenFilters = {},
  typing = false,
): ObviousAnswer {
  const all = records.map((record): ReadRecord => ({ record, texts: readTexts(record, attributes) }));
  const heaviest = Math.max(
    0,
    ...attributes
      .filter(isIndexedAsText)
      .map(({ key }) => (setup.attributes[key]?.searchable ? setup.attributes[key].weight : 0)),
  );
  const gainOf = (attribute: number, how: MatchKind): number | null => {
    const profile = attributes[attribute]!;
    const setting = setup.attributes[profile.key];
    if (!setting?.searchable) return null;
    if (profile.kind === 'code' && how !== 'exact' && how !== 'prefix') return null;
    return heaviest === 0 ? 0 : (setting.weight / heaviest) * quality[how];
  };
  const holding = new Map<string, Set<ReadRecord>>();
  const standsIn = new Map<string, Set<number>>();
  const inPlainText = new Set<string>();
  for (const read of all)
    for (const [attribute, positions] of read.texts.entries())
      for (const token of positions.keys()) {
        if (attributes[attribute]!.kind !== 'code') inPlainText.add(token);
        if (!holding.has(token)) {
          holding.set(token, new Set());
          standsIn.set(token, new Set());
        }
        holding.get(token)!.add(read);
        standsIn.get(token)!.add(attribute);
      }
  const vocabulary = [...holding.keys()].sort((a, b) => (a < b ? -1 : 1));
  const reaches = (token: string, how: MatchKind): boolean =>
    [...standsIn.get(token)!].some((attribute) => gainOf(attribute, how) !== null);

  const entries = Object.values(setup.vocabulary);
  const stopWords = new Set(
    entries.flatMap((entry) => (entry.what === 'stopWords' ? entry.words.flatMap(tokenize) : [])),
  );
  const synonymsOf = (token: string): string[] =>
    Object.keys(setup.vocabulary)
      .sort()
      .map((key) => setup.vocabulary[key]!)
      .flatMap((entry) => {
        const words = entry.what === 'synonyms' && entry.on ? entry.words.flatMap(tokenize) : [];
        return words.includes(token) ? words.filter((word) => word !== token) : [];
      });
  const expand = (sought: Sought, last: boolean, widen: boolean): Word => {
    const text = sought.token;
    const ways: { token: string; how: MatchKind }[] = [];
    const add = (tokens: string[], how: MatchKind) => {
      for (const token of tokens)
        if (reaches(token, how) && !ways.some((way) => way.token === token)) ways.push({ token, how });
    };
    add(
      vocabulary.filter((token) => token === text),
      'exact',
    );
    add(
      vocabulary.filter((token) => token !== text && inPlainText.has(token) && stem(token) === stem(text)),
      'form',
    );
    for (const synonym of synonymsOf(text))
      add(
        vocabulary.filter((token) => token === synonym || (inPlainText.has(token) && stem(token) === stem(synonym))),
        'synonym',
      );
    if (last && text.length >= 2 && !text.startsWith('=') && (typing || ways.length === 0))
      add(
        vocabulary.filter((token) => token !== text && token.startsWith(text)),
        'prefix',
      );
    if (setup.relevance.spelling.tolerance && !isNumberLike(text) && (widen || ways.length === 0)) {
      const limit = allowedEdits(text.length);
      const near = vocabulary
        .filter((token) => token !== text && token.length >= 3 && !isNumberLike(token) && inPlainText.has(token))
        .map((token) => ({ token, edits: editDistance(text, token, limit) }))
        .filter(({ token, edits }) => edits <= limit && reaches(token, edits === 1 ? 'oneEdit' : 'twoEdits'));
      const fewest = Math.min(...near.map(({ edits }) => edits));
      const order = near
        .filter(({ edits }) => edits === fewest)
        .sort(
          (a, b) =>
            Number(a.token[0] !== text[0]) - Number(b.token[0] !== text[0]) ||
            holding.get(b.token)!.size - holding.get(a.token)!.size ||
            (a.token < b.token ? -1 : 1),
        );
      for (const { token, edits } of order.slice(0, 6)) add([token], edits === 1 ? 'oneEdit' : 'twoEdits');
    }
    const found = ways.reduce((sum, { token }) => sum + holding.get(token)!.size, 0);
    return { text: sought.text, ways, rarity: rarity(records.length, Math.min(found, records.length)) };
  };

  interface Find {
    readonly attribute: number;
    readonly gain: number;
    readonly positions: readonly number[];
  }
  const finds = (read: ReadRecord, word: Word): Find[] => {
    const best = new Map<number, Find>();
    for (const { token, how } of word.ways)
      for (const [attribute, positions] of read.texts.entries()) {
        const gain = gainOf(attribute, how);
        const at = positions.get(token);
        if (gain === null || !at || gain <= (best.get(attribute)?.gain ?? -1)) continue;
        best.set(attribute, { attribute, gain, positions: at.slice(0, positionsLookedAt) });
      }
    return [...best.values()].sort((a, b) => b.gain - a.gain || a.attribute - b.attribute);
  };
  const scoreOf = (read: ReadRecord, words: readonly Word[]): number | null => {
    const rarities = words.reduce((sum, word) => sum + word.rarity, 0);
    const lists = words.map((word) => finds(read, word));
    if (lists.some((list) => list.length === 0)) return null;
    let score = 0;
    for (const [index, [best, second]] of lists.entries()) {
      const points = (wordPoints(words.length) * words[index]!.rarity) / rarities;
      score += bestLine(points, best!.gain) + (second ? alsoLine(points, best!.gain, second.gain) : 0);
      const next = lists[index + 1]?.[0];
      if (!next || next.attribute !== best!.attribute) continue;
      const gap = Math.min(...best!.positions.flatMap((a) => next.positions.map((b) => gapBetween(a, b))));
      score += closenessLine(pairPoints(words.length), best!.gain, next.gain, gap);
    }
    return score;
  };

  const hidden = ({ record }: ReadRecord): boolean =>
    record.values.hidden !== undefined ||
    Object.values(setup.hiding).some((hiding) =>
      hiding.what === 'product' ? hiding.product === record.familyId : textsOf(record.values.tags).includes(hiding.tag),
    );
  const visible = all.filter((read) => !hidden(read));
  const find = (words: readonly Word[]): Map<ReadRecord, number> => {
    const found = new Map<ReadRecord, number>();
    for (const read of visible) {
      const score = scoreOf(read, words);
      if (score !== null) found.set(read, score);
    }
    return found;
  };

  const read = soughtIn(query, (token) => holding.has(token));
  const telling = read.filter(({ token }) => !stopWords.has(token));
  const texts = telling.length > 0 ? telling : read;
  const code = normalizeCode(query);
  const skuOn = setup.attributes.sku?.searchable ?? false;
  const skuOwner =
    query.trim() && skuOn && code.length >= 3
      ? all.find(({ record }) => normalizeCode(record.sku) === code)
      : undefined;
  const skuRead = skuOwner && visible.includes(skuOwner) ? skuOwner : undefined;
  let dropped: string[] = [];
  let found: Map<ReadRecord, number>;
  if (query.trim() === '') found = new Map(visible.map((read) => [read, 0]));
  else if (texts.length === 0) found = new Map();
  else {
    const words = texts.map((text, at) => expand(text, at === texts.length - 1, false));
    found = find(words);
    if (found.size === 0 && !skuRead) {
      if (setup.relevance.spelling.tolerance)
        found = find(texts.map((text, at) => expand(text, at === texts.length - 1, true)));
      const order = [...words].sort(
        (a, b) =>
          Number(a.ways.length > 0) - Number(b.ways.length > 0) ||
          a.rarity - b.rarity ||
          words.indexOf(b) - words.indexOf(a),
      );
      for (let gone = 1; found.size === 0 && gone <= Math.floor(words.length / 2); gone++) {
        found = find(words.filter((word) => !order.slice(0, gone).includes(word)));
        if (found.size > 0) dropped = order.slice(0, gone).map(({ text }) => text);
      }
    }
  }

  const key = texts.length > 0 ? tokenize(query).join(' ') : null;
  const plans = Object.keys(setup.plans)
    .sort()
    .map((id) => setup.plans[id]!)
    .filter((plan) => plan.on && key && plan.searches.some((text) => tokenize(text).join(' ') === key));
  const pins: { product: string; place: number }[] = [];
  for (const pin of plans.flatMap((plan) => plan.pins))
    if (!pins.some(({ product }) => product === pin.product)) pins.push(pin);
  pins.sort((a, b) => a.place - b.place);
  for (const { product } of pins)
    if (![...found.keys()].some(({ record }) => record.familyId === product))
      for (const read of visible) if (read.record.familyId === product) found.set(read, 0);
  if (skuRead) found.set(skuRead, 100_000);

  const passes = (read: ReadRecord, filter: string): boolean => {
    const wanted = chosen[filter];
    const setting = setup.filters[filter];
    if (!wanted?.length || !setting) return true;
    const value = read.record.values[setting.attribute];
    if (setting.kind === 'range') {
      const range = readRange(wanted[0]!)!;
      return typeof value === 'number' && value >= range.from && value <= range.to;
    }
    return textsOf(value).some((text) => (setting.kind === 'single' ? [wanted[0]!] : wanted).includes(text));
  };
  const filterKeys = Object.keys(setup.filters);
  const counts: Record<string, Record<string, number>> = {};
  for (const filter of filterKeys) {
    const families: Record<string, Set<string>> = {};
    for (const read of found.keys())
      if (filterKeys.every((other) => other === filter || passes(read, other)))
        for (const text of textsOf(read.record.values[setup.filters[filter]!.attribute])) {
          families[text] ??= new Set();
          families[text].add(read.record.familyId);
        }
    counts[filter] = Object.fromEntries(Object.entries(families).map(([text, set]) => [text, set.size]));
  }

  const inStock = (read: ReadRecord): boolean => read.record.values.availability !== 'Sold out';
  const best = new Map<string, { read: ReadRecord; score: number }>();
  for (const read of all) {
    const score = found.get(read);
    if (score === undefined || !filterKeys.every((filter) => passes(read, filter))) continue;
    const before = best.get(read.record.familyId);
    const better =
      !before || score > before.score || (score === before.score && !inStock(before.read) && inStock(read));
    if (better) best.set(read.record.familyId, { read, score });
  }
  const amountOf = (familyId: string, read: ReadRecord, attribute: string): number | null => {
    if (attribute === 'availability') return inStock(read) ? 1 : 0;
    const amounts = records
      .filter((record) => record.familyId === familyId)
      .flatMap((record) => (typeof record.values[attribute] === 'number' ? [record.values[attribute]] : []));
    if (amounts.length === 0) return null;
    if (attribute === 'units_sold' || attribute === 'stock') return amounts.reduce((a, b) => a + b, 0);
    return attribute === 'price' ? Math.min(...amounts) : Math.max(...amounts);
  };
  const boostOf = (familyId: string): number => {
    const amount = query.trim() === '' ? null : amountOf(familyId, best.get(familyId)!.read, 'boost');
    return amount === null ? 1 : Math.min(10, Math.max(0.1, amount));
  };
  const candidates = [...best].map(([familyId, { read, score }]) => {
    const pull = plans
      .flatMap((plan) => plan.pulls)
      .filter(({ product }) => product === familyId)
      .reduce((total, each) => total * each.pull, boostOf(familyId));
    const bounded = Math.min(10, Math.max(0.1, pull));
    return {
      familyId,
      recordId: read.record.id,
      score: bounded === 1 ? score : Math.round(score * bounded),
      amounts: setup.relevance.tieBreakers.signals.map(({ attribute }) => amountOf(familyId, read, attribute)),
    };
  });
  type Candidate = (typeof candidates)[number];
  const compare = (a: Candidate, b: Candidate): number => {
    for (const [index, { direction }] of setup.relevance.tieBreakers.signals.entries()) {
      const [x, y] = [a.amounts[index]!, b.amounts[index]!];
      if (x === y) continue;
      if (x === null) return 1;
      if (y === null) return -1;
      return direction === 'high' ? y - x : x - y;
    }
    return a.familyId < b.familyId ? -1 : 1;
  };
  const pinned = pins.flatMap(({ product, place }) => {
    const candidate = candidates.find(({ familyId }) => familyId === product);
    return candidate ? [{ candidate, place }] : [];
  });
  let left = candidates.filter((candidate) => !pinned.some((pin) => pin.candidate === candidate));
  const ordered: Candidate[] = left.filter(({ familyId }) => familyId === skuRead?.record.familyId);
  left = left.filter((candidate) => !ordered.includes(candidate));
  while (left.length > 0) {
    const leader = Math.max(...left.map(({ score }) => score));
    const group = left.filter(({ score }) => score >= leader - Math.round(setup.relevance.closeCall.width * 1000));
    ordered.push(...group.sort(compare));
    left = left.filter((candidate) => !group.includes(candidate));
  }
  for (const [at, { candidate, place }] of pinned.entries()) {
    const earlier = at === 0 ? 0 : ordered.indexOf(pinned[at - 1]!.candidate) + 1;
    ordered.splice(Math.max(place - 1, earlier), 0, candidate);
  }
  return {
    total: candidates.length,
    results: ordered.map(({ familyId, recordId, score }) => ({ familyId, recordId, score })),
    dropped,
    counts,
  };
}
