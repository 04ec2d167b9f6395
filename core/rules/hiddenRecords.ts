import { eachIn, isIn } from '../conditions/recordSet.ts';
import { hiddenMark } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { stockOf } from '../index/stock.ts';
import type { Setup } from '../setup/schema.ts';
import { type Place, places } from '../setup/terms/placeTerms.ts';
import { holdsAt, type When } from '../setup/terms/span.ts';
import { type BoundRule, holdsIn } from './houseRulesInForce.ts';

type Hidings = readonly Setup['hiding'][string][];

/** The records hidden by some hidings and house rules, and by the file, one byte a record; null where nothing is hidden. */
function hiddenBy(snapshot: Snapshot, hidings: Hidings, rules: readonly BoundRule[]): Uint8Array | null {
  const byFile = snapshot.values.get('hidden');
  if (hidings.length === 0 && rules.length === 0 && !byFile?.size) return null;
  const { records, recordFamily } = snapshot;
  const hidden = new Uint8Array(records);
  const tags = snapshot.values.get('tags');
  const wanted = new Uint8Array(tags?.size ?? 0);
  /** Tags that hide what is sold out. */
  const wantedSoldOut = new Uint8Array(tags?.size ?? 0);
  const inStock = hidings.some(({ whileSoldOut }) => whileSoldOut) ? stockOf(snapshot).byFamily : null;
  for (const hiding of hidings) {
    if (hiding.what === 'tag') {
      const value = tags?.find(hiding.tag) ?? -1;
      if (value >= 0) (hiding.whileSoldOut ? wantedSoldOut : wanted)[value] = 1;
      continue;
    }
    const family = snapshot.findFamily(hiding.product);
    if (family >= 0 && !(hiding.whileSoldOut && inStock?.[family]))
      hidden.fill(hiddenMark, ...snapshot.recordsOf(family));
  }
  if (byFile?.size) {
    const any = new Uint8Array(byFile.size).fill(1);
    for (let record = 0; record < records; record++) if (byFile.hasAny(record, any)) hidden[record] = hiddenMark;
  }
  if (tags && wanted.includes(1))
    for (let record = 0; record < records; record++) if (tags.hasAny(record, wanted)) hidden[record] = hiddenMark;
  if (tags && wantedSoldOut.includes(1))
    for (let record = 0; record < records; record++)
      if (!inStock?.[recordFamily[record]!] && tags.hasAny(record, wantedSoldOut)) hidden[record] = hiddenMark;
  for (const { does, met } of rules) {
    if (does.what === 'hide')
      eachIn(met, (record) => {
        hidden[record] = hiddenMark;
      });
    // A rule that nothing meets would hide the whole shop: it does nothing instead, and its screen says so.
    else if (does.what === 'only' && met.some((item) => item !== 0))
      for (let record = 0; record < records; record++) if (!isIn(met, record)) hidden[record] = hiddenMark;
  }
  return hidden;
}

/** What is hidden from each place at an instant. Places from which the same is hidden share one array. */
export function hiddenRecords(
  snapshot: Snapshot,
  setup: Setup,
  rules: readonly BoundRule[],
  when: When,
): Readonly<Record<Place, Uint8Array | null>> {
  const hidings = Object.values(setup.hiding).filter((hiding) => holdsAt(hiding, when));
  const hiding = rules.filter(({ does }) => does.what !== 'pull');
  const made = new Map<string, Uint8Array | null>();
  const hiddenFrom = (place: Place): Uint8Array | null => {
    const [some, byRules] = [hidings, hiding].map((all) => all.map((each) => holdsIn(each, place))) as [
      boolean[],
      boolean[],
    ];
    const key = [...some, ...byRules].map(Number).join('');
    if (!made.has(key))
      made.set(
        key,
        hiddenBy(
          snapshot,
          hidings.filter((_, at) => some[at]),
          hiding.filter((_, at) => byRules[at]),
        ),
      );
    return made.get(key)!;
  };
  return Object.fromEntries(places.map((place) => [place, hiddenFrom(place)])) as Record<Place, Uint8Array | null>;
}
