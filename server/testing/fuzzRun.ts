import { parseArgs } from 'node:util';
import { fuzz } from './fuzz.ts';

const { values } = parseArgs({
  options: { rounds: { type: 'string', default: '20000' }, seed: { type: 'string', default: '1' } },
});
const [rounds, seed] = [Number(values.rounds), Number(values.seed)];
let sent = 0;
let bad = 0;
const met = new Map<number, number>();
// In stretches, each with a shop of its own, so that a fault is found again by its own seed.
for (let at = 0; sent < rounds; at++) {
  const { faults, statuses } = await fuzz(Math.min(2000, rounds - sent), seed + at);
  sent += 2000;
  for (const [status, count] of statuses) met.set(status, (met.get(status) ?? 0) + count);
  for (const fault of faults) console.log(`seed ${seed + at}, ${fault}`);
  bad += faults.length;
}
const counts = [...met].sort(([a], [b]) => a - b).map(([status, count]) => `${status}: ${count}`);
console.log(`${rounds} requests from seed ${seed} on; answers ${counts.join(', ')}; ${bad} faults.`);
process.exitCode = bad > 0 ? 1 : 0;
