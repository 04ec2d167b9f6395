import type { DeskEvent, PersonHere } from '../../api/deskEvents.ts';
import { type DraftRef, keyOf } from '../../core/setup/setupRef.ts';

/** Desks that may listen at once; beyond, the one that has listened longest is let go, and asks again by itself. */
export const mostListeners = 500;

/** Tells desks what happens to the draft they have open, and who else has it open. */
export interface Hub {
  /** Listens to a draft; answers how to stop. */
  listen(ref: DraftRef, person: PersonHere, tell: (event: DeskEvent) => void, letGo: () => void): () => void;
  /** Says where somebody who listens is now. */
  place(tab: string, screen: string, field: string): void;
  tell(ref: DraftRef, event: DeskEvent): void;
  /** Tells every desk of a storefront. */
  tellAll(storefront: string, event: DeskEvent): void;
  /** The drafts that somebody listens to, each once. */
  drafts(): DraftRef[];
  close(): void;
}

interface Listener {
  readonly ref: DraftRef;
  person: PersonHere;
  tell(event: DeskEvent): void;
  letGo(): void;
}

export function openHub(): Hub {
  /** By tab, the one that has listened longest first. */
  const listeners = new Map<string, Listener>();
  const at = (ref: DraftRef): Listener[] => [...listeners.values()].filter((each) => keyOf(each.ref) === keyOf(ref));
  const tell = (ref: DraftRef, event: DeskEvent): void => {
    for (const listener of at(ref)) listener.tell(event);
  };
  const tellPeople = (ref: DraftRef): void => {
    const people = at(ref).map(({ person }) => person);
    tell(ref, { kind: 'people', people });
  };
  return {
    tell,
    drafts: () => [...new Map([...listeners.values()].map(({ ref }) => [keyOf(ref), ref])).values()],
    listen(ref, person, hear, letGo) {
      const own: Listener = { ref, person, tell: hear, letGo };
      const before = listeners.get(person.tab);
      listeners.delete(person.tab);
      listeners.set(person.tab, own);
      before?.letGo();
      if (before && keyOf(before.ref) !== keyOf(ref)) tellPeople(before.ref);
      if (listeners.size > mostListeners) {
        const [tab, oldest] = listeners.entries().next().value!;
        listeners.delete(tab);
        oldest.letGo();
      }
      tellPeople(ref);
      return () => {
        if (listeners.get(person.tab) !== own) return;
        listeners.delete(person.tab);
        tellPeople(ref);
      };
    },
    place(tab, screen, field) {
      const listener = listeners.get(tab);
      if (!listener) return;
      listener.person = { ...listener.person, screen, field };
      tellPeople(listener.ref);
    },
    tellAll(storefront, event) {
      for (const { ref, tell: hear } of listeners.values()) if (ref.storefront === storefront) hear(event);
    },
    close() {
      for (const { letGo } of [...listeners.values()]) letGo();
      listeners.clear();
    },
  };
}
