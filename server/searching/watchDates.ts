import { localDay } from '../../core/base/localTime.ts';
import { periodOf } from '../../core/rules/periods.ts';
import type { Setup } from '../../core/setup/schema.ts';

/** A setup that somebody looks at: what is live in a storefront, or a draft that is open. */
export interface Watched {
  /** Names it for as long as it is watched. */
  readonly key: string;
  readonly setup: Setup;
  /** Called when something in it has begun or ended, or its day has turned. */
  changed(): void;
}

/**
 * Looks whether dates of setups have come: what begins or ends at an hour does so then, without an edit. Answers the look,
 * to be had every second; what is watched for the first time is as it is. Cost: a look at the clock for each setup.
 */
export function watchDates(watched: () => readonly Watched[], now: () => number): () => void {
  let known = new Map<string, { readonly setup: Setup; readonly time: string }>();
  return () => {
    const at = now();
    const seen: typeof known = new Map();
    for (const { key, setup, changed } of watched()) {
      const time = `${localDay(setup.storefront.shop.timeZone, at)}/${periodOf(setup, at)}`;
      const before = known.get(key);
      // Another setup is told of by whoever changed it.
      if (before?.setup === setup && before.time !== time) changed();
      seen.set(key, { setup, time });
    }
    known = seen;
  };
}
