import type { OpenAPIHono } from '@hono/zod-openapi';
import { contentEndpoints } from '../../api/contentEndpoints.ts';
import { filePaths } from '../../api/paths.ts';
import { contentKinds } from '../../core/setup/terms/contentTerms.ts';
import { problem } from './problems.ts';
import { withFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import { routeOf, type Serve } from './serving.ts';
import { whereaboutsOf } from './whereabouts.ts';

/** Articles and collections. */
export function serveContent(app: OpenAPIHono, serve: Serve, services: Services): void {
  const { folder, searcher, writer } = services;
  const { deskIn } = whereaboutsOf(services);
  app.get(routeOf(filePaths.content), async (context) => {
    const { ref } = await deskIn(context);
    const kind = contentKinds.find((each) => each === context.req.query('kind'));
    if (!kind)
      return problem(context, 400, {
        code: 'invalid-parameter',
        message: `kind: is one of ${contentKinds.join(', ')}.`,
        field: 'kind',
      });
    context.header('content-type', 'text/csv; charset=utf-8');
    context.header('content-disposition', `attachment; filename="${kind}s.csv"`);
    return context.body(await searcher.contentFile(ref, kind));
  });
  serve.desk(contentEndpoints.content, ({ ref }) => searcher.content(ref));
  serve.desk(contentEndpoints.collection, ({ ref }, { id }) => searcher.collection(ref, id));
  serve.desk(contentEndpoints.article, ({ ref }, { id }) => searcher.article(ref, id));
  serve.desk(
    contentEndpoints.bringInContent,
    ({ id }, { kind }, _, context) =>
      withFile(context, folder, 'content', (path) => writer.bringInContent(id, kind, path)),
    false,
  );
}
