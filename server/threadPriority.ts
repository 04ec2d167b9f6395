import { setPriority } from 'node:os';

/**
 * Lets other threads run before the calling one, by the operating system: 0 is usual, 19 comes last. Only Linux has
 * priorities by thread; elsewhere, and where it is not allowed, nothing happens.
 */
export function comeAfterOthers(nice: number): void {
  try {
    // On Linux 0 is the calling thread, and no other.
    if (nice > 0 && process.platform === 'linux') setPriority(0, nice);
  } catch {
    // Not allowed here: the lanes alone must do.
  }
}
