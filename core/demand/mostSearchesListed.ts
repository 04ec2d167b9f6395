/** Most different searches that are counted and listed: those made most. */
export const mostSearchesListed = 20_000;
