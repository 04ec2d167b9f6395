import { type ComponentType, type ReactNode, useEffect, useState } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import type { WornLook } from '../../core/look/wornLook.ts';
import { type Device, devices } from '../../core/setup/terms/planTerms.ts';
import { AroundIn } from '../look/around.tsx';
import { sheetOf, wearOwnStyle } from '../look/styleSheets.ts';
import { wearLook } from '../look/wearLook.ts';
import { SearchBox } from '../shop/box/SearchBox.tsx';
import { ShopIn } from '../shop/ShopIn.tsx';
import { directionOf } from '../shop/useShopTexts.ts';
import type { Shopper, ShopperEvent } from '../shopper/shopper.ts';
import styles from './box.css?inline';
import type { FloatingButton } from './FloatingButton.tsx';
import { keepLook, keptLook } from './keptLook.ts';
import { enterScope, type Scope } from './scopes.ts';
import { isDown } from './troubles.ts';

/** What a part of a page may show; with none said, all of them. */
const parts = ['box', 'count', 'sorting', 'filters', 'results', 'basket', 'button'] as const;
type Part = (typeof parts)[number];
/** Those whose code comes with the results. */
const ofResults: ReadonlySet<Part> = new Set(['count', 'sorting', 'filters', 'results']);
/** What a part shows that says nothing: a page has a basket of its own more often than not, and the button brings box and results itself. */
const allParts: ReadonlySet<Part> = new Set(['box', ...ofResults]);

/** Where this script came from, which is where the shop is asked unless the part says otherwise. */
const home = new URL(import.meta.url).origin;

/** Attributes that decide which search a part is of, or what it shows. */
const attributes = [
  'server',
  'storefront',
  'shop-key',
  'scope',
  'show',
  'results',
  'product-page',
  'article-page',
  'basket-page',
  'collection',
  'devices',
  'theme',
];

const partsIn = (text: string | null): ReadonlySet<Part> => {
  const said = parts.filter((part) => text?.split(/\s+/).includes(part));
  return said.length > 0 ? new Set(said) : allParts;
};

const devicesIn = (text: string | null): ReadonlySet<Device> => {
  const said = devices.filter((device) => text?.split(/\s+/).includes(device));
  return new Set(said.length > 0 ? said : devices);
};

/**
 * `<clever-shelf storefront="…" shop-key="…">`: the shop's search within a page of another site, in a root of its own.
 * What stands between its tags is the page's own search, shown where this one cannot be.
 */
class CleverShelf extends HTMLElement {
  static observedAttributes = attributes;
  #root: Root | null = null;
  #scope: (Scope & { leave(): void }) | null = null;
  #stop: (() => void) | null = null;
  #isChanging = false;

