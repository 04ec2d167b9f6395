import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Switch } from '../../parts/Controls.tsx';
import { useConditionWords } from '../../state/conditionWords.ts';

/** The line of something that products have which meet a condition: what it is, for which, whether it is on, and the ways on. */
export function ConditionedHead({
  of: { on, condition },
  name,
  switchLabel,
  grip,
  isOpen,
  setOpen,
  setOn,
  remove,
  children,
}: {
  readonly of: { readonly on: boolean; readonly condition: Condition };
  readonly name: string;
  readonly switchLabel: string;
  readonly grip: ReactNode;
  readonly isOpen: boolean;
  setOpen(isOpen: boolean): void;
  setOn(on: boolean): void;
  remove(): void;
  /** How it is drawn. */
  readonly children: ReactNode;
}) {
  const words = useConditionWords()(condition);
  return (
    <div className="flex items-center gap-2">
      {grip}
      <span className={`flex max-w-[40%] shrink-0 ${on ? '' : 'opacity-55'}`}>{children}</span>
      <span className="min-w-0 flex-1 truncate text-[13px] text-soft" title={words}>
        {words}
      </span>
      <Switch label={switchLabel} isOn={on} change={setOn} />
      <Button
        tone="quiet"
        className="px-2 py-1 text-[13px]"
        aria-expanded={isOpen}
        aria-label={`Change ${name}`}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'Done' : 'Change'}
      </Button>
      <IconButton label={`Remove ${name}`} onClick={remove}>
        <Trash2 size={15} aria-hidden />
      </IconButton>
    </div>
  );
}
