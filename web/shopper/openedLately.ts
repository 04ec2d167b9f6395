import { isText, keptList } from './keptList.ts';

const kept = 5;

/** The products a shopper opened last in this visit, the last first: kept by the browser's tab and told to nobody but as a question. */
export interface OpenedLately {
  list(): readonly string[];
  note(product: string): void;
}

export const nothingOpened: OpenedLately = { list: () => [], note() {} };

export function openedLatelyIn(storefront: string): OpenedLately {
  const { list, keep } = keptList(() => sessionStorage, `opened ${storefront}`, isText);
  return {
    list,
    note: (product) => keep([product, ...list().filter((id) => id !== product)].slice(0, kept)),
  };
}
