/** Whether a list has each of its values once, or each of what `by` takes out of them. */
export const isEachOnce = <Of>(list: readonly Of[], by: (of: Of) => unknown = (of) => of): boolean =>
  new Set(list.map(by)).size === list.length;
