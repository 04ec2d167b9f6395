import { TextField } from '../../parts/Controls.tsx';

/** A colour as it is written by hand: with or without its mark, in three figures or six; null where it is none. */
export function colourIn(text: string): string | null {
  const [, figures = ''] = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(text.trim()) ?? [];
  if (figures === '') return null;
  const six = figures.length === 3 ? [...figures].map((figure) => figure + figure).join('') : figures;
  return `#${six.toLowerCase()}`;
}

/** A colour chosen from a field or typed, with what is to be said of it. */
export function ColourField({
  label,
  value,
  told = '',
  isFaint = false,
  change,
}: {
  readonly label: string;
  readonly value: string;
  readonly told?: string;
  readonly isFaint?: boolean;
  change(colour: string): void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-2.5 gap-y-0.5">
      <span className="w-[118px]">{label}</span>
      <input
        type="color"
        aria-label={`${label}, chosen`}
        className="h-6 w-9 cursor-pointer rounded border bg-surface"
        value={value}
        onChange={(event) => change(event.target.value)}
      />
      <TextField
        label={`${label}, as #rrggbb`}
        value={value}
        className="w-[92px]"
        maxLength={9}
        change={(text) => {
          const colour = colourIn(text);
          if (colour) change(colour);
        }}
      />
      <span className={`text-[12.5px] ${isFaint ? 'text-on-changed' : 'text-soft'}`}>{told}</span>
    </div>
  );
}
