import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { counted } from '../../../look/price.ts';
import { Nothing, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';

/** All value groups, with what uses each. */
export function GroupList() {
  const { setup } = useDeskState();
  const changed = useChanged('valueGroups');
  const all = Object.entries(setup.valueGroups).sort(([, a], [, b]) => a.name.localeCompare(b.name));
  if (all.length === 0)
    return <Nothing>None yet. Open a filter whose values are untidy: groups are proposed there.</Nothing>;
  return (
    <ul className="space-y-[5px]">
      {all.map(([key, { name, groups, attribute }]) => {
        const users = Object.values(setup.filters).filter((filter) => filter.groups === key);
        return (
          <li key={key} className={shelfRow(changed(key))}>
            <Link
              to={`/filters/groups/${encodeURIComponent(key)}`}
              className="flex items-center gap-3 px-3 py-1.5 hover:text-press"
            >
              <span className="min-w-0 flex-1">
                <span className="font-semibold">{name}</span>{' '}
                <span className="text-[12.5px] text-soft">
                  {counted(groups.length, 'group')} of “{attribute}”;{' '}
                  {users.length === 0 ? 'no filter uses them' : `used by ${users.map(({ label }) => label).join(', ')}`}
                </span>
              </span>
              <ChevronRight size={16} aria-hidden className="text-soft" />
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
