import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import type { ValueGroup, ValueGroups } from '../../../../core/setup/parts/valueGroups.ts';
import { usualRestLabel } from '../../../../core/setup/terms/filterTerms.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { bindGroups } from '../../../../core/values/valueGroups.ts';
import { count, counted } from '../../../look/price.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, Nothing, ScreenHead, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { BackToFilters } from './FilterPage.tsx';
import { GroupRow } from './GroupRow.tsx';
import { useAttributeValues } from './useFilterData.ts';

/** The value groups of an attribute: the groups, what is in each, and what is in none. */
export function ValueGroupsPage() {
  const { key = '' } = useParams();
  const { setup } = useDeskState();
  const own = Object.hasOwn(setup.valueGroups, key) ? setup.valueGroups[key] : undefined;
  if (!own)
    return (
      <>
        <BackToFilters />
        <ScreenHead title="Value groups">Several values of the catalog shown to shoppers as one.</ScreenHead>
        <Nothing>These value groups are gone: somebody removed them, or a step was taken back.</Nothing>
      </>
    );
  return <Groups groupsKey={key} own={own} />;
}

function Groups({ groupsKey, own }: { readonly groupsKey: string; readonly own: ValueGroups }) {
  const go = useNavigate();
  const { setup } = useDeskState();
  const { data } = useAttributeValues(own.attribute);
  const [label, setLabel] = useState('');
  const set = (to: Partial<ValueGroups>): void =>
    void edit({ part: 'valueGroups', key: groupsKey, value: { ...own, ...to } });
  const setGroup = (at: number, group: ValueGroup | null): void =>
    set({ groups: own.groups.flatMap((each, index) => (index !== at ? [each] : group ? [group] : [])) });
  const groupOf = bindGroups(own);
  const members = new Map<string, { value: string; products: number }[]>();
  const left: { value: string; products: number }[] = [];
  for (const value of data?.values ?? []) {
    const group = groupOf(value.value);
    if (group) members.set(group.label, [...(members.get(group.label) ?? []), value]);
    else left.push(value);
  }
  /** Puts a value into a group by name, out of any that lists it. */
  const put = (value: string, to: string): void =>
    set({
      groups: own.groups.map((group) => {
        const others = group.values.filter((each) => each !== value);
        return group.label === to ? { ...group, values: [...others, value] } : { ...group, values: others };
      }),
    });
  const free = (data?.groups ?? []).filter(
    (proposed) =>
      !own.groups.some((group) => group.label === proposed.label) &&
      proposed.values.some((value) => left.some((each) => each.value === value)),
  );
  const users = Object.values(setup.filters).filter((filter) => filter.groups === groupsKey);
  const isRecognised = Object.values(setup.vocabulary).some(
    (entry) => entry.what === 'recognised' && entry.attributes?.[own.attribute],
  );
  const remove = async (): Promise<void> => {
    await edit({ part: 'valueGroups', key: groupsKey, value: null });
    toast(`The value groups ${own.name} are removed`, { action: { label: 'Undo', onClick: () => void step('undo') } });
    void go('/filters');
  };
  const add = (): void => {
    const name = label.trim();
    if (name === '' || own.groups.some((group) => group.label === name)) return;
    set({ groups: [...own.groups, { label: name, values: [] }] });
    setLabel('');
  };
  return (
    <>
      <BackToFilters />
      <ScreenHead
        title={`${own.name}, grouped`}
        aside={
          <IconButton label="Remove these value groups" onClick={() => void remove()}>
            <Trash2 size={16} aria-hidden />
          </IconButton>
        }
      >
        Values of “{own.attribute}” that shoppers see as one.{' '}
        {users.length === 0 ? 'No filter uses them yet' : `Used by ${users.map((filter) => filter.label).join(', ')}`};{' '}
        {isRecognised
          ? 'a search that says a group’s name finds all its values.'
          : 'to have their names recognised in searches, switch the attribute on under Vocabulary.'}
      </ScreenHead>
      <Section
        title="Groups"
        aside={
          <TextField
            label="Name of the groups"
            className="w-40"
            maxLength={longest.label}
            value={own.name}
            change={(name) => set({ name })}
          />
        }
      >
        {own.groups.length === 0 && <Nothing>No group yet: add one, or take those proposed.</Nothing>}
        <ul className="space-y-[5px]">
          {own.groups.map((group, at) => (
            <li key={group.label}>
              <GroupRow
                group={group}
                members={members.get(group.label) ?? []}
                change={(next) => setGroup(at, next)}
                put={put}
              />
            </li>
          ))}
        </ul>
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
            <Button
              tone="quiet"
              onClick={() => set({ groups: [...own.groups, ...free.map(({ why: _, ...group }) => group)] })}
            >
              Take {counted(free.length, 'proposed group')}:{' '}
              {free
                .slice(0, 3)
                .map((group) => group.label)
                .join(', ')}
              {free.length > 3 && ' …'}
            </Button>
          )}
        </form>
      </Section>
      <Section
        title={`In no group: ${counted(left.length, 'value')}`}
        aside={
          <Choice
            label="Values in no group"
            value={own.rest}
            options={[
              ['own', 'shown as they are'],
              ['together', `shown together as “${own.restLabel ?? usualRestLabel}”`],
              ['hidden', 'not shown'],
            ]}
            change={(rest) => set({ rest })}
          />
        }
      >
        {!data ? (
          <Loading what="Reading the values" />
        ) : left.length === 0 ? (
          <Nothing>Every value of the catalog is in a group.</Nothing>
        ) : (
          <RowList label="Values in no group" items={left} rowHeight={36} mostHeight={300}>
            {({ value, products }) => (
              <>
                <span className="min-w-0 flex-1 truncate">{value}</span>
                <span className="text-[12.5px] text-soft">{count(products)} products</span>
                <Choice
                  label={`Group for ${value}`}
                  value=""
                  options={[['', 'put into …'], ...own.groups.map((group) => [group.label, group.label] as const)]}
                  change={(to) => to && put(value, to)}
                />
              </>
            )}
          </RowList>
        )}
        {own.rest === 'together' && (
          <p className="mt-2 text-[13px]">
            Shown as{' '}
            <TextField
              label="What values in no group are shown as"
              className="w-36"
              maxLength={longest.label}
              value={own.restLabel ?? usualRestLabel}
              change={(restLabel) => set({ restLabel })}
            />
          </p>
        )}
      </Section>
    </>
  );
}
