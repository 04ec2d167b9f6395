import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, type RenderResult, render } from '@testing-library/react';
import type { ReactElement, ReactNode } from 'react';
import { MemoryRouter } from 'react-router';

/** What the parts use of a browser and the test's own document does not have. */
export function furnish(): void {
  globalThis.ResizeObserver ??= class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  };
  Element.prototype.scrollIntoView ??= () => {};
  Element.prototype.hasPointerCapture ??= () => false;
  window.scrollTo = () => {};
}

/** Answers of the server by path and query; anything else is a failed test. */
export function answerWith(answers: Readonly<Record<string, unknown>>): string[] {
  const asked: string[] = [];
  globalThis.fetch = (async (url: string) => {
    asked.push(url);
    const body = answers[url] ?? answers[url.split('?')[0]!];
    const status = body === undefined ? 404 : 200;
    const text = JSON.stringify(body ?? { error: { code: 'not-found', message: `Nothing at ${url}.` } });
    return {
      ok: status === 200,
      status,
      headers: new Map([['content-type', 'application/json']]),
      json: async () => JSON.parse(text),
    };
  }) as never;
  return asked;
}

/** Renders a part at an address, with queries that are not tried again. */
export function show(part: ReactElement, address = '/'): RenderResult {
  cleanup();
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: 0 } } });
  // As a wrapper, so that the part can be rendered again and keeps its state.
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>
    </QueryClientProvider>
  );
  return render(part, { wrapper });
}
