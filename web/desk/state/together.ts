import { useEffect } from 'react';
import { toast } from 'sonner';
import { create } from 'zustand';
import type { DeskEvent, PersonHere } from '../../../api/deskEvents.ts';
import { filePaths } from '../../../api/paths.ts';
import { addressOf, call, tab } from '../../client/call.ts';
import { knownState } from './deskState.ts';
import { takeOver } from './edits.ts';
import { labelOf } from './fieldCalled.ts';
import { usePlace } from './place.ts';
import { clientHere } from './queryClient.ts';

/** The others who have this draft open now. */
export const useOthers = create<{ readonly others: readonly PersonHere[] }>(() => ({ others: [] }));

/** The field that has the keys, by its label; empty where none has. */
function fieldNow(): string {
  const active = document.activeElement;
  return active?.closest('#screen') ? labelOf(active) : '';
}

function hear(event: DeskEvent): void {
  if (event.kind === 'people') {
    useOthers.setState({ others: event.people.filter((person) => person.tab !== tab) });
    return;
  }
  if (event.tab === tab) return;
  if (event.kind === 'changed') {
    if (event.revision <= (knownState()?.revision ?? 0)) return;
    void takeOver();
    const more = event.sentences.length - 1;
    toast(`${event.who} changed this draft`, {
      description: `${event.sentences[0] ?? ''}.${more > 0 ? ` And ${more === 4 ? 'more' : `${more} more`}.` : ''}`,
    });
    return;
  }
  void takeOver();
  void clientHere().invalidateQueries({ queryKey: ['desk', 'drafts'] });
  void clientHere().invalidateQueries({ queryKey: ['desk', 'releases'] });
  if (event.what) toast(`${event.who} ${event.what}`);
}

/** How soon after a step from field to field it is said, in milliseconds: who tabs through a form says it once. */
const saidAfter = 250;

/** Listens to what others do to this draft, and tells them where one is, as long as the desk is open. */
export function useTogether(pathname: string, isOpen: boolean): void {
  const { storefront, draft } = usePlace();
  // biome-ignore lint/correctness/useExhaustiveDependencies: another draft is another stream
  useEffect(() => {
    if (!isOpen || typeof EventSource === 'undefined') return;
    const parameters = new URLSearchParams({ tab, screen: pathname });
    const stream = new EventSource(`${addressOf(filePaths.events)}?${parameters}`);
    let isFirst = true;
    stream.onmessage = ({ data }) => hear(JSON.parse(String(data)) as DeskEvent);
    stream.onopen = () => {
      // What happened while nothing was heard is read from the state.
      if (!isFirst) void takeOver();
      isFirst = false;
    };
    return () => {
      stream.close();
      useOthers.setState({ others: [] });
    };
  }, [storefront, draft, isOpen]);
  useEffect(() => {
    if (!isOpen) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let said = '';
    const say = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        const field = fieldNow();
        if (field === said) return;
        said = field;
        void call('place', { body: { tab, screen: pathname, field } }).catch(() => {});
      }, saidAfter);
    };
    void call('place', { body: { tab, screen: pathname, field: '' } }).catch(() => {});
    addEventListener('focusin', say);
    addEventListener('focusout', say);
    return () => {
      clearTimeout(timer);
      removeEventListener('focusin', say);
      removeEventListener('focusout', say);
    };
  }, [pathname, isOpen]);
}
