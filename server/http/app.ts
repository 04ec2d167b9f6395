import { OpenAPIHono } from '@hono/zod-openapi';
import { getPath } from 'hono/utils/url';
import { inFull } from '../../api/paths.ts';
import { openAcross } from './across.ts';
import { serveCatalog } from './catalogRoutes.ts';
import { serveCompanions } from './companionRoutes.ts';
import { serveContent } from './contentRoutes.ts';
import { serveDeadEnds } from './deadEndRoutes.ts';
import { serveDemand } from './demandRoutes.ts';
import { openDoor } from './door.ts';
import { serveEffect } from './effectRoutes.ts';
import { serveEvents } from './eventRoutes.ts';
import { serveFilters } from './filterRoutes.ts';
import { serveFollowing } from './followingRoutes.ts';
import { serveHistory } from './historyRoutes.ts';
import { serveImport } from './importRoutes.ts';
import { servePictures } from './pictureRoutes.ts';
import { servePreviews } from './previewRoutes.ts';
import { invalidRequest, problem } from './problems.ts';
import { serveProducts } from './productRoutes.ts';
import { serveProposals } from './proposalRoutes.ts';
import { serveRules } from './ruleRoutes.ts';
import { serveSearch } from './searchRoutes.ts';
import type { Services } from './services.ts';
import { servingOn } from './serving.ts';
import { serveSetup } from './setupRoutes.ts';
import { serveShopKeys } from './shopKeyRoutes.ts';
import { serveDrafts, serveStorefronts } from './storefrontRoutes.ts';
import { serveVocabulary } from './vocabularyRoutes.ts';
import { whereaboutsOf } from './whereabouts.ts';

/** The application's interface over HTTP: every endpoint of the contract, validated by its own schema. */
export function createApp(services: Services): OpenAPIHono {
  const app = new OpenAPIHono({
    getPath: (request) => inFull(getPath(request)),
    defaultHook: (result, context) => {
      if (!result.success) return problem(context, 400, invalidRequest(result.error));
    },
  });
  openDoor(app, { ...services, database: services.folder.database, across: openAcross(services) });
  const serve = servingOn(app, whereaboutsOf(services));
  serveCatalog(app, serve, services);
  serveImport(app, serve, services);
  serveSearch(serve, services);
  serveCompanions(serve, services);
  serveSetup(serve, services);
  serveDeadEnds(serve, services);
  serveProposals(serve, services);
  serveEffect(serve, services);
  serveFilters(serve, services);
  serveRules(serve, services);
  serveVocabulary(serve, services);
  serveContent(app, serve, services);
  serveDemand(serve, services);
  serveProducts(serve, services);
  serveStorefronts(serve, services);
  serveDrafts(serve, services);
  serveEvents(app, serve, services);
  serveHistory(app, serve, services);
  serveFollowing(serve, services);
  servePreviews(serve, services);
  serveShopKeys(serve, services);
  servePictures(app, serve, services);
  app.doc31('/openapi.json', {
    openapi: '3.1.0',
    info: { title: 'Clever Shelf', version: '1', description: 'What shoppers find, and the desk that decides it.' },
  });
  return app;
}
