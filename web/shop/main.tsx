// First of all: it holds for everything that is loaded after it.
import { stacksFromNow } from '../look/quietStart.ts';
import '@fontsource-variable/newsreader';
import '../look/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { unnamed } from '../../api/paths.ts';
import { deviceOf } from '../../core/setup/terms/planTerms.ts';
import { followTheme } from '../look/theme.ts';
import { pageAddress, shopIn } from '../shopper/shopAddress.ts';
import { liveShop } from '../shopper/shopClient.ts';
import { createShopper } from '../shopper/shopper.ts';
import { deskAround, firstView, followDesk, inDesk, shopAtDesk, shopInPreview } from './deskAround.ts';
import { Shop } from './Shop.tsx';
import { ShopIn } from './ShopIn.tsx';

stacksFromNow();
followTheme();
const { base, storefront, preview } = shopIn(location.pathname);
const alone = preview === null ? liveShop({ storefront: storefront ?? unnamed }) : shopInPreview(preview);

// The results are on their way while the page is drawn for the first time.
const shopper = createShopper({
  address: pageAddress(base, inDesk),
  clientFor: (view) => {
    if (!inDesk) return alone;
    return view && shopAtDesk(storefront ?? unnamed, view);
  },
  desk: inDesk ? deskAround : null,
  device: () => deviceOf(window.innerWidth),
  now: Date.now,
  view: firstView,
});
if (inDesk) followDesk(shopper);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ShopIn shopper={shopper}>
      <Shop />
    </ShopIn>
  </StrictMode>,
);
