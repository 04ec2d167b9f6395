import { useLocation } from 'react-router';
import { useOthers } from '../state/together.ts';
import { screenName } from './Navigation.tsx';

/** Somebody's letters: of a name of two words the first of each. */
const initials = (name: string): string => {
  const words = name.trim().split(/\s+/);
  return (words.length > 1 ? words[0]![0]! + words.at(-1)![0]! : name.slice(0, 2)).toUpperCase();
};

const shown = 3;

/** Who else has this draft open, and where they are. */
export function PeopleHere() {
  const { others } = useOthers();
  if (others.length === 0) return null;
  const told = others.map(({ name, screen }) => `${name} is on ${screenName(screen)}`);
  return (
    <ul aria-label="Also here" className="mr-1 flex items-center -space-x-1.5">
      {others.slice(0, shown).map(({ tab, name }, at) => (
        <li
          key={tab}
          title={told[at]}
          className="grid size-[26px] place-items-center rounded-full border-2 border-surface bg-press-soft font-semibold text-[11px] text-press"
        >
          <span aria-hidden>{initials(name)}</span>
          <span className="sr-only">{told[at]}</span>
        </li>
      ))}
      {others.length > shown && <li className="pl-2.5 text-[12.5px] text-soft">+{others.length - shown}</li>}
    </ul>
  );
}

/** Told above a screen on which somebody else types. */
export function TypingHere() {
  const { others } = useOthers();
  const { pathname } = useLocation();
  const typing = others.filter(({ screen, field }) => screen === pathname && field !== '');
  if (typing.length === 0) return null;
  return (
    <p role="status" className="absolute inset-x-[22px] top-0.5 truncate text-[12px] text-press">
      {typing.map(({ name, field }) => `${name} is in “${field}”`).join(', ')}.
    </p>
  );
}
