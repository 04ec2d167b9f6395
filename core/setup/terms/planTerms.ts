/** How a plan's searches hold for what a shopper types, the most exact first. */
export const planHows = ['exactly', 'meaning', 'beginning', 'containing'] as const;
export type PlanHow = (typeof planHows)[number];

/** What holds of a plan where its setting does not say. */
export const usualHow: PlanHow = 'exactly';

/** Where a banner stands: over the results, among them at a place, or under them. */
export const bannerPlaces = ['above', 'grid', 'below'] as const;
export type BannerPlace = (typeof bannerPlaces)[number];
/** Banners that a page of results shows at most. */
export const mostBannersShown = 6;

/** How it is said before the searches: “for searches containing …”. */
export const planHowTexts: Readonly<Record<PlanHow, string>> = {
  exactly: 'for',
  meaning: 'for searches that mean',
  beginning: 'for searches beginning with',
  containing: 'for searches containing',
};

/** What shoppers look at the shop with, by the width of its page. */
export const devices = ['phone', 'tablet', 'desktop'] as const;
export type Device = (typeof devices)[number];
export const deviceNames: Readonly<Record<Device, string>> = {
  phone: 'phones',
  tablet: 'tablets',
  desktop: 'larger screens',
};
/** Widths in pixels below which a page is taken for a phone's, or a tablet's. */
const phoneBelow = 600;
const tabletBelow = 1024;
export const deviceOf = (width: number): Device =>
  width < phoneBelow ? 'phone' : width < tabletBelow ? 'tablet' : 'desktop';
