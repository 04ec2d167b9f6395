import { threadId } from 'node:worker_threads';

/** A thread for tests of lanes: computes for so many milliseconds, or for ever, and says which thread it is. */
export default ({ milliseconds = 0, forEver = false }) => {
  const end = performance.now() + milliseconds;
  while (forEver || performance.now() < end);
  return { value: threadId };
};
