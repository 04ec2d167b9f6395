import { useState } from 'react';
import { longestName, mostOrigins, perMinuteOf } from '../../../../api/limits.ts';
import type { ShopKeyRow } from '../../../../api/shopKeyEndpoints.ts';
import { originOf } from '../../../../core/base/origin.ts';
import { Button } from '../../parts/Button.tsx';
import { NumberField } from '../../parts/Controls.tsx';

type Terms = Pick<ShopKeyRow, 'name' | 'origins' | 'perMinute'>;

/** The sites a text names, one a line; what is none is told. */
function sitesIn(text: string): { readonly origins: readonly string[]; readonly wrong: string | null } {
  const lines = text.split(/[\s,]+/).filter(Boolean);
  const origins = [...new Set(lines.flatMap((line) => originOf(line) ?? []))];
  const wrong = lines.find((line) => originOf(line) === null);
  return { origins, wrong: wrong ?? null };
}

/** Says what a key is called, for which sites it is and for how many questions. */
export function KeyForm({
  row,
  save,
  close,
}: {
  /** Absent: a new one. */
  readonly row?: ShopKeyRow;
  /** Answers null where it was refused, which was told. */
  save(terms: Terms): Promise<unknown>;
  close(): void;
}) {
  const [name, setName] = useState(row?.name ?? '');
  const [sites, setSites] = useState(row?.origins.join('\n') ?? '');
  const [perMinute, setPerMinute] = useState(row?.perMinute ?? perMinuteOf.usual);
  const { origins, wrong } = sitesIn(sites);
  const problem =
    wrong !== null
      ? `“${wrong}” is no site. A site is written as https://name, with its port where it has one.`
      : origins.length > mostOrigins
        ? `A key is for ${mostOrigins} sites at most.`
        : null;
  const isWhole = name.trim() !== '' && origins.length > 0 && problem === null;
  const label = 'block font-semibold text-[13px]';
  const field = 'mt-1 w-full rounded-md border bg-surface px-2.5 py-1.5';
  return (
    <form
      aria-label={row ? `Change the key ${row.name}` : 'Make a key'}
      className="mb-2 space-y-3 rounded-lg border bg-surface p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole) void save({ name: name.trim(), origins: [...origins], perMinute }).then((done) => done && close());
      }}
    >
      <label className={label}>
        What it is called here
        <input
          className={`${field} font-normal`}
          value={name}
          maxLength={longestName}
          placeholder="Our shop"
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className={label}>
        Sites whose pages show it, one a line
        <textarea
          className={`${field} h-20 font-normal`}
          value={sites}
          placeholder="https://www.yourshop.example"
          aria-invalid={problem !== null}
          onChange={(event) => setSites(event.target.value)}
        />
      </label>
      {problem && (
        <p role="alert" className="text-[13px] text-wrong">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-2 text-[13px]">
        <span>Questions of all its pages that are answered in one minute</span>
        <NumberField
          label="Questions in one minute"
          value={perMinute}
          least={perMinuteOf.least}
          most={perMinuteOf.most}
          change={setPerMinute}
        />
      </div>
      <div className="flex gap-2">
        <Button type="submit" tone="strong" disabled={!isWhole}>
          {row ? 'Keep it so' : 'Make the key'}
        </Button>
        <Button onClick={close}>Cancel</Button>
      </div>
    </form>
  );
}
