import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../../core/base/random.ts';
import { commitsUnderLoad } from './commitsUnderLoad.ts';
import { acceptAll, makeReady, markedCatalog, type RealServer, startRealServer, until } from './realServer.ts';

/**
 * Kills a real server at random moments of random work and looks at the next start whether everything it acknowledged is
 * there, whole. Deterministic in what it tries by its seed; the moments are the machine's.
 */
const { values } = parseArgs({
  options: {
    rounds: { type: 'string', default: '60' },
    seed: { type: 'string', default: '1' },
    port: { type: 'string', default: '4297' },
    commits: { type: 'string', default: '20' },
    connections: { type: 'string', default: '50' },
  },
});
const random = seededRandom(Number(values.seed));
const port = Number(values.port);
const root = process.cwd();
const data = mkdtempSync(join(tmpdir(), 'clever-shelf-torture-'));
const faults: string[] = [];
const tried = new Map<string, number>();

/** What the server acknowledged, and what it may have done besides when it was killed before it could say so. */
const expected = { width: 3, widthMaybe: 3, release: 1, releaseMaybe: 1, mark: 'round0', markMaybe: 'round0' };
let server: RealServer | undefined;

const state = async () =>
  (await server!.get('/desk/state')).body as unknown as {
    revision: number;
    canUndo: string | null;
    release: { number: number };
    setup: { relevance: { closeCall: { width: number } } };
    catalog: { records: number };
  };
const edit = async (width: number): Promise<void> => {
  const { revision } = await state();
  const edits = [{ part: 'relevance', key: 'closeCall', value: { width } }];
  expected.widthMaybe = width;
  const { status } = await server!.post('/desk/edits', { revision, edits });
  if (status === 200) expected.width = width;
};

/** Work that goes on until the server is killed under it. */
const works: Readonly<Record<string, () => Promise<void>>> = {
  async editing() {
    for (let turn = 0; turn < 200; turn++) await edit(1 + Math.floor(random() * 50));
  },
  async publishing() {
    for (let turn = 0; turn < 100; turn++) {
      await edit(1 + Math.floor(random() * 50));
      const { revision, release } = await state();
      expected.releaseMaybe = release.number + 1;
      const { status } = await server!.post('/desk/publish', { revision, note: '' });
      if (status === 200) expected.release = expected.releaseMaybe;
    }
  },
  async undoing() {
    for (let turn = 0; turn < 100; turn++) {
      await edit(1 + Math.floor(random() * 50));
      const before = await state();
      const { status, body } = await server!.post('/desk/undo', { revision: before.revision });
      const { setup } = status === 200 ? (body as unknown as typeof before) : before;
      expected.widthMaybe = expected.width;
      expected.width = setup.relevance.closeCall.width;
    }
  },
  async importing() {
    for (let turn = 0; turn < 5; turn++) {
      const mark = `round${Math.floor(random() * 1e6)}`;
      await makeReady(server!, markedCatalog(1500, mark));
      expected.markMaybe = mark;
      const { status } = await server!.post('/desk/catalog/import/commit', acceptAll);
      if (status === 200) expected.mark = mark;
    }
  },
  async feeding() {
    for (let turn = 0; turn < 300; turn++)
      await server!.post('/desk/catalog/facts', { records: [{ id: `m${turn % 90}`, price: 1 + (turn % 50) }] });
  },
};

async function look(round: number, work: string): Promise<void> {
  const fault = (what: string): void => {
    faults.push(`round ${round}, killed while ${work}: ${what}`);
  };
  const { setup, release, catalog } = await state();
  const { width } = setup.relevance.closeCall;
  // An undo that was not acknowledged leaves one of two widths; both are what somebody asked for.
  if (work !== 'undoing' && ![expected.width, expected.widthMaybe].includes(width))
    fault(`the width is ${width}, not ${expected.width} or ${expected.widthMaybe}`);
  if (![expected.release, expected.releaseMaybe].includes(release.number))
    fault(`release ${release.number} is live, not ${expected.release} or ${expected.releaseMaybe}`);
  const { status, body } = await server!.get('/shop/search?q=brush&limit=24');
  const titles = status === 200 ? (body as { results: { title: string }[] }).results.map(({ title }) => title) : [];
  const marks = new Set(titles.map((title) => title.split(' ')[0]!));
  if (marks.size !== 1) fault(`a search answers ${status} with ${[...marks].join(', ') || 'nothing'}`);
  const [mark] = marks;
  if (mark !== undefined && ![expected.mark, expected.markMaybe].includes(mark))
    fault(`the catalog is ${mark}, not ${expected.mark} or ${expected.markMaybe}`);
  if (catalog.records === 0) fault('there is no catalog');
  Object.assign(expected, { width, widthMaybe: width, release: release.number, releaseMaybe: release.number });
  if (mark !== undefined) Object.assign(expected, { mark, markMaybe: mark });
}

const start = async (): Promise<void> => {
  server = await startRealServer({ root, data, port });
};
try {
  await start();
  await makeReady(server!, markedCatalog(1500, 'round0'));
  await server!.post('/desk/catalog/import/commit', acceptAll);
  for (let round = 1; round <= Number(values.rounds); round++) {
    const work = pick(random, Object.keys(works));
    tried.set(work, (tried.get(work) ?? 0) + 1);
    const wait = Math.floor(random() * (work === 'importing' ? 2500 : 500));
    const working = works[work]!().catch(() => {});
    await new Promise((resolve) => setTimeout(resolve, wait));
    await server!.kill();
    await working;
    await start();
    await until(async () => (await server!.get('/desk/state')).status === 200);
    await look(round, work);
  }
  const [commits, connections] = [Number(values.commits), Number(values.connections)];
  const load = await commitsUnderLoad(server!, { commits, connections, pause: 0 });
  faults.push(...load.faults);
  console.log(
    `${commits} catalogs put in force under ${connections} connections: ${load.answers} searches, ${load.deskAnswers.effect} effects and ${load.deskAnswers.proposals} looks at proposals answered meanwhile, ${load.faults.length} faults.`,
  );
} finally {
  await server?.kill();
  rmSync(data, { recursive: true, force: true });
}
for (const fault of faults) console.log(fault);
const counts = [...tried].map(([work, times]) => `${work} ${times}`).join(', ');
console.log(`Killed ${values.rounds} times from seed ${values.seed} on: ${counts}; ${faults.length} faults.`);
process.exitCode = faults.length > 0 ? 1 : 0;
