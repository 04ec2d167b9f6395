import { followingEndpoints as endpoints } from '../../api/followingEndpoints.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';
import { written } from './setupRoutes.ts';
import { nameOfStorefront } from './storefrontNames.ts';

/** Parts that follow another storefront's. */
export function serveFollowing(serve: Serve, services: Services): void {
  const { followers, writer, now } = services;
  serve.desk(endpoints.reach, ({ id, setups }) => ({
    storefronts: followers.reach(id, setups.draft()).map(({ storefront, parts }) => ({
      ...{ id: storefront, name: nameOfStorefront(services, storefront) },
      parts: [...parts],
    })),
  }));
  serve.desk(endpoints.ownPart, (here, _, { revision, part }) =>
    written(here, writer.ownPart(here.ref, part, revision, here.person, now())),
  );
}
