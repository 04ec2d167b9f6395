import { counted } from '../../../look/price.ts';

interface Moved {
  readonly looked: number;
  readonly areMadeUp: boolean;
  readonly changed: number;
  readonly up: number;
  readonly down: number;
  readonly places: number;
}

/** What is moved, in a sentence. */
export function movedInWords({ looked, areMadeUp, changed, up, down, places }: Moved, isOfPlan: boolean): string {
  const searches = isOfPlan
    ? looked === 1
      ? 'its search'
      : `its ${looked} searches`
    : `the ${looked} ${areMadeUp ? 'searches made up from the catalog' : 'searches made most'}`;
  if (changed === 0) return `It moves nothing in ${searches}.`;
  const moved = [
    ...(up > 0 ? [`${counted(up, 'product')} up`] : []),
    ...(down > 0 ? [up > 0 ? `${down} down` : `${counted(down, 'product')} down`] : []),
  ].join(' and ');
  const far = places > 0 ? `, ${places.toFixed(1)} ${places.toFixed(1) === '1.0' ? 'place' : 'places'} on average` : '';
  return `It moves ${moved}${far}, in ${looked === 1 ? searches : `${changed} of ${searches}`}.`;
}
