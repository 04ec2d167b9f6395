import type { ComponentProps } from 'react';

const tones = {
  plain: 'border bg-surface hover:border-edge',
  strong: 'bg-press text-on-press hover:bg-press-over',
  quiet: 'text-press hover:bg-press-soft',
  danger: 'border border-wrong text-wrong hover:bg-changed-soft',
} as const;

export function Button({
  tone = 'plain',
  className = '',
  ...others
}: ComponentProps<'button'> & { readonly tone?: keyof typeof tones }) {
  return (
    <button
      type="button"
      className={`inline-flex items-center justify-center gap-1.5 rounded-lg px-3.5 py-[6.5px] font-semibold disabled:opacity-55 ${tones[tone]} ${className}`}
      {...others}
    />
  );
}

/** A button that shows only a picture; its label is what it is called. */
export function IconButton({
  label,
  className = '',
  ...others
}: ComponentProps<'button'> & { readonly label: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className={`rounded-md p-1.5 text-soft hover:bg-paper hover:text-ink disabled:opacity-40 ${className}`}
      {...others}
    />
  );
}
