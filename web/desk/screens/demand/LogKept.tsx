import { call } from '../../../client/call.ts';
import { Switch } from '../../parts/Controls.tsx';
import { type Days, KeptDays } from '../../parts/KeptDays.tsx';
import { Section } from '../../parts/Screen.tsx';
import { clientHere } from '../../state/queryClient.ts';
import { arrange } from '../../state/storefronts.ts';

async function keep(isOn: boolean, days: Days): Promise<void> {
  await arrange(() => call('keepLog', { body: { isOn, days } }), 'The shopper log is kept as before');
  await clientHere().invalidateQueries({ queryKey: ['desk', 'demand'] });
}

/** Whether what shoppers do is written, and for how long it is kept. */
export function LogKept({ isOn, days }: { readonly isOn: boolean; readonly days: Days }) {
  return (
    <Section
      title="What is written"
      note="Searches with their filters, what was opened, put into the basket and bought, what was chosen in the search box, and banners; by visit, never by person or address. Browsers that ask not to be followed are not. A change holds for shoppers at once: it is no part of the draft."
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13.5px]">
        <Switch
          label="Write what shoppers do"
          shown="Write what shoppers do"
          isOn={isOn}
          change={(is) => void keep(is, days)}
        />
        <span className="inline-flex items-center gap-2">
          <KeptDays
            what="the shopper log"
            lost="Searches that are older go for good, with all that came of them, and are no longer counted."
            days={days}
            keep={(next) => void keep(isOn, next)}
          />
        </span>
      </div>
    </Section>
  );
}
