import { Monitor, Moon, PanelRightOpen, Redo2, Sun, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { applyTheme, readTheme, themes } from '../../look/theme.ts';
import { IconButton } from '../parts/Button.tsx';
import { useDeskState } from '../state/deskState.ts';
import { step } from '../state/edits.ts';
import { useShopWindow } from '../state/shopWindow.ts';
import { ChangesButton } from './ChangesButton.tsx';
import { DraftMenu } from './DraftMenu.tsx';
import { NavigationDrawer } from './NavigationDrawer.tsx';
import { PeopleHere } from './PeopleHere.tsx';
import { PublishButton } from './PublishButton.tsx';
import { ShopName } from './ShopName.tsx';
import { TrialSearch } from './TrialSearch.tsx';

const themeIcons = { system: Monitor, light: Sun, dark: Moon } as const;
const themeNames = { system: 'as the system has it', light: 'light', dark: 'dark' } as const;

function ThemeButton() {
  const [theme, setTheme] = useState(readTheme);
  const Icon = themeIcons[theme];
  const next = themes[(themes.indexOf(theme) + 1) % themes.length]!;
  return (
    <IconButton
      label={`Colours: ${themeNames[theme]}. Change to ${themeNames[next]}`}
      onClick={() => {
        applyTheme(next);
        setTheme(next);
      }}
    >
      <Icon size={16} aria-hidden />
    </IconButton>
  );
}

/** Undo, the draft's state and publishing, always in sight; in a narrow window the screens are behind a button. */
export function TopBar({ isNarrow = false }: { readonly isNarrow?: boolean }) {
  const { canUndo, canRedo } = useDeskState();
  const { isFolded, isInstead, yieldsRoom: givesRoom, fold } = useShopWindow();
  const isAway = isNarrow ? !isInstead : isFolded || givesRoom;
  return (
    <header
      className={`flex items-center border-edge border-b-[3px] bg-surface ${isNarrow ? 'flex-wrap gap-x-1.5 gap-y-1 px-2.5 py-1.5' : 'col-span-2 gap-3 px-[18px]'}`}
    >
      {isNarrow && <NavigationDrawer />}
      <div
        className={`flex shrink-0 items-center gap-2 font-display font-semibold text-[18.5px] tracking-tight ${isNarrow ? '' : 'w-[152px]'}`}
      >
        <svg width="22" height="20" viewBox="0 0 22 20" aria-hidden="true">
          <path d="M1 17h20" stroke="var(--ink)" strokeWidth="3" />
          <path d="M4 15V5h4v10zM9.5 15V2h4v13z" fill="var(--press)" />
          <path d="M15 15l1.6-9 3.6.8L18.6 15z" fill="var(--changed)" />
        </svg>
        <span className={isNarrow ? 'max-[620px]:sr-only' : ''}>Clever Shelf</span>
      </div>
      {!isNarrow && <ShopName />}
      <DraftMenu />
      {!isNarrow && <TrialSearch />}
      <div className="ml-auto flex shrink-0 items-center gap-1">
        <PeopleHere />
        <IconButton
          label={canUndo ? `Undo: ${canUndo}` : 'Nothing to undo'}
          disabled={canUndo === null}
          onClick={() => void step('undo')}
        >
          <Undo2 size={16} aria-hidden />
        </IconButton>
        <IconButton
          label={canRedo ? `Redo: ${canRedo}` : 'Nothing to redo'}
          disabled={canRedo === null}
          onClick={() => void step('redo')}
        >
          <Redo2 size={16} aria-hidden />
        </IconButton>
        <ThemeButton />
        {isAway && (
          <IconButton label="Show the shop window" onClick={() => fold(false)}>
            <PanelRightOpen size={16} aria-hidden />
          </IconButton>
        )}
        <ChangesButton />
        <PublishButton />
      </div>
      {isNarrow && <TrialSearch />}
    </header>
  );
}
