import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';
import { type ObviousCatalog, type ReadRecord, remembered } from './obviousCatalog.ts';

/** What tie-breakers and boosts read of a family, by a look at all of its variants. */
export function amountReader({ records }: ObviousCatalog, today: number) {
  const familyAmount = (familyId: string, attribute: string): number | null => {
    const amounts = records
      .filter((record) => record.familyId === familyId)
      .flatMap((record) => (typeof record.values[attribute] === 'number' ? [record.values[attribute]] : []));
    if (amounts.length === 0) return null;
    const adds = attribute === 'units_sold' || attribute === 'stock';
    return adds ? amounts.reduce((a, b) => a + b, 0) : Math.max(...amounts);
  };
  const meanRating = remembered((): number | null => {
    let [sum, count] = [0, 0];
    for (const familyId of new Set(records.map((record) => record.familyId))) {
      const [rating, ratings] = [familyAmount(familyId, 'rating'), familyAmount(familyId, 'ratings')];
      if (rating === null || ratings === null || ratings <= 0) continue;
      sum += rating * ratings;
      count += ratings;
    }
    return count === 0 ? null : sum / count;
  });
  const familyInStock = (familyId: string): boolean => {
    const variants = records.filter((record) => record.familyId === familyId);
    const shown = variants.filter(({ values }) => values.hidden === undefined);
    return (shown.length > 0 ? shown : variants).some(({ values }) => values.availability !== 'Sold out');
  };
  const amountOf = (familyId: string, { record }: ReadRecord, signal: TieBreaker): number | null => {
    const { attribute, pulledBy, halfLife, lowBelow } = signal;
    const own = (key: string): number | null => (typeof record.values[key] === 'number' ? record.values[key] : null);
    if (attribute === 'availability') return familyInStock(familyId) ? 1 : 0;
    if (attribute === 'margin') {
      const [price, cost] = [own('price'), own('cost')];
      return price === null || cost === null || price <= 0 ? null : (price - cost) / price;
    }
    if (lowBelow !== undefined) return (own(attribute) ?? lowBelow) >= lowBelow ? 1 : 0;
    if (attribute === 'price') return own('price');
    if (attribute === 'date_added') {
      const days = records
        .filter((other) => other.familyId === familyId && typeof other.values.date_added === 'string')
        .map((other) => Date.parse(`${other.values.date_added}T00:00:00Z`) / 86_400_000);
      if (days.length === 0) return null;
      const latest = Math.max(...days);
      return halfLife === undefined ? latest : Math.round(100 * 2 ** (-Math.max(0, today - latest) / halfLife));
    }
    const mean = attribute === 'rating' && pulledBy !== undefined ? meanRating('') : null;
    if (mean === null) return familyAmount(familyId, attribute);
    const rating = familyAmount(familyId, 'rating');
    const count = rating === null ? 0 : (familyAmount(familyId, 'ratings') ?? 0);
    return count + pulledBy! === 0
      ? mean
      : ((count === 0 ? 0 : rating! * count) + mean * pulledBy!) / (count + pulledBy!);
  };
  return { familyAmount, familyInStock, amountOf };
}
