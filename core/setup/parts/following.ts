import { z } from 'zod';
import { idPattern } from '../setupRef.ts';
import { followable, followableParts, isFollowable } from '../terms/followable.ts';
import { openPart } from '../terms/part.ts';

/** Which parts are another storefront's, as that one publishes them; a part that is not named here is the storefront's own. */
export const following = openPart({
  key: z
    .string()
    .regex(new RegExp(`^(?:${followableParts.join('|')})$`), 'This part cannot follow another storefront’s.'),
  value: z.strictObject({
    /** The storefront whose live part it is. */
    storefront: z.string().regex(idPattern),
  }),
  most: followableParts.length,
  describe({ key, before, after }) {
    if (!isFollowable(key) || before?.storefront === after?.storefront) return [];
    return [
      after
        ? `${followable[key]} follow the storefront “${after.storefront}”`
        : `${followable[key]} are this storefront’s own`,
    ];
  },
});
