// First of all: it holds for everything that is loaded after it.
import { stacksFromNow } from '../look/quietStart.ts';
import '@fontsource-variable/bricolage-grotesque';
import '../look/theme.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, useMemo } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { followTheme } from '../look/theme.ts';
import { screensOf } from './screens.tsx';
import { Workspace } from './shell/Workspace.tsx';
import { followAddress, usePlace } from './state/place.ts';
import { clientHere } from './state/queryClient.ts';

stacksFromNow();
followTheme();
followAddress();

/** The desk of the draft one works in: another draft is another desk in the same workspace, with answers and screens of its own. */
function AnyDesk() {
  const place = usePlace();
  const router = useMemo(() => screensOf(place), [place]);
  return (
    <Workspace>
      <QueryClientProvider client={clientHere()} key={`${place.storefront}/${place.draft}`}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </Workspace>
  );
}

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <AnyDesk />
  </StrictMode>,
);
