import { kindsOf } from '../../core/companions/kinds.ts';
import { countTogether, type Together } from '../../core/companions/together.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { visitsIn } from '../demand/togetherStore.ts';
import type { Workbench } from '../searching/workbench.ts';

/** What stands beside products. */
export function companionQuestions({ ready, db, storefront }: Workbench) {
  return {
    /** What the log says of which products belong together. Cost: a pass over what shoppers opened and took. */
    together(ref: SetupRef): Together {
      const { snapshot } = ready(ref).engine;
      const kinds = kindsOf(snapshot);
      return countTogether(visitsIn(db, storefront), (product) => {
        const family = snapshot.findFamily(product);
        return family < 0 ? null : (kinds.names[kinds.ofFamily[family]!] ?? null);
      });
    },
  };
}
