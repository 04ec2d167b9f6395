import { contentEndpoints } from '../../api/contentEndpoints.ts';
import { withFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Articles and collections. */
export function serveContent(serve: Serve, { folder, searcher, writer }: Services): void {
  serve(contentEndpoints.content, () => searcher.content());
  serve(
    contentEndpoints.bringInContent,
    ({ kind }, _, context) => withFile(context, folder, 'content', (path) => writer.bringInContent(kind, path)),
    false,
  );
}
