import { randomBytes } from 'node:crypto';
import type { Context } from 'hono';
import { endpoints } from '../../api/endpoints.ts';
import { boxRequestOf, requestOf } from '../../api/searchQuery.ts';
import { Refused } from '../refused.ts';
import { mostPreviews, openPreviewReader, type Preview } from '../store/previews.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

const day = 86_400_000;
/** Bytes of chance in a link: nobody comes upon one by trying. */
const tokenBytes = 24;

const told = ({ token, who, madeAt, endsAt }: Preview) => ({
  ...{ token, who },
  madeAt: new Date(madeAt).toISOString(),
  endsAt: new Date(endsAt).toISOString(),
});

/** Links by which a draft's shop is shown to somebody without the desk: made and withdrawn there, followed by anybody. */
export function servePreviews(serve: Serve, services: Services): void {
  const { db, storefronts, searcher, writer, now } = services;
  const previews = openPreviewReader(db);
  serve.desk(endpoints.previews, ({ ref }) => ({ previews: previews.ofDraft(ref, now()).map(told) }));
  serve.desk(endpoints.makePreview, async ({ ref, person }, _, { days }) => {
    if (previews.ofDraft(ref, now()).length >= mostPreviews)
      throw new Refused(409, {
        code: 'too-many-previews',
        message: `There are ${mostPreviews} links to this draft already. Withdraw one first.`,
      });
    const madeAt = now();
    const preview = {
      ...{ token: randomBytes(tokenBytes).toString('base64url'), ref, who: person },
      ...{ madeAt, endsAt: madeAt + days * day },
    };
    await writer.makePreview(preview);
    return told({ ...preview, withdrawnAt: null });
  });
  serve.desk(endpoints.withdrawPreview, async ({ ref }, _, { token }) => {
    await writer.withdrawPreview(ref, token, now());
    return {};
  });
  /** The draft that a link leads to; what ended, was withdrawn or never was is refused alike. */
  const previewIn = (context: Context): Preview & { readonly name: string } => {
    const preview = previews.open(context.req.param('token') ?? '', now());
    const draft = preview ? storefronts.draft(preview.ref) : null;
    if (!preview || !draft || draft.removedAt !== null)
      throw new Refused(410, { code: 'preview-ended', message: 'This preview has ended.' });
    return { ...preview, name: draft.name || draft.id };
  };
  serve.all(endpoints.previewSearch, async (_, query, __, context) => {
    const { ref, name, endsAt } = previewIn(context);
    const answer = await searcher.answer(ref, { request: requestOf(query) });
    return { ...answer, preview: { name, endsAt: new Date(endsAt).toISOString() } };
  });
  serve.all(endpoints.previewSuggest, async (_, query, __, context) => {
    const { ref } = previewIn(context);
    return searcher.suggest(ref, { request: boxRequestOf(query), phrases: services.at(ref.storefront).phrases.now() });
  });
  serve.all(endpoints.previewProduct, (_, { id }, __, context) => searcher.shopProduct(previewIn(context).ref, id));
  serve.all(endpoints.previewBeside, (_, query, __, context) =>
    searcher.beside(previewIn(context).ref, [query.of].flat(), query.at),
  );
  serve.all(endpoints.previewArticle, (_, { id }, __, context) => searcher.shopArticle(previewIn(context).ref, id));
}
