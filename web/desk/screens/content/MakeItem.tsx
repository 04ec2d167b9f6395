import { Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { idFor } from '../../../../core/setup/idFor.ts';
import { type ContentKind, longestContent, madeKey } from '../../../../core/setup/terms/contentTerms.ts';
import { PopoverPanel } from '../../../look/PopoverPanel.tsx';
import { Button } from '../../parts/Button.tsx';
import { contentList } from '../../state/collections.ts';
import { knownState } from '../../state/deskState.ts';
import { clientHere } from '../../state/queryClient.ts';
import { saveMade } from './made.ts';

/** Makes an article or a collection and opens it: its id comes from its first title and stays. */
export function MakeItem({ kind }: { readonly kind: ContentKind }) {
  const [isOpen, setOpen] = useState(false);
  const [title, setTitle] = useState('');
  const go = useNavigate();
  const make = (): void => {
    const state = knownState();
    const known = state && clientHere().getQueryData(contentList(state.revision).queryKey);
    const taken = new Set((kind === 'article' ? known?.articles : known?.collections)?.map(({ id }) => id));
    const id = idFor(
      title,
      (each) => taken.has(each) || Object.hasOwn(state?.setup.content ?? {}, madeKey(kind, each)),
    );
    if (kind === 'article') saveMade('article', id, { title: title.trim(), text: '' });
    else saveMade('collection', id, { title: title.trim(), products: [] });
    void go(`/content/${kind}s/${encodeURIComponent(id)}`);
  };
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button>
          <Plus size={15} aria-hidden /> New {kind}
        </Button>
      </Popover.Trigger>
      <PopoverPanel label={`New ${kind}`} align="end" className="w-[300px] p-3">
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (title.trim() !== '') make();
          }}
        >
          <label className="block text-[13px]">
            What is it called?
            <input
              className="mt-1 w-full rounded-md border bg-surface px-2 py-1.5"
              maxLength={longestContent.title}
              value={title}
              onChange={(event) => setTitle(event.target.value)}
            />
          </label>
          <Button type="submit" tone="strong" disabled={title.trim() === ''}>
            Make it
          </Button>
        </form>
      </PopoverPanel>
    </Popover.Root>
  );
}
