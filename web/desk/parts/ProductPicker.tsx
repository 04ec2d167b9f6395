import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { call } from '../../client/call.ts';
import { price } from '../../look/price.ts';
import { useTrial } from '../state/trial.ts';
import { Picture } from './ProductLine.tsx';

/** Finds a product by what it is called and chooses it; it begins with what the trial search finds. */
export function ProductPicker({
  label,
  chosen,
  choose,
}: {
  readonly label: string;
  readonly chosen: ReadonlySet<string>;
  choose(product: { id: string; title: string }): void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger className="inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3 py-1.5 font-semibold hover:border-edge">
        <Plus size={15} aria-hidden /> {label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={12}
          aria-label={label}
          className="z-40 w-[360px] rounded-lg border bg-surface shadow-xl"
        >
          <Choices
            chosen={chosen}
            choose={(product) => {
              choose(product);
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Choices({
  chosen,
  choose,
}: {
  readonly chosen: ReadonlySet<string>;
  choose(product: { id: string; title: string }): void;
}) {
  const trial = useTrial((state) => state.query);
  const [text, setText] = useState('');
  const sought = text.trim() || trial;
  const { data, error } = useQuery({
    queryKey: ['desk', 'pick', sought],
    queryFn: ({ signal }) => call('deskSearch', { query: { q: sought, limit: '12', typing: '1' }, signal }),
    placeholderData: keepPreviousData,
  });
  return (
    <Command shouldFilter={false} label="Find a product">
      <Command.Input
        value={text}
        onValueChange={setText}
        placeholder="Type what the product is called, or its SKU"
        className="w-full border-b bg-transparent px-3 py-2.5 outline-none placeholder:text-soft"
      />
      <Command.List className="max-h-[300px] overflow-auto p-1.5">
        {error && <p className="p-3 text-wrong">{error.message}</p>}
        {data?.results.length === 0 && <p className="p-3 text-soft">Nothing is called that.</p>}
        {data?.results.map((result) => (
          <Command.Item
            key={result.familyId}
            value={result.familyId}
            disabled={chosen.has(result.familyId)}
            onSelect={() => choose({ id: result.familyId, title: result.title })}
            className="flex items-center gap-2.5 rounded px-2 py-1 data-[disabled=true]:opacity-50 data-[selected=true]:bg-press-soft"
          >
            <Picture src={result.picture} />
            <span className="min-w-0 flex-1 truncate">
              {result.title} <span className="text-soft">{result.brand}</span>
            </span>
            {result.price !== null && <span className="text-[13px] text-soft">{price(result.price)}</span>}
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}
