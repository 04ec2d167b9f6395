import type { OpenAPIHono } from '@hono/zod-openapi';
import type { z } from 'zod';
import { historyEndpoints as endpoints, historyQuery } from '../../api/historyEndpoints.ts';
import type { historyDays } from '../../api/limits.ts';
import { filePaths } from '../../api/paths.ts';
import { writeCsv } from '../../core/catalog/writeCsv.ts';
import type { HistoryFilter } from '../store/historyReader.ts';
import { invalidRequest, problem } from './problems.ts';
import type { Services } from './services.ts';
import { routeOf, type Serve } from './serving.ts';
import { written } from './setupRoutes.ts';
import { whereaboutsOf } from './whereabouts.ts';

/** Steps in one answer, and in a file. */
const stepsAnswered = 60;
const stepsSaved = 20_000;

function filterOf({ of, who, part, product, before }: z.output<typeof historyQuery>, draft: string): HistoryFilter {
  return {
    draft: of === 'draft' ? draft : undefined,
    ...{ who: who || undefined, part, product: product || undefined, before },
  };
}

/** What anybody did, and taking one step back long after. */
export function serveHistory(app: OpenAPIHono, serve: Serve, services: Services): void {
  const { searcher, storefronts, writer, now } = services;
  const { deskIn } = whereaboutsOf(services);
  const namesIn = (storefront: string): ReadonlyMap<string, string> =>
    new Map(storefronts.drafts(storefront).map(({ id, name }) => [id, name || id]));
  serve.desk(endpoints.history, async ({ id, ref }, query) => {
    const steps = await searcher.history(ref, filterOf(query, ref.draft), stepsAnswered + 1);
    const drafts = namesIn(id);
    const shown = steps.slice(0, stepsAnswered);
    const last = steps.length > stepsAnswered ? shown.at(-1) : undefined;
    return {
      steps: shown.map((step) => ({
        ...step,
        draftName: step.draft === null ? null : (drafts.get(step.draft) ?? step.draft),
        isHere: step.draft === ref.draft,
      })),
      people: await searcher.historyPeople(ref),
      keptDays: (storefronts.storefront(id)?.historyDays ?? null) as (typeof historyDays)[number] | null,
      next: last ? `${Date.parse(last.at)}/${last.id}` : null,
    };
  });
  serve.desk(endpoints.keepHistory, async ({ id, tellAround }, _, { days }) => {
    await writer.keepHistory(id, days);
    await writer.pruneHistory(now());
    tellAround(days === null ? 'keeps the history for good' : `keeps the history for ${days} days`);
    return {};
  });
  serve.desk(endpoints.takeStepBack, (here, _, { revision, step, changedSince }) =>
    written(here, writer.takeStepBack(here.ref, step, revision, here.person, now(), changedSince)),
  );
  app.get(routeOf(filePaths.history), async (context) => {
    const { id, ref } = await deskIn(context);
    const query = historyQuery.safeParse(context.req.query());
    if (!query.success) return problem(context, 400, invalidRequest(query.error));
    const drafts = namesIn(id);
    const steps = await searcher.history(ref, filterOf(query.data, ref.draft), stepsSaved);
    context.header('content-type', 'text/csv; charset=utf-8');
    context.header('content-disposition', 'attachment; filename="history.csv"');
    return context.body(
      writeCsv(
        ['time', 'who', 'draft', 'kind', 'change'],
        steps.flatMap(({ at, who, draft, kind, sentences, more, note }) => {
          const told = [...(note ? [note] : []), ...sentences, ...(more > 0 ? [`and ${more} more`] : [])];
          return told.map((sentence) => [at, who, draft === null ? '' : (drafts.get(draft) ?? draft), kind, sentence]);
        }),
      ),
    );
  });
}
