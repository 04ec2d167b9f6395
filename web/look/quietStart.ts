declare global {
  interface ErrorConstructor {
    /** How many frames of a stack an error remembers; only some browsers have it. */
    stackTraceLimit?: number;
  }
}

/**
 * Libraries make errors as they are loaded that are only signs and that nobody reads. Where each was made the browser finds
 * out by reading the whole library once more, which took a twentieth of the time in which the desk opens.
 */
const usual = Error.stackTraceLimit;
Error.stackTraceLimit = 0;

/** Errors tell from now on where they were made. To be called once everything that a page begins with is loaded. */
export function stacksFromNow(): void {
  if (usual !== undefined) Error.stackTraceLimit = usual;
}
