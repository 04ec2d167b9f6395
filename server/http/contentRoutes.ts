import { contentEndpoints } from '../../api/contentEndpoints.ts';
import { withFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Articles and collections. */
export function serveContent(
  serve: Serve,
  { folder, searcher, writer }: Pick<Services, 'folder' | 'searcher' | 'writer'>,
): void {
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
