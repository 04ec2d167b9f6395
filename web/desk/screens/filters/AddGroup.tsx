import { useState } from 'react';
import type { ValueGroup } from '../../../../core/setup/parts/valueGroups.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';

/** A new group by name, or those that are proposed. */
export function AddGroup({
  groups,
  proposed: free,
  change,
}: {
  readonly groups: readonly ValueGroup[];
  readonly proposed: readonly (ValueGroup & { readonly why: unknown })[];
  change(groups: ValueGroup[]): void;
}) {
  const [label, setLabel] = useState('');
  const add = (): void => {
    const name = label.trim();
    if (name === '' || groups.some((group) => group.label === name)) return;
    change([...groups, { label: name, values: [] }]);
    setLabel('');
  };
  return (
    <form
      className="mt-2 flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <input
        aria-label="Name of a new group"
        placeholder="A new group"
        maxLength={longest.label}
        className="rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft"
        value={label}
        onChange={(event) => setLabel(event.target.value)}
      />
      <Button tone="quiet" type="submit" disabled={label.trim() === ''}>
        Add
      </Button>
      {free.length > 0 && (
        <Button tone="quiet" onClick={() => change([...groups, ...free.map(({ why: _, ...group }) => group)])}>
          Take {counted(free.length, 'proposed group')}:{' '}
          {free
            .slice(0, 3)
            .map((group) => group.label)
            .join(', ')}
          {free.length > 3 && ' …'}
        </Button>
      )}
    </form>
  );
}
