import { dayText } from '../../../core/base/day.ts';
import { localDay } from '../../../core/base/localTime.ts';
import type { Setup } from '../../../core/setup/schema.ts';
import type { When } from '../../../core/setup/terms/span.ts';
import { personNow } from '../../client/person.ts';

/** The storefront's clock, as the browser knows it. */
export function whenNow({ storefront: { shop } }: Setup): When {
  const now = Date.now();
  return { now, today: localDay(shop.timeZone, now), timeZone: shop.timeZone };
}

/** What a rule made now says of itself: since when it is there, and whom to ask. */
export function madeNow(setup: Setup): { since: string; owner?: string } {
  const owner = personNow();
  return { since: dayText(whenNow(setup).today), ...(owner && { owner: owner.slice(0, 80) }) };
}