  connectedCallback(): void {
    if (!this.#root) this.#begin();
  }
  disconnectedCallback(): void {
    // A page that moves the part takes it out and puts it in again in one turn.
    queueMicrotask(() => {
      if (!this.isConnected) this.#end();
    });
  }
  attributeChangedCallback(_: string, before: string | null, after: string | null): void {
    if (!this.#root || this.#isChanging || before === after) return;
    this.#isChanging = true;
    // Several that are changed in one turn are one change.
    queueMicrotask(() => {
      this.#isChanging = false;
      if (!this.#root) return;
      this.#end();
      this.#begin();
    });
  }

  #begin(): void {
    const root = this.shadowRoot ?? this.attachShadow({ mode: 'open' });
    const base = sheetOf(styles);
    if (!root.adoptedStyleSheets.includes(base)) root.adoptedStyleSheets.push(base);
    const shown = document.createElement('div');
    shown.className = 'shelf-root';
    const over = document.createElement('div');
    const drawn = document.createElement('div');
    shown.append(drawn, over);
    const own = document.createElement('slot');
    own.hidden = true;
    root.replaceChildren(shown, own);
    const said = (name: string): string | undefined => this.getAttribute(name)?.trim() || undefined;
    const storefront = said('storefront') ?? '-';
    const scope = enterScope({
      server: (said('server') ?? home).replace(/\/+$/, ''),
      storefront,
      key: said('shop-key') ?? '',
      scope: (said('scope') ?? '').replace(/[^\w-]/g, ''),
      links: {
        results: said('results'),
        product: said('product-page'),
        article: said('article-page'),
        basket: said('basket-page'),
        collection: said('collection'),
      },
    });
    const { shopper, hearers } = scope;
    const tell = ({ kind, ...detail }: ShopperEvent): boolean =>
      this.dispatchEvent(
        new CustomEvent(`shelf-${kind}`, { detail, bubbles: true, composed: true, cancelable: kind === 'click' }),
      );
    const shows = partsIn(this.getAttribute('show'));
    const hearer = { tell, showsResults: shows.has('results') };
    hearers.add(hearer);
    const weigh = (): void => {
      const trouble = shopper.trouble.getState();
      const down = this.childElementCount > 0 && isDown(trouble, shopper.said.getState() !== null);
      if (down && own.hidden) console.warn(`Clever Shelf: ${trouble?.message}`);
      // Whoever types in the page's own search goes on there.
      if (!down && !own.hidden && this.contains(document.activeElement)) return;
      own.hidden = !down;
      shown.hidden = down;
    };
    const unweigh = shopper.trouble.subscribe(weigh);
    const dark = matchMedia('(prefers-color-scheme: dark)');
    const wear = (look: WornLook): void => {
      const theme = this.getAttribute('theme');
      wearLook(shown, look, theme === 'dark' || (theme === 'system' && dark.matches));
      wearOwnStyle(root, look.style);
    };
    let worn = '';
    const speak = (): void => {
      const heard = shopper.said.getState();
      if (!heard) return;
      shown.lang = heard.language;
      shown.dir = directionOf(heard.language);
      // Every answer says it anew; another one than before is kept.
      const text = JSON.stringify(heard.look);
      if (text !== worn) keepLook(storefront, heard.look);
      worn = text;
      wear(heard.look);
    };
    const unspeak = shopper.said.subscribe(speak);
    dark.addEventListener('change', speak);
    // As it was when it was here last, until it says how it is.
    wear(keptLook(storefront));
    speak();
    weigh();
    this.#scope = scope;
    this.#stop = () => {
      hearers.delete(hearer);
      unweigh();
      unspeak();
      dark.removeEventListener('change', speak);
    };
    this.#root = createRoot(drawn);
    this.#root.render(
      <AroundIn value={{ container: over, isEmbedded: true }}>
        <ShopIn shopper={shopper}>
          <Parts
            shopper={shopper}
            shows={shows}
            on={devicesIn(this.getAttribute('devices'))}
            dress={(text) => {
              const sheet = sheetOf(text);
              if (!root.adoptedStyleSheets.includes(sheet)) root.adoptedStyleSheets.push(sheet);
            }}
          />
        </ShopIn>
      </AroundIn>,
    );
  }

  #end(): void {
    this.#root?.unmount();
    this.#stop?.();
    this.#scope?.leave();
    this.#root = null;
    this.#scope = null;
    this.#stop = null;
  }
}

/** Draws what belongs to results, once its code has come. */
type Drawing = ComponentType<{ readonly shows: ReadonlySet<Part> }>;

function Parts({
  shopper,
  shows,
  on,
  dress,
}: {
  readonly shopper: Shopper;
  readonly shows: ReadonlySet<Part>;
  /** The devices that the button is for. */
  readonly on: ReadonlySet<Device>;
  /** Puts on the styles that come with results. */
  dress(styles: string): void;
}): ReactNode {
  const hasResults = [...ofResults].some((part) => shows.has(part));
  const hasBasket = shows.has('basket');
  const [Basket, setBasket] = useState<ComponentType | null>(null);
  useEffect(() => {
    if (hasBasket) void import('../shop/BasketCount.tsx').then((part) => setBasket(() => part.BasketCount));
  }, [hasBasket]);
  const [Page, setPage] = useState<Drawing | null>(null);
  const [Follower, setFollower] = useState<ComponentType<Parameters<typeof FloatingButton>[0]> | null>(null);
  const follows = shows.has('button');
  useEffect(() => {
    if (follows) void import('./FloatingButton.tsx').then((part) => setFollower(() => part.FloatingButton));
  }, [follows]);
  useEffect(() => {
    if (!hasResults) return;
    // The results are on their way while their code is.
    shopper.begin();
    let isHere = true;
    void import('./EmbeddedPage.tsx').then((page) => {
      if (!isHere) return;
      dress(page.styles);
      setPage(() => page.EmbeddedPage);
    });
    return () => {
      isHere = false;
    };
  }, [shopper, hasResults, dress]);
  return (
    <>
      {shows.has('box') && <SearchBox />}
      {hasBasket && Basket && <Basket />}
      {shows.has('button') && Follower && <Follower box={<SearchBox />} devices={on} dress={dress} />}
      {hasResults && (Page ? <Page shows={shows} /> : <Room shows={shows} />)}
    </>
  );
}

/** Keeps the room of results that are on their way, so that what stands below does not move in sight. */
const Room = ({ shows }: { readonly shows: ReadonlySet<Part> }) => (
  <div className={shows.has('results') ? 'min-h-screen' : 'min-h-6'} />
);

if (!customElements.get('clever-shelf')) customElements.define('clever-shelf', CleverShelf);
