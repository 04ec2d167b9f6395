const pattern = /^\d{4}-\d{2}-\d{2}$/;
const aDay = 86_400_000;

/** A day as it is written, `2026-12-01`, in days since 1970-01-01; NaN for a text that is none, or a day there is not. */
export function dayNumber(text: string): number {
  const at = pattern.test(text) ? Date.parse(`${text}T00:00:00Z`) : Number.NaN;
  // Some programs read 30 February as 2 March.
  return dayText(at / aDay) === text ? at / aDay : Number.NaN;
}

/** The same the other way round; empty for no day. */
export const dayText = (day: number): string =>
  Number.isFinite(day) ? new Date(day * aDay).toISOString().slice(0, 10) : '';
