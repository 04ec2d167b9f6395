import type { Card } from '../../core/answer/answer.ts';
import { readableOn } from '../../core/look/contrast.ts';

/** One badge; a colour of one's own can be said by no class. */
export function Badge({ badge: { text, colour } }: { readonly badge: Card['badges'][number] }) {
  return (
    <span
      part="badge"
      className="max-w-full truncate rounded px-1.5 py-px font-semibold text-[12px] leading-[1.45]"
      style={{ background: colour, color: readableOn(colour) }}
    >
      {text}
    </span>
  );
}
