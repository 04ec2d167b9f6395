import '@fontsource-variable/newsreader';
import '../look/theme.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { followTheme } from '../look/theme.ts';
import { Shop } from './Shop.tsx';
import { firstView, inDesk } from './useDesk.ts';
import { readAddress, resultsOf } from './useResults.ts';
import { base } from './whichShop.ts';

followTheme();
const client = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

// The results are on their way while the page is drawn for the first time.
if (location.pathname === base && (!inDesk || firstView))
  void client.prefetchQuery(resultsOf(readAddress(new URLSearchParams(location.search)), firstView));

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      {/* No transitions: a choice said in the address stands in the turn of the click, not when there is time. */}
      <BrowserRouter basename={base} useTransitions={false}>
        <Shop />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
