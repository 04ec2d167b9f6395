import { Maximize2, Monitor, MonitorSmartphone, Moon, PanelRightClose, Smartphone, Sun, Tablet } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { liveOf, nameOf } from '../../../core/setup/setupRef.ts';
import { later, useLater } from '../../look/later.ts';
import { isDarkNow } from '../../look/theme.ts';
import { IconButton } from '../parts/Button.tsx';
import { HideDialog } from '../parts/rule/HideDialog.tsx';
import { TeachLink } from '../parts/TeachLink.tsx';
import { usePlace } from '../state/place.ts';
import { actOn, hideProducts, type Product, productsInWords } from '../state/planActs.ts';
import { setupInWords } from '../state/setupInWords.ts';
import { type Device, devices, useShopWindow } from '../state/shopWindow.ts';
import { useTrial } from '../state/trial.ts';
import { AsOf, AsOfNotice } from './AsOf.tsx';
import { ShownSetup } from './ShownSetup.tsx';
import { type AskedWhy, WhyHere } from './WhyHere.tsx';
import { At, usePlaces } from './Workspace.tsx';
import { HowItIsRead } from './words/HowItIsRead.tsx';

const deviceIcons = {
  fit: Maximize2,
  phone: Smartphone,
  tablet: Tablet,
  desktop: Monitor,
  both: MonitorSmartphone,
} as const;
/** It comes once the desk stands: nobody waits for results because of it. */
const addToResults = later(async () => (await import('./AddToResults.tsx')).AddToResults);
const pressed =
  'rounded-[7px] px-2.5 py-1 data-[state=on]:bg-surface data-[state=on]:font-semibold data-[state=on]:text-ink hover:text-ink';

/** What stands above and below the shop itself, and what is done there; `isReady` says whether the desk around it is open. */
export function ShopWindow({ isReady }: { readonly isReady: boolean }) {
  const { other, at, device, theme, total, setDevice, setTheme, fold } = useShopWindow();
  const { storefront, draft } = usePlace();
  const from = other ?? nameOf({ storefront, draft });
  const live = nameOf(liveOf(storefront));
  const { query, collection } = useTrial();
  const [asked, setAsked] = useState<AskedWhy | null>(null);
  const [hiding, setHiding] = useState<readonly Product[] | null>(null);
  const go = useNavigate();
  const { value: AddToResults } = useLater(addToResults, isReady);
  const { hearActs } = usePlaces();
  useEffect(
    () =>
      hearActs((acted) => {
        if (acted.what.act === 'why') {
          const { products, query, filters, sort, collection, asWords, exactly } = acted;
          setAsked({ ...products[0]!, query, filters, sort, collection, asWords, exactly, from, at });
        } else if (acted.what.act === 'hideSome') setHiding(acted.products);
        else actOn(acted, acted.products, acted.what, (to) => void go(to));
      }),
    [hearActs, from, at, go],
  );
  const isDark = theme === null ? isDarkNow() : theme === 'dark';
  return (
    <>
      <At place="aboveShop">
        <div className="mb-2.5 flex flex-wrap items-center gap-x-1.5 gap-y-1 text-[13px] text-soft">
          <h2 className="mr-auto whitespace-nowrap font-semibold text-ink">Shop window</h2>
          <ShownSetup />
          <AsOf />
          <ToggleGroup.Root
            type="single"
            aria-label="Width of the shop"
            className="flex max-[619px]:hidden"
            value={device}
            onValueChange={(value) => value && setDevice(value as Device)}
          >
            {(Object.keys(devices) as Device[]).map((each) => {
              const Icon = deviceIcons[each];
              const { label, width: pixels } = devices[each];
              return (
                <ToggleGroup.Item
                  key={each}
                  value={each}
                  aria-label={pixels ? `${label}, ${pixels} pixels wide` : label}
                  title={label}
                  className={pressed}
                >
                  <Icon size={15} aria-hidden />
                </ToggleGroup.Item>
              );
            })}
          </ToggleGroup.Root>
          <IconButton
            label={isDark ? 'See the shop light' : 'See the shop dark'}
            onClick={() => setTheme(isDark ? 'light' : 'dark')}
          >
            {isDark ? <Sun size={15} aria-hidden /> : <Moon size={15} aria-hidden />}
          </IconButton>
          <IconButton label="Fold the shop window away" onClick={() => fold(true)}>
            <PanelRightClose size={16} aria-hidden />
          </IconButton>
        </div>
        <AsOfNotice />
      </At>
      <At place="belowShop">
        {query.trim() !== '' && (
          // It keeps its room from one draft to the next: the shop above it would be laid out anew.
          <p className="mt-1.5 min-h-[25px] text-[12.5px] text-soft">
            {total === 0 && 'A dead end: shoppers find nothing here. '}
            {isReady && (
              <span className="inline-flex flex-wrap gap-x-4">
                <HowItIsRead query={query.trim()} from={from} />
                <TeachLink says={query.trim()} />
                {collection === '' && AddToResults && <AddToResults query={query.trim()} />}
              </span>
            )}
          </p>
        )}
        {other !== null && (
          <p className="mt-2 text-[12.5px] text-soft">
            {from === live ? 'This is what shoppers get now.' : `This is ${setupInWords(from)}.`} Your changes show
            under Draft.
          </p>
        )}
      </At>
      <HideDialog
        what={hiding && productsInWords(hiding)}
        close={() => setHiding(null)}
        hide={(limits) => hiding && hideProducts(hiding, limits)}
      />
      <WhyHere asked={asked} close={() => setAsked(null)} />
    </>
  );
}
