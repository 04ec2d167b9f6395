/** A share in whole percent; of nothing it is none. */
export const percent = (part: number, whole: number): string =>
  `${whole === 0 ? 0 : Math.round((part / whole) * 100)}%`;
