/** A page of the shop's that is no search; `asked` grows each time it is asked for. */
export interface ShopPage {
  readonly kind: 'product' | 'article';
  readonly id: string;
  readonly asked: number;
}

/** What the desk tells the shop window in its frame. */
export type ToShop =
  /**
   * Show this search by one of the storefront's setups, named as `nameOf` does, at the desk of a draft; `turn` grows with
   * every change that may show.
   */
  {
    readonly kind: 'show';
    readonly query: string;
    /** The collection it is made in, by id; empty for the whole shop. */
    readonly collection: string;
    readonly draft: string;
    readonly from: string;
    readonly turn: number;
    /** The moment it is seen as of, on the storefront's clock; empty for now. */
    readonly at: string;
    /** What is shown in place of the search, as long as the desk's screen is about it. */
    readonly page: ShopPage | null;
    /** What the search box is held open with, as long as the desk's screen is about it; null where it is not. */
    readonly box: string | null;
    /** Whether it is seen light or dark; null: as the desk is. */
    readonly theme: 'light' | 'dark' | null;
  };

/** What the desk wants seen. */
export type DeskView = Omit<ToShop, 'kind'>;

/** What a merchandiser does to products where they stand in the window; several are pinned one behind the other. */
export type ProductAct =
  | { readonly act: 'pin'; readonly place: number }
  | {
      readonly act:
        | 'unpin'
        | 'boost'
        | 'lower'
        | 'neutral'
        | 'boostEverywhere'
        | 'lowerEverywhere'
        | 'hide'
        | 'hideSome'
        | 'why';
    };

/** What the shop window tells the desk. */
export type ToDesk =
  | { readonly kind: 'ready' }
  | { readonly kind: 'shown'; readonly query: string; readonly total: number }
  | { readonly kind: 'searched'; readonly query: string; readonly collection: string }
  | {
      readonly kind: 'act';
      readonly query: string;
      /** In the order in which they stand; one at least. */
      readonly products: readonly { readonly id: string; readonly title: string }[];
      readonly what: ProductAct;
      readonly filters: Readonly<Record<string, readonly string[]>>;
      /** The collection that is looked at, empty for none; the order the shopper chose; what is taken as words; whether only what was typed is. */
      readonly collection: string;
      readonly sort: string;
      readonly asWords: readonly string[];
      readonly exactly: boolean;
    };

/**
 * What the window is to show first stands in its frame's name, where that is known when it is made: it then asks for the
 * results while its code is read, instead of asking the desk what to ask for.
 */
export const firstShow = (message: ToShop): string => JSON.stringify(message);
export function readFirstShow(name: string): ToShop | null {
  try {
    const message = JSON.parse(name) as ToShop | null;
    return message?.kind === 'show' ? message : null;
  } catch {
    // A frame without one, or of a name somebody else gave.
    return null;
  }
}

const mark = 'clever-shelf';

/** Sends to another frame of this same origin. */
export function post(target: Window, message: ToShop | ToDesk): void {
  target.postMessage({ mark, message }, location.origin);
}

/** Listens for messages of one frame of this origin; answers the function that ends it. */
export function listen<Message extends ToShop | ToDesk>(
  from: () => Window | null,
  handle: (message: Message) => void,
): () => void {
  const hear = (event: MessageEvent): void => {
    if (event.origin !== location.origin || event.source !== from()) return;
    const data = event.data as { mark?: string; message?: Message } | null;
    if (data?.mark === mark && data.message) handle(data.message);
  };
  addEventListener('message', hear);
  return () => removeEventListener('message', hear);
}
