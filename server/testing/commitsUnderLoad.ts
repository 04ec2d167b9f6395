import { acceptAll, makeReady, markedCatalog, type RealServer } from './realServer.ts';

export interface UnderLoad {
  /** Searches that were answered meanwhile. */
  readonly answers: number;
  /** Answers that failed, or were of two catalogs or half of one. */
  readonly faults: readonly string[];
}

const pageSize = 24;

/** Puts catalogs in force, one after the other, while shoppers search on so many connections; each tells which it is of. */
export async function commitsUnderLoad(server: RealServer, commits: number, connections: number): Promise<UnderLoad> {
  let isOver = false;
  let answers = 0;
  const faults: string[] = [];
  const put = async (round: number): Promise<void> => {
    await makeReady(server, markedCatalog(400, `round${round}`));
    const { status, body } = await server.post('/desk/catalog/import/commit', acceptAll);
    if (status !== 200) faults.push(`commit ${round}: ${status} ${JSON.stringify(body)}`);
    const found = (await server.get('/shop/search?q=brush&limit=1')).body as { results: { title: string }[] };
    if (!found.results[0]?.title.startsWith(`round${round} `)) faults.push(`commit ${round} is not in force`);
  };
  const shopper = async (): Promise<void> => {
    while (!isOver) {
      const { status, body } = await server.get(`/shop/search?q=brush&limit=${pageSize}`);
      answers++;
      if (status >= 500) {
        faults.push(`${status} ${JSON.stringify(body).slice(0, 200)}`);
        continue;
      }
      const titles = (body as { results: { title: string }[] }).results.map(({ title }) => title.split(' ')[0]);
      if (titles.length !== pageSize || new Set(titles).size !== 1)
        faults.push(`not of one catalog: ${titles.join(' ')}`);
    }
  };
  await put(0);
  const shoppers = Array.from({ length: connections }, shopper);
  for (let round = 1; round <= commits; round++) await put(round);
  isOver = true;
  await Promise.all(shoppers);
  return { answers, faults };
}
