import type { SetupPart } from '../../../core/setup/registry.ts';
import { useDeskState } from './deskState.ts';

/** Tells whether an entry differs from what is published. */
export function useChanged(part: SetupPart): (key: string) => boolean {
  const { changes } = useDeskState();
  const keys = new Set(changes.filter((change) => change.part === part).map(({ key }) => key));
  return (key) => keys.has(key);
}
