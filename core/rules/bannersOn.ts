import { bannerPlaces, mostBannersShown } from '../setup/terms/planTerms.ts';
import type { BannerEffect, Effect } from './effects.ts';

/**
 * The banners that stand on one page of results, in the order in which they stand: by where and by place, then as the effects
 * come, the most exact plan's first; at most `mostBannersShown`, of which those over the results come before others. Those over
 * and under the results are on the first page; one among them is on the page of its place, where there are so many products or just one fewer.
 */
export function bannersOn(
  effects: readonly Effect[],
  { page, limit, total }: { readonly page: number; readonly limit: number; readonly total: number },
): BannerEffect[] {
  const [after, last] = [(page - 1) * limit, Math.min(page * limit, total + 1)];
  return effects
    .filter((effect) => effect.what === 'banner')
    .filter(({ where, place }) => (where === 'grid' ? place > after && place <= last : page === 1))
    .sort(
      (a, b) =>
        bannerPlaces.indexOf(a.where) - bannerPlaces.indexOf(b.where) || (a.where === 'grid' ? a.place - b.place : 0),
    )
    .slice(0, mostBannersShown);
}
