/** What holds of spelling where a setup does not say. */
export const usualSpelling = { oneEditFrom: 4, twoEditsFrom: 7, atOnce: true, offers: 3 } as const;
