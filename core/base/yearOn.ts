/** A moment or a day a year later; the 29th of February becomes the 28th. */
export function aYearLater(moment: string): string {
  const year = String(Number(moment.slice(0, 4)) + 1).padStart(4, '0');
  const rest = moment.slice(4);
  return year + (rest.startsWith('-02-29') ? `-02-28${rest.slice(6)}` : rest);
}
