import { ArrowLeft, Copy, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { IconButton } from '../Button.tsx';
import { Switch, TextField } from '../Controls.tsx';

/** The way back to the list of rules or plans. */
export const BackTo = ({ list, children }: { readonly list: string; readonly children: ReactNode }) => (
  <Link to={list} className="inline-flex items-center gap-1 text-[13px] text-soft hover:text-ink">
    <ArrowLeft size={14} aria-hidden /> {children}
  </Link>
);

/** The head of a rule's or a plan's own screen: its name, whether it is in force, and what can be done with it whole. */
export function RuleHead({
  of,
  heading,
  value,
  change,
  duplicate,
  remove,
  children,
}: {
  readonly of: 'rule' | 'plan';
  readonly heading: string;
  readonly value: { readonly name: string; readonly on: boolean };
  change(next: { readonly name: string } | { readonly on: boolean }): void;
  duplicate(): void;
  remove(): void;
  /** More that can be done, before duplicating and removing. */
  readonly children?: ReactNode;
}) {
  return (
    <div className="mt-1 mb-4 flex flex-wrap items-center gap-3">
      <h1 className="sr-only">{heading}</h1>
      <TextField
        label={`Name of the ${of}`}
        className="-ml-2 min-w-0 flex-[1_1_130px] border-transparent bg-transparent font-display font-semibold text-[23px]"
        value={value.name}
        maxLength={longest.planName}
        change={(name) => change({ name })}
      />
      <Switch
        label={`The ${of} is in force`}
        shown={value.on ? 'In force' : 'Switched off'}
        isOn={value.on}
        change={(on) => change({ on })}
      />
      {children}
      <IconButton label="Duplicate" onClick={duplicate}>
        <Copy size={16} aria-hidden />
      </IconButton>
      <IconButton label="Remove" onClick={remove}>
        <Trash2 size={16} aria-hidden />
      </IconButton>
    </div>
  );
}
