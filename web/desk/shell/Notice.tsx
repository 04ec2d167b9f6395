import type { LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';

/** Told above a screen, of the draft or the storefront as a whole. */
export function Notice({
  label,
  icon: Icon,
  children,
}: {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly children: ReactNode;
}) {
  return (
    <section aria-label={label} className="mb-4 flex items-start gap-2 rounded-lg border bg-surface px-3 py-2.5">
      <Icon size={16} className="mt-0.5 shrink-0 text-press" aria-hidden />
      <p>{children}</p>
    </section>
  );
}
