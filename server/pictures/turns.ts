/** Work of one kind, so much of it at once; the rest waits its turn, the first come first. */
export interface Turns {
  run<Answer>(work: () => Promise<Answer>): Promise<Answer>;
  /** How many wait. */
  waiting(): number;
}

export function openTurns(atOnce: number): Turns {
  const waiting: (() => void)[] = [];
  let running = 0;
  return {
    async run(work) {
      // A place is handed on, so that nobody comes in between and makes it one too many.
      if (running >= atOnce) await new Promise<void>((go) => waiting.push(go));
      else running++;
      try {
        return await work();
      } finally {
        const next = waiting.shift();
        if (next) next();
        else running--;
      }
    },
    waiting: () => waiting.length,
  };
}
