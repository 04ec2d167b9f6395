/** Marks a record that must not show, in the form in which the matcher takes it; one byte a record, 0 for the others. */
export const hiddenMark = 255;

/** Whether a record must not show. */
export function isHidden(hidden: Uint8Array | null, record: number): boolean {
  return hidden !== null && hidden[record] === hiddenMark;
}
