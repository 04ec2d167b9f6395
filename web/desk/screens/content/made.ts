import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { toast } from 'sonner';
import type { contentEndpoints } from '../../../../api/contentEndpoints.ts';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import { own } from '../../../../core/base/named.ts';
import type { MadeArticle, MadeCollection } from '../../../../core/setup/parts/content.ts';
import { type ContentKind, madeKey } from '../../../../core/setup/terms/contentTerms.ts';
import { call } from '../../../client/call.ts';
import { knownState, useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { useTrial } from '../../state/trial.ts';

type Made<Kind extends ContentKind> = Kind extends 'article' ? MadeArticle : MadeCollection;

export type CollectionAnswer = AnswerOf<(typeof contentEndpoints)['collection']>;
export type ArticleAnswer = AnswerOf<(typeof contentEndpoints)['article']>;

/** While another revision of the same item is fetched, the one before stays. */
const ofSame =
  <Item extends { readonly id: string }>(id: string) =>
  (before: Item | undefined): Item | undefined =>
    before?.id === id ? before : undefined;

/** One article or collection as the draft decides it, asked for anew with every change of the draft. */
export function useCollection(id: string) {
  const { revision } = useDeskState();
  return useQuery<CollectionAnswer>({
    queryKey: ['desk', 'content', 'collection', id, revision],
    placeholderData: ofSame<CollectionAnswer>(id),
    queryFn: ({ signal }) => call('collection', { query: { id }, signal }),
  });
}
export function useArticle(id: string) {
  const { revision } = useDeskState();
  return useQuery<ArticleAnswer>({
    queryKey: ['desk', 'content', 'article', id, revision],
    placeholderData: ofSame<ArticleAnswer>(id),
    queryFn: ({ signal }) => call('article', { query: { id }, signal }),
  });
}

/** Whether an item was just made, so that the server may not have it yet. */
export const isBeingMade = (kind: ContentKind, id: string): boolean =>
  own(knownState()?.setup.content, madeKey(kind, id)) !== undefined;

/** What the draft says of one item by now, unsaved edits included. */
export function madeNowOf<Kind extends ContentKind>(kind: Kind, id: string): Made<Kind> {
  const entry = own(knownState()?.setup.content, madeKey(kind, id));
  return (entry?.what === kind ? entry : { what: kind, id }) as Made<Kind>;
}

/** Changes what the draft says of one item; undefined takes a field away, so that it is as it was imported. */
export function saveMade<Kind extends ContentKind>(
  kind: Kind,
  id: string,
  change: { readonly [Field in keyof Made<Kind>]?: Made<Kind>[Field] | undefined },
): void {
  const after = Object.entries({ ...madeNowOf(kind, id), ...change }).filter(([, value]) => value !== undefined);
  const says = after.length > 2;
  void edit({ part: 'content', key: madeKey(kind, id), value: says ? Object.fromEntries(after) : null });
}

/** Takes away everything the draft says of one item. */
export function removeMade(kind: ContentKind, id: string, message: string): void {
  void edit({ part: 'content', key: madeKey(kind, id), value: null });
  toast(message, { action: { label: 'Undo', onClick: () => void step('undo') } });
}

/** Shows a collection's page in the shop window as long as its screen is open. */
export function useCollectionShown(id: string): void {
  useEffect(() => {
    const { query, collection, search } = useTrial.getState();
    search('', id);
    return () => {
      // What was tried since is left alone.
      if (useTrial.getState().collection === id) search(query, collection === id ? '' : collection);
    };
  }, [id]);
}
