import { ChevronDown, X } from 'lucide-react';
import { useState } from 'react';
import type { ValueGroup } from '../../../../core/setup/parts/valueGroups.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { count, counted } from '../../../look/price.ts';
import { IconButton } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { Line } from './Looks.tsx';

/** Values shown of a group before it is opened. */
const shownClosed = 6;
/** And after: thousands of chips would make the page slow and help nobody. */
const shownOpen = 150;

/** One group: its name and colour, what is in it and by what rule. */
export function GroupRow({
  group,
  members,
  change,
  put,
}: {
  readonly group: ValueGroup;
  readonly members: readonly { readonly value: string; readonly products: number }[];
  change(group: ValueGroup | null): void;
  put(value: string, to: string): void;
}) {
  const [isOpen, setOpen] = useState(false);
  const set = (to: { [Key in keyof ValueGroup]?: ValueGroup[Key] | undefined }): void =>
    change(
      Object.fromEntries(Object.entries({ ...group, ...to }).filter(([, value]) => value !== undefined)) as ValueGroup,
    );
  const listed = new Set(group.values);
  // A value the catalog does not have any more is kept in its group, and said so.
  const gone = group.values.filter((value) => !members.some((member) => member.value === value));
  const amount = (name: 'from' | 'to') => (
    <TextField
      label={`${group.label}: amounts ${name}`}
      mayBeEmpty
      className="w-20"
      maxLength={12}
      value={group[name] === undefined ? '' : String(group[name])}
      change={(text) => set({ [name]: text === '' || !Number.isFinite(Number(text)) ? undefined : Number(text) })}
    />
  );
  return (
    <div className={`${shelfRow(false)} px-3 py-1.5`}>
      <div className="flex items-center gap-2">
        <input
          type="color"
          aria-label={`Swatch of ${group.label}`}
          title={group.colour ? 'Swatch' : 'No swatch yet'}
          value={group.colour ?? '#dddddd'}
          onChange={(event) => set({ colour: event.target.value })}
          className={`size-6 shrink-0 rounded-full border p-0 ${group.colour ? '' : 'opacity-40'}`}
        />
        <TextField
          label={`Name of the group ${group.label}`}
          className="w-36 font-semibold"
          maxLength={longest.label}
          value={group.label}
          change={(label) => set({ label })}
        />
        <span className="min-w-0 flex-1 truncate text-[12.5px] text-soft">
          {members.length === 0
            ? 'nothing in the catalog yet'
            : members
                .slice(0, shownClosed)
                .map(({ value }) => value)
                .join(', ') + (members.length > shownClosed ? ` and ${count(members.length - shownClosed)} more` : '')}
        </span>
        <IconButton
          label={isOpen ? `Close ${group.label}` : `Open ${group.label}`}
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          <ChevronDown size={15} aria-hidden className={isOpen ? 'rotate-180' : ''} />
        </IconButton>
        <IconButton label={`Remove the group ${group.label}`} onClick={() => change(null)}>
          <X size={15} aria-hidden />
        </IconButton>
      </div>
      {isOpen && (
        <div className="mt-1 pb-1">
          <Line name="Values">
            {members.slice(0, shownOpen).map(({ value, products }) => (
              <span key={value} className="inline-flex items-center rounded-full border py-0.5 pl-2.5 text-[13px]">
                {value}
                <span className="ml-1.5 text-[12px] text-soft">{count(products)}</span>
                {listed.has(value) ? (
                  <IconButton label={`Take ${value} out`} className="p-1" onClick={() => put(value, '')}>
                    <X size={12} aria-hidden />
                  </IconButton>
                ) : (
                  <span className="px-2 text-[12px] text-soft">by rule</span>
                )}
              </span>
            ))}
            {members.length > shownOpen && (
              <span className="text-[12.5px] text-soft">and {count(members.length - shownOpen)} more</span>
            )}
            {gone.length > 0 && (
              <span className="text-[12.5px] text-on-changed">
                {counted(gone.length, 'value')} not in the catalog now, or written otherwise:{' '}
                {gone.slice(0, 5).join(', ')}
              </span>
            )}
          </Line>
          <Line name="By rule">
            values with the words
            <TextField
              label={`${group.label}: words of its values`}
              mayBeEmpty
              className="w-40"
              placeholder="red, scarlet"
              value={(group.words ?? []).join(', ')}
              change={(text) => {
                const words = text
                  .split(',')
                  .map((word) => word.trim().slice(0, 40))
                  .filter(Boolean);
                set({ words: words.length > 0 ? words : undefined });
              }}
            />
            or amounts from {amount('from')} to below {amount('to')}
          </Line>
          <Line name="Picture">
            <TextField
              label={`Picture for the swatch of ${group.label}`}
              mayBeEmpty
              className="w-72"
              maxLength={longest.picture}
              placeholder="/pictures/… instead of a colour"
              value={group.picture ?? ''}
              change={(picture) => set({ picture: picture || undefined })}
            />
          </Line>
        </div>
      )}
    </div>
  );
}
