/** Under which key the words stand that are always taken for others. */
export const fixedCorrectionsKey = 'fixed-corrections';
