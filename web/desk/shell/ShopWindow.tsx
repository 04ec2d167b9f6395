import { Maximize2, Monitor, MonitorSmartphone, Moon, PanelRightClose, Smartphone, Sun, Tablet } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { useCallback, useState } from 'react';
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
import { ShopFrame } from './ShopFrame.tsx';
import { ShownSetup } from './ShownSetup.tsx';
import { type AskedWhy, WhyHere } from './WhyHere.tsx';
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

/** The frames of a width: both devices side by side share the room, the wider one has more of it. */
const framesOf = (
  device: Device,
): readonly { readonly title: string; readonly width: number | null; readonly share: number }[] =>
  device === 'both'
    ? [
        { title: 'The shop as shoppers see it', width: devices.desktop.width, share: 5 },
        { title: 'The shop on a phone', width: devices.phone.width, share: 3 },
      ]
    : [{ title: 'The shop as shoppers see it', width: devices[device].width, share: 1 }];

/**
 * The shop itself beside the editor, by the draft or by what is published; `isTold` says whether what to show is known,
 * `isReady` whether the desk around it is open.
 */
export function ShopWindow({ isTold, isReady }: { readonly isTold: boolean; readonly isReady: boolean }) {
  const { other, at, device, theme, total, setDevice, setTheme, setTotal, fold } = useShopWindow();
  const { storefront, draft } = usePlace();
  const from = other ?? nameOf({ storefront, draft });
  const live = nameOf(liveOf(storefront));
  const { query, collection, search } = useTrial();
  const [asked, setAsked] = useState<AskedWhy | null>(null);
  const [hiding, setHiding] = useState<readonly Product[] | null>(null);
  const go = useNavigate();
  const { value: AddToResults } = useLater(addToResults, isReady);
  const hear = useCallback<Parameters<typeof ShopFrame>[0]['hear']>(
    (message) => {
      if (message.kind === 'shown') setTotal(message.total);
      else if (message.kind === 'searched') search(message.query, message.collection);
      else if (message.what.act === 'why') {
        const { products, query, filters, sort, collection, asWords, exactly } = message;
        setAsked({ ...products[0]!, query, filters, sort, collection, asWords, exactly, from, at });
      } else if (message.what.act === 'hideSome') setHiding(message.products);
      else actOn(message, message.products, message.what, (to) => void go(to));
    },
    [search, setTotal, from, at, go],
  );
  // Beside another frame, what the main one found is told.
  const hearBeside = useCallback<typeof hear>((message) => message.kind !== 'shown' && hear(message), [hear]);
  const isDark = theme === null ? isDarkNow() : theme === 'dark';
  return (
    <aside aria-label="Shop window" className="flex h-full flex-col bg-paper-deep px-4 pt-3 pb-4">
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
      <div className="flex min-h-0 flex-1 gap-3">
        {framesOf(device).map(({ title, width, share }, place) => (
          <ShopFrame key={title} device={width} hear={place === 0 ? hear : hearBeside} {...{ title, share, isTold }} />
        ))}
      </div>
      {isReady && query.trim() !== '' && (
        <p className="mt-1.5 text-[12.5px] text-soft">
          {total === 0 && 'A dead end: shoppers find nothing here. '}
          <span className="inline-flex flex-wrap gap-x-4">
            <HowItIsRead query={query.trim()} from={from} />
            <TeachLink says={query.trim()} />
            {collection === '' && AddToResults && <AddToResults query={query.trim()} />}
          </span>
        </p>
      )}
      {other !== null && (
        <p className="mt-2 text-[12.5px] text-soft">
          {from === live ? 'This is what shoppers get now.' : `This is ${setupInWords(from)}.`} Your changes show under
          Draft.
        </p>
      )}
      <HideDialog
        what={hiding && productsInWords(hiding)}
        close={() => setHiding(null)}
        hide={(limits) => hiding && hideProducts(hiding, limits)}
      />
      <WhyHere asked={asked} close={() => setAsked(null)} />
    </aside>
  );
}
