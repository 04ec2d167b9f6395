import { create } from 'zustand';
import { type Place, placeNow, setPlace } from '../../client/place.ts';
import { settled } from './edits.ts';
import { useShopWindow } from './shopWindow.ts';
import { recallTrial } from './trial.ts';

/** The storefront and the draft one works in, as the address says. */
export const usePlace = create<Place>(() => placeNow());

/** What is told where one is about to go; answers what is worth a moment's waiting, if anything. */
type BeforeGoing = (place: Place) => Promise<void> | null;
const told = new Set<BeforeGoing>();
/** How long the desk stays for what is drawn before it goes, in milliseconds. */
const longestStay = 200;

/** Has somebody told to which draft of the storefront one is about to go; answers the function that ends it. */
export function beforeGoing(tell: BeforeGoing): () => void {
  told.add(tell);
  return () => told.delete(tell);
}

/** The desk's address begins with the storefront and the draft. */
function placeIn(path: string): Place {
  const [, storefront = '', draft = ''] = path.split('/', 3);
  return { storefront, draft };
}

function enter(place: Place): void {
  if (place.storefront !== placeNow().storefront) recallTrial(place.storefront);
  setPlace(place);
  useShopWindow.setState({ other: null, total: null });
  usePlace.setState(place);
}

/** Counts where one was sent, so that whoever waits can tell that one goes elsewhere by now. */
let sent = 0;

/** Takes the place from the address, now and when the browser goes back or on to another draft. */
export function followAddress(): void {
  enter(placeIn(location.pathname));
  addEventListener('popstate', () => {
    sent++;
    const place = placeIn(location.pathname);
    const { storefront, draft } = placeNow();
    if (place.storefront !== storefront || place.draft !== draft) enter(place);
  });
}

/**
 * Goes to another draft, on the same screen or another one, when what was changed here is saved. Whoever is sent elsewhere
 * meanwhile goes there and not here.
 */
export async function goTo(place: Place, screen?: string): Promise<void> {
  const mine = ++sent;
  await settled();
  if (mine !== sent) return;
  if (place.storefront === placeNow().storefront) {
    // The other draft's results stand in the window before the desk is taken down and drawn anew, which takes the browser longer.
    const drawn = [...told].map((tell) => tell(place)).filter((each) => each !== null);
    if (drawn.length > 0)
      await Promise.race([Promise.all(drawn), new Promise((resolve) => setTimeout(resolve, longestStay))]);
    // What was changed meanwhile is this draft's.
    await settled();
    if (mine !== sent) return;
  }
  const rest = screen ?? `/${location.pathname.split('/')[3] ?? ''}`;
  history.pushState(null, '', `/${place.storefront}/${place.draft}${rest}`);
  enter(place);
}
