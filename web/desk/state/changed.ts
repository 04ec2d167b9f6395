import type { SetupPart } from '../../../core/setup/registry.ts';
import { useDeskState } from './deskState.ts';

/** Tells whether an entry differs from what is published. */
export function useChanged(part: SetupPart): (key: string) => boolean {
  const { changes } = useDeskState();
  const keys = new Set(changes.filter((change) => change.part === part).map(({ key }) => key));
  return (key) => keys.has(key);
}

/** Tells whether an item within an entry differs from what is published: `itemOf` takes it out of the entry. */
export function useItemChanged(part: SetupPart, key: string): (itemOf: (entry: unknown) => unknown) => boolean {
  const { changes } = useDeskState();
  const change = changes.find((each) => each.part === part && each.key === key);
  return (itemOf) => {
    if (!change) return false;
    const before = change.before === null ? undefined : itemOf(change.before);
    return JSON.stringify(before) !== JSON.stringify(itemOf(change.after));
  };
}
