/** What one record may hold: beyond, the row is refused with the reason rather than cut unseen. */

/** Values of one attribute. */
export const mostValues = 500;
/** Levels of a category. Each level is a value of its own with those above it, so their texts grow with their square. */
export const mostLevels = 20;

/** Characters of a text that are searched: what stands further on is kept and shown only. */
export const longestIndexed = 32_000;
