import { format, formatDistanceToNowStrict } from 'date-fns';

type When = Date | string | number;

/** A day, as `3 Nov 2026`. */
export const day = (when: When): string => format(new Date(when), 'd MMM yyyy');

/** A day with its time, as `3 Nov 2026, 14:05`. */
export const dayAndTime = (when: When): string => format(new Date(when), 'd MMM yyyy, HH:mm');

/** How long ago, as `5 minutes ago`. */
export const ago = (when: When): string => formatDistanceToNowStrict(new Date(when), { addSuffix: true });
