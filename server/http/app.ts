import { OpenAPIHono } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { endpoints } from '../../api/endpoints.ts';
import { chosenFilters } from '../../api/filterParameters.ts';
import { unknownName } from '../../api/problem.ts';
import { requestOf } from '../../api/searchQuery.ts';
import { adviseAttribute } from '../../core/catalog/adviseAttribute.ts';
import { hasChoices, isIndexedAsText, isNumeric } from '../../core/catalog/profileAttributes.ts';
import { untouchable } from '../../core/rules/decisions.ts';
import { cardOf } from '../../core/suggest/card.ts';
import type { Searcher } from '../searching/searcher.ts';
import type { WriteOutcome } from '../store/setupStore.ts';
import { serveCatalog } from './catalogRoutes.ts';
import { serveContent } from './contentRoutes.ts';
import { serveDemand } from './demandRoutes.ts';
import { deskState, namesFrom, tellChanges } from './deskState.ts';
import { serveEffect } from './effectRoutes.ts';
import { serveFilters } from './filterRoutes.ts';
import { invalidRequest, problem } from './problems.ts';
import { serveProducts } from './productRoutes.ts';
import { serveProposals } from './proposalRoutes.ts';
import type { Services } from './services.ts';
import { noCatalog, Refused, servingOn } from './serving.ts';
import { serveVocabulary } from './vocabularyRoutes.ts';

const valuesShown = 100;

const nothingToDo = {
  'nothing-to-undo': 'There is nothing to undo.',
  'nothing-to-redo': 'There is nothing to redo.',
  'nothing-to-publish': 'The draft holds nothing that is not published already.',
  'unknown-release': 'There is no release of that number.',
  'unknown-revision': 'The draft has not come so far yet. Nothing was saved; load the page anew.',
} as const;

