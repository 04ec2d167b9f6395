import { percentile } from './percentile.ts';

/** Times what each way takes for each thing, in turn. */
export function measured<Given>(
  ways: readonly (readonly [name: string, run: (given: Given) => void])[],
  given: readonly Given[],
): void {
  const times = ways.map((): number[] => []);
  for (const each of given)
    for (const [at, [, run]] of ways.entries()) {
      const start = performance.now();
      run(each);
      times[at]!.push(performance.now() - start);
    }
  for (const [at, [name]] of ways.entries()) {
    // The first tenth has warmed the code.
    const warm = times[at]!.slice(given.length / 10);
    const shown = (share: number): string => percentile(warm, share).toFixed(2).padStart(8);
    console.log(`${name.padEnd(30)} ms, 50th ${shown(0.5)}  95th ${shown(0.95)}  99th ${shown(0.99)}`);
  }
}
