import { useCallback, useEffect, useState } from 'react';
import {
  listen,
  type ProductAct,
  post,
  readFirstShow,
  type ShopPage,
  type ToDesk,
  type ToShop,
} from '../bridge/messages.ts';
import { placeNow, setPlace } from '../client/place.ts';

/** What the desk has told this window, where it stands in the desk's frame. */
export interface DeskView {
  readonly query: string;
  readonly collection: string;
  /** The draft whose desk it is, and the setup that is shown. */
  readonly draft: string;
  readonly from: string;
  readonly turn: number;
  /** The moment it is seen as of; empty for now. */
  readonly at: string;
  /** What is shown in place of the search. */
  readonly page: ShopPage | null;
  /** What the search box is held open with; null where it is not. */
  readonly box: string | null;
}

export const inDesk = window.parent !== window && new URLSearchParams(location.search).has('desk');

/** What the desk wants to see first, where it was known when the window was made. */
export const firstView: DeskView | null = inDesk ? readFirstShow(window.name) : null;
if (firstView) setPlace({ ...placeNow(), draft: firstView.draft });

/** The desk around this window, or null where the shop stands alone. */
export function useDesk(): {
  readonly isInDesk: boolean;
  readonly view: DeskView | null;
  shown(query: string, total: number): void;
  searched(query: string, collection: string): void;
  act(
    search: Pick<Extract<ToDesk, { kind: 'act' }>, 'query' | 'filters' | 'sort' | 'collection' | 'asWords' | 'exactly'>,
    product: { id: string; title: string },
    what: ProductAct,
  ): void;
} {
  const [view, setView] = useState(firstView);
  useEffect(() => {
    if (!inDesk) return;
    const stop = listen<ToShop>(
      () => window.parent,
      ({ query, collection, draft, from, turn, at, page, box }) => {
        setPlace({ ...placeNow(), draft });
        setView({ query, collection, draft, from, turn, at, page, box });
      },
    );
    post(window.parent, { kind: 'ready' });
    return stop;
  }, []);
  const shown = useCallback((query: string, total: number) => {
    if (inDesk) post(window.parent, { kind: 'shown', query, total });
  }, []);
  const searched = useCallback((query: string, collection: string) => {
    if (inDesk) post(window.parent, { kind: 'searched', query, collection });
  }, []);
  return {
    isInDesk: inDesk,
    view,
    shown,
    searched,
    act: ({ query, filters, sort, collection, asWords, exactly }, product, what) =>
      post(window.parent, { kind: 'act', query, filters, sort, collection, asWords, exactly, product, what }),
  };
}
