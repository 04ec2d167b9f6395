import { Trash2 } from 'lucide-react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import type { ValueGroup, ValueGroups } from '../../../../core/setup/parts/valueGroups.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { IconButton } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { Nothing, ScreenHead, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { AddGroup } from './AddGroup.tsx';
import { BackToFilters } from './FilterPage.tsx';
import { GroupRow } from './GroupRow.tsx';
import { freeProposals, sortIntoGroups, withValueIn } from './groupMembers.ts';
import { LeftValues } from './LeftValues.tsx';
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
  const set = (to: Partial<ValueGroups>): void =>
    void edit({ part: 'valueGroups', key: groupsKey, value: { ...own, ...to } });
  const setGroup = (at: number, group: ValueGroup | null): void =>
    set({ groups: own.groups.flatMap((each, index) => (index !== at ? [each] : group ? [group] : [])) });
  const { members, left } = sortIntoGroups(own, data?.values ?? []);
  const put = (value: string, to: string): void => set({ groups: withValueIn(own.groups, value, to) });
  const users = Object.values(setup.filters).filter((filter) => filter.groups === groupsKey);
  const isRecognised = Object.values(setup.vocabulary).some(
    (entry) => entry.what === 'recognised' && entry.attributes?.[own.attribute],
  );
  const remove = async (): Promise<void> => {
    await edit({ part: 'valueGroups', key: groupsKey, value: null });
    toast(`The value groups ${own.name} are removed`, { action: { label: 'Undo', onClick: () => void step('undo') } });
    void go('/filters');
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
        <AddGroup
          groups={own.groups}
          proposed={freeProposals(own, data?.groups ?? [], left)}
          change={(groups) => set({ groups })}
        />
      </Section>
      <LeftValues own={own} left={data ? left : null} set={set} put={put} />
    </>
  );
}
