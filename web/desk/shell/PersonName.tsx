import { UserRound } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { longestName } from '../../../api/limits.ts';
import { personNow, setPerson } from '../../client/person.ts';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { TextField } from '../parts/Controls.tsx';

/** Who works here: the name that stands beside what is done, kept by the browser. */
export function PersonName() {
  const [name, setName] = useState(personNow);
  return (
    <Popover.Root>
      <Popover.Trigger className="mt-1 flex min-h-6 items-center gap-1.5 rounded px-2 py-0.5 text-left text-[12.5px] text-soft hover:text-ink">
        <UserRound size={13} aria-hidden className="shrink-0" />
        <span className="truncate">{name || 'Say who you are'}</span>
      </Popover.Trigger>
      <PopoverPanel label="Who you are" className="w-[280px] p-4">
        <p className="text-[13px] text-soft">
          Your name stands beside what you change, publish and begin. This browser keeps it.
        </p>
        <TextField
          label="Your name"
          placeholder="as your colleagues know you"
          className="mt-2 w-full"
          maxLength={longestName}
          mayBeEmpty
          value={name}
          change={(to) => {
            setPerson(to);
            setName(to);
          }}
        />
      </PopoverPanel>
    </Popover.Root>
  );
}
