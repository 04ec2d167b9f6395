import { AsyncLocalStorage } from 'node:async_hooks';

/** Tells, to whatever is done for a request, whether its client has gone. */
export const requestSignal = new AsyncLocalStorage<AbortSignal>();
