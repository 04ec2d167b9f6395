import { acceptAll, makeReady, markedCatalog, type RealServer, until } from './realServer.ts';

export interface UnderLoad {
  /** Searches that were answered meanwhile. */
  readonly answers: number;
  /** Effects and proposals that were, for the desk. */
  readonly deskAnswers: Readonly<Record<DeskWork, number>>;
  /** Answers that failed, or were of two catalogs or half of one. */
  readonly faults: readonly string[];
}

type DeskWork = 'effect' | 'proposals';

const pageSize = 24;

/**
 * Puts catalogs in force, one after the other, while shoppers search on so many connections, each
 * telling which catalog its answer is of, and a desk asks for the effect of its draft and for proposals all the time.
 * Between two questions each of them pauses, in milliseconds, and shoppers for several times as long as their answer took:
 * on a busy machine they would otherwise leave nothing for the desk. With 0 none pauses, and there is nothing left but what
 * shoppers leave.
 */
export async function commitsUnderLoad(
  server: RealServer,
  { commits, connections, pause }: { readonly commits: number; readonly connections: number; readonly pause: number },
): Promise<UnderLoad> {
  let isOver = false;
  let answers = 0;
  const faults: string[] = [];
  const deskAnswers: Record<DeskWork, number> = { effect: 0, proposals: 0 };
  let moved = 0;
  const paused = (least = 0) => new Promise((resolve) => setTimeout(resolve, Math.max(pause, least)));
  const put = async (round: number): Promise<void> => {
    await makeReady(server, markedCatalog(400, `round${round}`));
    const { status, body } = await server.post('/desk/catalog/import/commit', acceptAll);
    if (status !== 200) faults.push(`commit ${round}: ${status} ${JSON.stringify(body)}`);
    const found = (await server.get('/shop/search?q=brush&limit=1')).body as { results: { title: string }[] };
    if (!found.results[0]?.title.startsWith(`round${round} `)) faults.push(`commit ${round} is not in force`);
  };
  const shopper = async (): Promise<void> => {
    while (!isOver) {
      const asked = performance.now();
      const { status, body } = await server.get(`/shop/search?q=brush&limit=${pageSize}`);
      answers++;
      if (status >= 500) {
        faults.push(`${status} ${JSON.stringify(body).slice(0, 200)}`);
        continue;
      }
      const titles = (body as { results: { title: string }[] }).results.map(({ title }) => title.split(' ')[0]);
      if (titles.length !== pageSize || new Set(titles).size !== 1)
        faults.push(`not of one catalog: ${titles.join(' ')}`);
      await paused(pause > 0 ? connections * (performance.now() - asked) : 0);
    }
  };
  /** The products that an effect says moved are all of one catalog, or nothing is said. */
  const desk = async (work: DeskWork): Promise<void> => {
    while (!isOver) {
      await paused();
      const { status, body } = await server.get(`/desk/${work}`);
      const { code } = (body as { error?: { code: string } }).error ?? { code: '' };
      if (status === 200) deskAnswers[work]++;
      else if (status !== 409 || code !== 'outdated') faults.push(`${work}: ${status} ${code}`);
      if (work !== 'effect' || status !== 200) continue;
      const { moves } = body as { moves: { product: string }[] };
      moved += moves.length;
      const marks = new Set(moves.map(({ product }) => product.split('-')[0]));
      if (marks.size > 1) faults.push(`an effect of several catalogs: ${[...marks].join(' ')}`);
    }
  };
  await put(0);
  await server.post('/desk/edits', {
    revision: await server.revision(),
    edits: [{ part: 'relevance', key: 'tieBreakers', value: { signals: [{ attribute: 'price', direction: 'high' }] } }],
  });
  const desks = [desk('effect'), desk('proposals')];
  const shoppers = Array.from({ length: connections }, shopper);
  for (let round = 1; round <= commits; round++) {
    await put(round);
    // Shoppers come first, so an effect takes its time: the next catalog comes while the one after this is worked out.
    const effects = deskAnswers.effect;
    await until(() => deskAnswers.effect > effects || faults.length > 0, 300_000);
  }
  isOver = true;
  await Promise.all([...shoppers, ...desks]);
  if (moved === 0) faults.push('no effect told of anything that moved, so none was tried');
  return { answers, deskAnswers, faults };
}
