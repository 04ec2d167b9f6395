import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';

/** A server as its clients know it. */
export interface ServerAt {
  readonly base: string;
  get(path: string): Promise<{ status: number; body: never }>;
  post(path: string, body: unknown): Promise<{ status: number; body: never; headers: Headers }>;
  revision(): Promise<number>;
  /** An edit that changes what searches are ordered by, and nothing else. */
  weigh(width: number): Promise<{ status: number; body: never }>;
}

/** The built server as a process of its own, for tests that kill it, lock it or take its files away. */
export interface RealServer extends ServerAt {
  readonly process: ChildProcess;
  /** What it wrote so far, output and errors together. */
  said(): string;
  /** Ends it without warning. */
  kill(): Promise<void>;
}

const startsWithin = 120_000;

/** Asks the server at an address; where no answer comes, `state` says what is known of the server. */
export function serverAt(base: string, state: () => string = () => ''): ServerAt {
  const answer = async (path: string, options: RequestInit = {}) => {
    try {
      const response = await fetch(base + path, options);
      return { status: response.status, headers: response.headers, body: (await response.json()) as never };
    } catch (cause) {
      throw new Error(`No answer to ${options.method ?? 'GET'} ${path}. ${state()}`, { cause });
    }
  };
  const get = async (path: string) => answer(path);
  const post = async (path: string, body: unknown) =>
    answer(path, {
      method: 'POST',
      headers: typeof body === 'string' ? {} : { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    });
  const revision = async () => ((await get('/desk/state')).body as { revision: number }).revision;
  return {
    ...{ base, get, post, revision },
    weigh: async (width) =>
      post('/desk/edits', {
        revision: await revision(),
        edits: [{ part: 'relevance', key: 'closeCall', value: { width } }],
      }),
  };
}

/** Starts the built server; resolves when it answers, or when it has ended by itself (`process.exitCode` is then set). */
export async function startRealServer(options: {
  readonly root: string;
  readonly data: string;
  readonly port: number;
  readonly demo?: string;
  readonly arguments?: readonly string[];
}): Promise<RealServer> {
  const { root, data, port, demo = join(root, 'demo', 'store') } = options;
  const given = ['--port', String(port), '--data', data, '--demo', demo, ...(options.arguments ?? [])];
  const server = spawn(process.execPath, [join(root, 'dist', 'server', 'main.js'), ...given], { cwd: root });
  let text = '';
  for (const stream of [server.stdout, server.stderr])
    stream.on('data', (chunk) => {
      text += String(chunk);
    });
  const base = `http://127.0.0.1:${port}`;
  const until = Date.now() + startsWithin;
  while (server.exitCode === null && !text.includes('Clever Shelf is at')) {
    if (Date.now() > until) throw new Error(`The server did not start: ${text}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  return {
    ...serverAt(base, () => `The server ended with ${server.exitCode ?? server.signalCode}; it said: ${text}`),
    process: server,
    said: () => text,
    async kill() {
      if (server.exitCode !== null || server.signalCode !== null) return;
      const gone = once(server, 'exit');
      server.kill('SIGKILL');
      await gone;
    },
  };
}

/** Waits until a question is answered with yes, asking again and again. */
export async function until(isSo: () => Promise<boolean> | boolean, within = 30_000): Promise<void> {
  const end = Date.now() + within;
  while (!(await isSo())) {
    if (Date.now() > end) throw new Error('It did not come to pass in time.');
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
}

/** A catalog of so many products, whose titles and ids tell by `mark` which file they are of. */
export const markedCatalog = (records: number, mark: string): string =>
  [
    'id,title,brand,price,stock',
    ...Array.from(
      { length: records },
      (_, at) => `${mark}-${at},${mark} brush ${at},Osier,${(at % 90) + 1}.50,${at % 7}`,
    ),
  ].join('\n');

/** Brings a catalog in over HTTP, up to the moment before it is put in force. */
export async function makeReady(server: ServerAt, csv: string, name = 'marked.csv'): Promise<void> {
  const phase = async (): Promise<string> => {
    const { body } = await server.get('/desk/catalog/import/job');
    return (body as { job: { phase: string; error: string | null } }).job.phase;
  };
  const started = await server.post(`/desk/catalog/import?file=${name}`, csv);
  if (started.status !== 200) throw new Error(`The file was not taken: ${JSON.stringify(started.body)}`);
  await until(async () => ['mapping', 'failed'].includes(await phase()), 120_000);
  const { body } = await server.get('/desk/catalog/import/examined');
  await server.post('/desk/catalog/import/read', {
    mapping: (body as { mapping: unknown }).mapping,
    mode: 'replace',
  });
  await until(async () => ['ready', 'failed'].includes(await phase()), 300_000);
  const { body: ended } = await server.get('/desk/catalog/import/job');
  const { job } = ended as { job: { phase: string; error: string | null } };
  if (job.phase !== 'ready') throw new Error(`The file was not read: ${job.error}`);
}

export const acceptAll = { accept: ['shown-products-gone', 'many-gone', 'many-prices', 'many-refused'] };