/** The application's interface over HTTP: every endpoint of the contract, validated by its own schema. */
export function createApp(services: Services): OpenAPIHono {
  const { setups, catalogs, searcher, now } = services;
  const app = new OpenAPIHono({
    defaultHook: (result, context) => {
      if (!result.success) return problem(context, 400, invalidRequest(result.error as never));
    },
  });
  app.onError((error, context) => {
    if (error instanceof Refused) return problem(context, error.status, error.problem);
    console.error(error);
    return problem(context, 500, { code: 'our-mistake', message: 'Something went wrong here. Nothing was changed.' });
  });

  /** Only this machine's own pages may write: another site's page could otherwise post to a local address. */
  app.use('*', async (context, next) => {
    const origin = context.req.header('origin');
    const host = context.req.header('host') ?? '';
    if (context.req.method !== 'GET' && origin && new URL(origin).host !== host)
      return problem(context, 403, {
        code: 'other-origin',
        message: 'This address only takes changes from its own pages.',
      });
    return next();
  });

  const serve = servingOn(app);
  serveCatalog(app, serve, services);

  const catalogInForce = () => {
    const catalog = catalogs.current();
    if (!catalog) throw noCatalog();
    return catalog;
  };
  /** The catalog as it stands under the draft, for lists that name products and values. */
  const draftView = () => {
    catalogInForce();
    return catalogs.standing()!.view(setups.draft());
  };
  const task = (from: 'draft' | 'live', request: Parameters<Searcher['answer']>[0]['request'], movement = false) => {
    const { generation, buffer } = catalogInForce();
    return { from, request, movement, generation, shared: buffer };
  };
  const state = () => deskState(setups, catalogs);
  const written = (outcome: WriteOutcome) => {
    if (!('refusal' in outcome)) return state();
    const { refusal } = outcome;
    if (refusal.code === 'stale-write') {
      const changes = tellChanges(refusal.changes, namesFrom(catalogs));
      throw new Refused(409, {
        code: refusal.code,
        message: 'Somebody changed this since you looked. Nothing of yours was saved; here is what changed.',
        details: { revision: refusal.revision, changes },
      });
    }
    if ('part' in refusal) {
      const field = [refusal.part, refusal.key, refusal.field].filter(Boolean).join('.');
      throw new Refused(400, { code: refusal.code, message: `${field}: ${refusal.message}`, field });
    }
    throw new Refused(409, { code: refusal.code, message: nothingToDo[refusal.code] });
  };
  const who = (context: Context): string => (context.req.header('x-person') ?? 'Merchandiser').slice(0, 80);

  serveProposals(serve, services, written, who as never);
  serveEffect(serve, services);
  serveFilters(serve, services);
  serveVocabulary(serve, services);
  serveContent(serve, services);
  serveDemand(serve, services);
  serveProducts(serve, services, written, who as never);
  serve(endpoints.shopSearch, (query) => searcher.answer(task('live', requestOf(query))));
  serve(endpoints.deskSearch, (query) => {
    const { from, explain, movement } = query;
    return searcher.answer(task(from, { ...requestOf(query), explain, marks: true }, movement));
  });
  serve(endpoints.why, ({ q, product, from, sort, collection, asWords, ...rest }) => {
    const filters = chosenFilters(rest);
    const shown = { marks: true, sort, asWords, filters, ...(collection && { collection }) };
    const request = { query: q, page: 1, limit: 1, ...shown };
    return searcher.why(task(from, request), product);
  });
  serve(endpoints.state, () => {
    catalogInForce();
    return state();
  });
  serve(endpoints.edit, (_, { revision, edits }, context) =>
    written(
      setups.edit(
        edits.map(({ part, key, value }) => ({ part, key, value: value ?? null })),
        revision,
        who(context),
        now(),
      ),
    ),
  );
  serve(endpoints.undo, (_, { revision }, context) => written(setups.undo(revision, who(context), now())));
  serve(endpoints.redo, (_, { revision }, context) => written(setups.redo(revision, who(context), now())));
  serve(endpoints.publish, (_, { revision, note }, context) =>
    written(setups.publish(revision, who(context), note, now())),
  );
  serve(endpoints.takeBack, (_, { number }, context) => written(setups.publishAgain(number, who(context), now())));
  serve(endpoints.releases, () => {
    const names = namesFrom(catalogs);
    const live = setups.liveNumber();
    return {
      releases: setups.releases().map(({ number, at, who, note, changes }) => ({
        ...{ number, at: new Date(at).toISOString(), who, note, live: number === live },
        sentences: tellChanges(changes ?? setups.changesOf(number), names).flatMap(({ sentences }) => sentences),
      })),
    };
  });
  serve(endpoints.attributes, () => {
    const settings = setups.draft().attributes;
    const { attributes } = catalogInForce().snapshot;
    const settingOf = (key: string) => settings[key] ?? { searchable: false, weight: 1, onCard: false };
    const heaviest = Math.max(
      0,
      ...attributes.map(({ key }) => (settingOf(key).searchable ? settingOf(key).weight : 0)),
    );
    return {
      attributes: attributes.map((profile) => ({
        ...profile,
        samples: [...profile.samples],
        canSearch: isIndexedAsText(profile),
        canFilter: hasChoices(profile) || isNumeric(profile),
        isNumeric: isNumeric(profile),
        canDecide: !untouchable.has(profile.key),
        advice: adviseAttribute(profile, settingOf(profile.key), heaviest),
        ...settingOf(profile.key),
      })),
    };
  });
  serve(endpoints.values, ({ attribute, contains }) => {
    const { snapshot } = draftView();
    const column = snapshot.values.get(attribute);
    if (!column)
      throw new Refused(400, {
        code: 'unknown-attribute',
        message: unknownName('attribute with values', attribute, [...snapshot.values.keys()]),
        field: 'attribute',
      });
    const records = Uint32Array.from({ length: snapshot.records }, (_, record) => record);
    const { counts, standing } = column.countFamilies({ records, failing: null });
    const sought = contains.toLowerCase();
    const all = Array.from(standing, (value) => ({ value: column.name(value), products: counts[value]! }))
      .filter(({ value }) => value.toLowerCase().includes(sought))
      .sort((a, b) => b.products - a.products);
    return { values: all.slice(0, valuesShown), more: Math.max(0, all.length - valuesShown) };
  });
  serve(endpoints.products, ({ id }) => {
    const view = draftView();
    const setup = setups.draft();
    return {
      products: [id].flat().flatMap((familyId) => {
        const family = view.snapshot.findFamily(familyId);
        if (family < 0) return [];
        const [from, to] = view.snapshot.recordsOf(family);
        return [cardOf(view.record(from), to - from, setup)];
      }),
    };
  });
  app.doc31('/openapi.json', {
    openapi: '3.1.0',
    info: { title: 'Clever Shelf', version: '1', description: 'What shoppers find, and the desk that decides it.' },
  });
  return app;
}
