import type { OpenAPIHono } from '@hono/zod-openapi';
import { streamSSE } from 'hono/streaming';
import type { DeskEvent } from '../../api/deskEvents.ts';
import { filePaths } from '../../api/paths.ts';
import { storefrontEndpoints } from '../../api/storefrontEndpoints.ts';
import type { Services } from './services.ts';
import { routeOf, type Serve } from './serving.ts';
import { whereaboutsOf } from './whereabouts.ts';

/** How often a stream says that it is still there, in milliseconds: one that nobody hears is noticed by it. */
const everyMilliseconds = 20_000;
/** Events that wait for a desk that reads slowly; beyond, it is let go and asks for everything anew. */
const mostWaiting = 200;

/** What happens to a draft, told to those who have it open as it happens. */
export function serveEvents(app: OpenAPIHono, serve: Serve, services: Services): void {
  const { hub } = services;
  const { deskIn } = whereaboutsOf(services);
  app.get(routeOf(filePaths.events), async (context) => {
    const { ref, person } = await deskIn(context);
    const tab = (context.req.query('tab') ?? '').slice(0, 80) || crypto.randomUUID();
    const screen = (context.req.query('screen') ?? '').slice(0, 200);
    return streamSSE(context, async (stream) => {
      const waiting: DeskEvent[] = [];
      let isOver = false;
      let wake = (): void => {};
      const end = (): void => {
        isOver = true;
        wake();
      };
      const leave = hub.listen(
        ref,
        { tab, name: person, screen, field: '' },
        (event) => {
          waiting.push(event);
          if (waiting.length > mostWaiting) end();
          wake();
        },
        end,
      );
      stream.onAbort(end);
      try {
        while (!isOver && !stream.aborted) {
          const event = waiting.shift();
          if (event) await stream.writeSSE({ data: JSON.stringify(event) });
          else {
            await new Promise<void>((resolve) => {
              const timer = setTimeout(resolve, everyMilliseconds);
              wake = () => {
                clearTimeout(timer);
                resolve();
              };
            });
            if (waiting.length === 0 && !isOver) await stream.write(': still here\n\n');
          }
        }
      } finally {
        leave();
      }
    });
  });
  serve.desk(storefrontEndpoints.place, (_, __, { tab, screen, field }) => {
    hub.place(tab, screen, field);
    return {};
  });
}
