import type { OpenAPIHono } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { contentEndpoints } from '../../api/contentEndpoints.ts';
import { largestPicture } from '../../api/limits.ts';
import { own } from '../../core/base/named.ts';
import { isFarPicture, markOf } from '../../core/catalog/picture.ts';
import { pictureWidths } from '../../core/catalog/pictureWidths.ts';
import { textsOf } from '../../core/catalog/record.ts';
import { decisionKey } from '../../core/rules/decisions.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { importedPicture } from '../catalog/content.ts';
import type { KeptPicture } from '../pictures/pictureCache.ts';
import { Refused } from '../refused.ts';
import { problem } from './problems.ts';
import { bodyOf } from './receiveFile.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** An address carries a mark of its picture, so that a browser may keep it. */
const keptADay = 'max-age=86400';
/** Another picture has another name. */
const keptForGood = 'max-age=31536000, immutable';
const tryLater = 'no-cache';

/** Pictures that records name and other hosts have. Nothing is fetched but what the catalog or the setup names. */
export function servePictures(
  app: OpenAPIHono,
  serve: Serve,
  { db, storefronts, at, pictures, ownPictures, askStyle }: Services,
): void {
  /** What was decided for a variant, and for its product: found by key, since there may be very many decisions. */
  const decided = (setup: Setup | undefined, product: string, id: string): string[] =>
    [id, null].flatMap((variant) => {
      const decision = own(setup?.products, decisionKey({ product, variant, attribute: 'picture' }));
      return decision?.act === 'set' ? [decision.value].flat().map(String) : [];
    });
  const draftsOf = (storefront: string): string[] =>
    storefronts.drafts(storefront).flatMap(({ id, removedAt }) => (removedAt === null ? [id] : []));
  /** What a storefront's catalog, what is live there or one of its drafts names. */
  const addressIn = (storefront: string, id: string, mark: string): string | undefined => {
    const { catalogs, releases, setups } = at(storefront);
    // A page that shows it has asked about its storefront: what is not open shows none.
    const reader = catalogs.opened();
    const ordinal = reader?.findRecord(id) ?? -1;
    if (!reader || ordinal < 0) return undefined;
    const { familyId, values } = reader.record(ordinal);
    const isMeant = (said: string): boolean => isFarPicture(said) && markOf(said.trim()) === mark;
    return (
      textsOf(values.picture).find(isMeant) ??
      [releases.live()?.setup, ...draftsOf(storefront).map((draft) => setups(draft).draft())]
        .flatMap((setup) => decided(setup, familyId, id))
        .find(isMeant)
    );
  };
  /** Pictures that a setup's articles, collections and plans name. */
  const namedBy = (setup: Setup | undefined, owner: string): string[] => {
    if (owner === 'banner')
      return Object.values(setup?.plans ?? {}).flatMap(({ banners = [] }) =>
        banners.flatMap(({ picture }) => picture ?? []),
      );
    const item = own(setup?.content, owner);
    return (item?.what === 'article' || item?.what === 'collection') && item.picture ? [item.picture] : [];
  };
  const ownedIn = (storefront: string, owner: string, mark: string): string | undefined => {
    const { releases, setups } = at(storefront);
    const setupsHere = [releases.live()?.setup, ...draftsOf(storefront).map((draft) => setups(draft).draft())];
    return [...setupsHere.flatMap((setup) => namedBy(setup, owner)), ...importedPicture(db, storefront, owner)].find(
      (said) => isFarPicture(said) && markOf(said.trim()) === mark,
    );
  };
  /** A picture as wide as it was asked for, where that is one of the widths there are. */
  const sized = async (context: Context, key: string, picture: KeptPicture): Promise<KeptPicture> => {
    const width = pictureWidths.find((each) => String(each) === context.req.query('width'));
    return width === undefined ? picture : pictures.smaller(key, picture, width);
  };
  const answerWith = async (context: Context, address: string | undefined): Promise<Response> => {
    if (address === undefined) return refused(context, 'unknown-picture');
    const answer = await pictures.picture(address.trim());
    if ('problem' in answer) return refused(context, answer.problem);
    const { bytes, type } = await sized(context, address.trim(), answer);
    context.header('content-type', type);
    context.header('cache-control', keptADay);
    return context.body(new Uint8Array(bytes));
  };
  const inAny = (find: (storefront: string) => string | undefined): string | undefined =>
    storefronts
      .storefronts()
      .map(({ id }) => find(id))
      .find((found) => found !== undefined);
  const refused = (context: Context, code: string): Response => {
    context.header('cache-control', tryLater);
    return problem(context, 404, { code, message: 'The picture could not be fetched.' });
  };
  serve.desk(
    contentEndpoints.bringInPicture,
    async (_, _query, _body, context) => {
      const bytes = await bodyOf(context, largestPicture);
      const kept = await ownPictures.keep(bytes);
      if ('name' in kept) return { address: `/pictures/own/${kept.name}` };
      throw kept.problem === 'no-room'
        ? new Refused(507, { code: 'no-room', message: 'There is no room for more pictures. Nothing was kept.' })
        : new Refused(400, {
            code: 'no-picture',
            message: 'This file is no picture that can be shown: a JPEG, PNG, GIF, WebP or AVIF file is.',
          });
    },
    false,
  );
  serve.desk(contentEndpoints.askStyle, (_, _query, { address }) => askStyle(address));
  app.get('/pictures/own/:name', async (context) => {
    const kept = await ownPictures.find(context.req.param('name'));
    if (!kept) return refused(context, 'unknown-picture');
    const { bytes, type } = await sized(context, context.req.path, kept);
    context.header('content-type', type);
    context.header('cache-control', keptForGood);
    return context.body(new Uint8Array(bytes));
  });
  app.get('/pictures/of/:id', (context) => {
    const id = context.req.param('id');
    const mark = context.req.query('mark') ?? '';
    return answerWith(
      context,
      inAny((storefront) => addressIn(storefront, id, mark)),
    );
  });
  app.get('/pictures/named/:owner', (context) => {
    const owner = context.req.param('owner');
    const mark = context.req.query('mark') ?? '';
    return answerWith(
      context,
      inAny((storefront) => ownedIn(storefront, owner, mark)),
    );
  });
}
