import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { fieldCalled } from '../state/fieldCalled.ts';
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

/** How often it is looked where a field is by now, in milliseconds: rows come, go and fold. */
const lookedFor = 500;

/** Told where somebody else types: above the screen in words, and at the field itself. */
export function TypingHere() {
  const { others } = useOthers();
  const { pathname } = useLocation();
  const typing = others.filter(({ screen, field }) => screen === pathname && field !== '');
  if (typing.length === 0) return null;
  return (
    <>
      <p role="status" className="absolute inset-x-[22px] top-0.5 truncate text-[12px] text-press">
        {typing.map(({ name, field }) => `${name} is in “${field}”`).join(', ')}.
      </p>
      {typing.map(({ tab, name, field }) => (
        <AtField key={tab} name={name} field={field} />
      ))}
    </>
  );
}

interface Where {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Where a field of the screen stands within what the screen scrolls; null where it is not there. */
function whereIs(field: string): Where | null {
  const screen = document.getElementById('screen');
  const found = screen && fieldCalled(screen, field);
  if (!found) return null;
  const [inside, own] = [screen.getBoundingClientRect(), found.getBoundingClientRect()];
  const { width, height } = own;
  if (width === 0) return null;
  return { left: own.left - inside.left, top: own.top - inside.top + screen.scrollTop, width, height };
}

/** An outline around a field, with the letters of who is in it; whoever hears the screen is told above it. */
function AtField({ name, field }: { readonly name: string; readonly field: string }) {
  const [where, setWhere] = useState<Where | null>(null);
  useEffect(() => {
    const look = (): void => setWhere(whereIs(field));
    look();
    const timer = setInterval(look, lookedFor);
    return () => clearInterval(timer);
  }, [field]);
  if (!where) return null;
  return (
    <span
      aria-hidden
      data-typing={name}
      title={`${name} is here`}
      className="pointer-events-none absolute z-20 rounded-md border-2 border-press"
      style={{ ...where, boxSizing: 'border-box' }}
    >
      <span className="absolute -top-[9px] -right-[3px] rounded bg-press px-1 font-semibold text-[10.5px] text-on-press leading-[15px]">
        {initials(name)}
      </span>
    </span>
  );
}
