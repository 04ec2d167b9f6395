import { ChevronDown } from 'lucide-react';
import { Switch as Toggle } from 'radix-ui';
import { type ReactNode, useEffect, useId, useState } from 'react';
import { useAskedToOwn } from '../state/following.ts';

export function Switch({
  label,
  isOn,
  change,
  shown,
}: {
  readonly label: string;
  readonly isOn: boolean;
  change(isOn: boolean): void;
  /** Text beside the switch; without it only the label for screen readers is there. */
  readonly shown?: ReactNode;
}) {
  const id = useId();
  return (
    <span className="inline-flex items-center gap-2">
      <Toggle.Root
        id={id}
        aria-label={label}
        checked={isOn}
        onCheckedChange={change}
        className="relative h-[18px] w-8 shrink-0 rounded-full border border-soft bg-paper transition-colors data-[state=checked]:border-press data-[state=checked]:bg-press"
      >
        <Toggle.Thumb className="block size-3 translate-x-[2px] rounded-full bg-soft transition-transform data-[state=checked]:translate-x-4 data-[state=checked]:bg-on-press" />
      </Toggle.Root>
      {shown && (
        <label htmlFor={id} className="text-[13px]">
          {shown}
        </label>
      )}
    </span>
  );
}

/** How fields look that are typed into. */
export const field = 'rounded-md border bg-surface px-2 py-[3px] hover:border-edge';

/** A number typed exactly: taken at Enter and on leaving, given back to what it was where it is none. */
export function NumberField({
  label,
  value,
  least,
  most,
  step = 1,
  change,
  className = 'w-[62px]',
}: {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step?: number;
  change(value: number): void;
  readonly className?: string;
}) {
  const [text, setText] = useState(String(value));
  const { declined } = useAskedToOwn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was declined is not what holds
  useEffect(() => setText(String(value)), [value, declined]);
  const commit = (): void => {
    const number = Number(text);
    const isFine = text.trim() !== '' && Number.isFinite(number);
    const bounded = isFine ? Math.min(most, Math.max(least, number)) : value;
    setText(String(bounded));
    if (bounded !== value) change(bounded);
  };
  return (
    <input
      type="number"
      inputMode="decimal"
      aria-label={label}
      className={`${field} text-right font-semibold ${className}`}
      min={least}
      max={most}
      step={step}
      value={text}
      onChange={(event) => {
        setText(event.target.value);
        // The arrows of the field change it by a step and are meant; typing is taken when it is done.
        const native = event.nativeEvent as InputEvent;
        const number = Number(event.target.value);
        if (native.inputType === undefined && event.target.value !== '' && number >= least && number <= most)
          change(number);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setText(String(value));
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          const next = Math.min(
            most,
            Math.max(least, Math.round((Number(text) + (event.key === 'ArrowUp' ? step : -step)) * 1000) / 1000),
          );
          setText(String(next));
          change(next);
        }
      }}
    />
  );
}

/** A text taken at Enter and on leaving. */
export function TextField({
  label,
  value,
  change,
  className = '',
  maxLength = 120,
  mayBeEmpty = false,
  placeholder,
}: {
  readonly label: string;
  readonly placeholder?: string;
  readonly value: string;
  change(value: string): void;
  readonly className?: string;
  readonly maxLength?: number;
  readonly mayBeEmpty?: boolean;
}) {
  const [text, setText] = useState(value);
  const { declined } = useAskedToOwn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was declined is not what holds
  useEffect(() => setText(value), [value, declined]);
  const commit = (): void => {
    const next = text.trim();
    if (next === '' && !mayBeEmpty) setText(value);
    else if (next !== value) change(next);
  };
  return (
    <input
      aria-label={label}
      className={`${field} placeholder:text-soft ${className}`}
      placeholder={placeholder}
      maxLength={maxLength}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setText(value);
      }}
    />
  );
}

export function Choice<Value extends string>({
  label,
  value,
  options,
  change,
  className = '',
}: {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  change(value: Value): void;
  readonly className?: string;
}) {
  return (
    <span className={`relative inline-flex ${className}`}>
      <select
        aria-label={label}
        className={`${field} w-full appearance-none pr-7`}
        value={value}
        onChange={(event) => change(event.target.value as Value)}
      >
        {options.map(([each, shown]) => (
          <option key={each} value={each}>
            {shown}
          </option>
        ))}
      </select>
      <ChevronDown
        size={14}
        aria-hidden
        className="pointer-events-none absolute top-1/2 right-2 -translate-y-1/2 text-soft"
      />
    </span>
  );
}
