import { useQuery } from '@tanstack/react-query';
import { ChevronDown, X } from 'lucide-react';
import { Dialog, DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import type { AttributeRow } from '../../../../../api/endpoints.ts';
import type { ProductAct, Which } from '../../../../../api/productEndpoints.ts';
import { hiddenInWords } from '../../../../../core/setup/terms/ruleInWords.ts';
import { call } from '../../../../client/call.ts';
import { Menu, MenuItem } from '../../../../look/Menu.tsx';
import { counted } from '../../../../look/price.ts';
import { Button, IconButton } from '../../../parts/Button.tsx';
import { Choice } from '../../../parts/Controls.tsx';
import { DialogFrame } from '../../../parts/DialogFrame.tsx';
import { Picker, PickerItem } from '../../../parts/Picker.tsx';
import { HideDialog } from '../../../parts/rule/HideDialog.tsx';
import { countChosen, noneChosen } from '../../../state/chosenProducts.ts';
import { useDeskState } from '../../../state/deskState.ts';
import { act, step } from '../../../state/edits.ts';
import { useProductTable } from '../../../state/productTable.ts';
import { madeNow } from '../../../state/whenNow.ts';

/** What can be done to all the products chosen. One act is one step for undo. */
export function BulkBar({
  attributes,
  products,
}: {
  readonly attributes: readonly AttributeRow[];
  readonly products: number;
}) {
  const { chosen, query, filters, missing, state, set } = useProductTable();
  const amount = countChosen(chosen, products);
  if (amount === 0) return null;
  const which: Which = chosen.isAll
    ? {
        list: {
          q: query,
          filters: Object.fromEntries(Object.entries(filters).map(([key, list]) => [key, [...list]])),
          missing: [...missing],
          state,
          except: [...chosen.ids],
        },
      }
    : { ids: [...chosen.ids] };
  const carryOut = async (what: ProductAct, message: string): Promise<void> => {
    const answer = await act(
      (revision) => call('editProducts', { body: { revision, which, what } }),
      (given) => given.state,
    );
    if (!answer) return;
    if (answer.products === 0) toast('Nothing had to be changed', { description: 'They are like that already.' });
    else
      toast(`${message}: ${counted(answer.products, 'product')}`, {
        description: 'In the draft, not yet published.',
        action: { label: 'Undo', onClick: () => void step('undo') },
      });
  };
  return (
    <section
      aria-label="What to do with the products chosen"
      className="mt-2 flex flex-wrap items-center gap-x-1 gap-y-1.5 rounded-lg border bg-surface px-2.5 py-1.5 text-[13.5px] shadow-lg [&_button]:px-2 [&_button]:py-1"
    >
      <p role="status" className="mr-1 font-semibold">
        {counted(amount, 'product')} chosen
      </p>
      <TagPicker
        label="Add a tag"
        mayBeNew
        choose={(tag) => void carryOut({ act: 'addTag', tag }, `Tagged “${tag}”`)}
      />
      <TagPicker
        label="Take a tag off"
        choose={(tag) => void carryOut({ act: 'removeTag', tag }, `No longer tagged “${tag}”`)}
      />
      <SetAttribute attributes={attributes} amount={amount} carryOut={carryOut} />
      <HideMenu carryOut={carryOut} />
      <Button onClick={() => void carryOut({ act: 'show' }, 'Shown again')}>Show</Button>
      <Button
        tone="quiet"
        onClick={() => void carryOut({ act: 'discard', attribute: null }, 'The file’s values are used again')}
      >
        Discard my values
      </Button>
      <IconButton label="Choose none" className="ml-auto" onClick={() => set({ chosen: noneChosen })}>
        <X size={16} aria-hidden />
      </IconButton>
    </section>
  );
}

/** Hiding everywhere, or from some places and for a time. */
function HideMenu({ carryOut }: { carryOut(what: ProductAct, message: string): Promise<void> }) {
  const { setup } = useDeskState();
  const [isAsking, setAsking] = useState(false);
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>
          Hide <ChevronDown size={14} aria-hidden />
        </Button>
      </DropdownMenu.Trigger>
      <Menu className="w-[230px]">
        <MenuItem onSelect={() => void carryOut({ act: 'hide', ...madeNow(setup) }, 'Hidden everywhere')}>
          Everywhere
        </MenuItem>
        <MenuItem onSelect={() => setAsking(true)}>From some places, or until …</MenuItem>
      </Menu>
      <HideDialog
        what={isAsking ? 'what is chosen' : null}
        close={() => setAsking(false)}
        hide={(limits) => void carryOut({ act: 'hide', ...limits }, `Hidden${hiddenInWords(limits) || ' everywhere'}`)}
      />
    </DropdownMenu.Root>
  );
}

function TagPicker({
  label,
  mayBeNew = false,
  choose,
}: {
  readonly label: string;
  readonly mayBeNew?: boolean;
  choose(tag: string): void;
}) {
  return (
    <Picker label={label} find="Find a tag" placeholder={mayBeNew ? 'A tag, known or new' : 'A tag'}>
      {(typed, close) => (
        <Tags
          typed={typed}
          mayBeNew={mayBeNew}
          choose={(tag) => {
            choose(tag);
            close();
          }}
        />
      )}
    </Picker>
  );
}

function Tags({
  typed,
  mayBeNew,
  choose,
}: {
  readonly typed: string;
  readonly mayBeNew: boolean;
  choose(tag: string): void;
}) {
  const { data } = useQuery({
    queryKey: ['desk', 'values', 'tags', typed],
    queryFn: ({ signal }) => call('values', { query: { attribute: 'tags', contains: typed.slice(0, 80) }, signal }),
  });
  const isNew = mayBeNew && typed !== '' && !data?.values.some(({ value }) => value === typed);
  return (
    <>
      {isNew && (
        <PickerItem value={`(new) ${typed}`} isChosen={false} choose={() => choose(typed)}>
          A new tag: “{typed}”
        </PickerItem>
      )}
      {data?.values.length === 0 && !isNew && <p className="p-3 text-soft">No product has a tag like that.</p>}
      {data?.values.map(({ value, products }) => (
        <PickerItem key={value} value={value} isChosen={false} choose={() => choose(value)}>
          <span className="min-w-0 flex-1 truncate">{value}</span>
          <span className="text-[13px] text-soft">{counted(products, 'product')}</span>
        </PickerItem>
      ))}
    </>
  );
}

function SetAttribute({
  attributes,
  amount,
  carryOut,
}: {
  readonly attributes: readonly AttributeRow[];
  readonly amount: number;
  carryOut(what: ProductAct, message: string): Promise<void>;
}) {
  const settable = attributes.filter(({ canDecide, key }) => canDecide && key !== 'tags');
  const [isOpen, setOpen] = useState(false);
  const [attribute, setAttribute] = useState('boost');
  const [text, setText] = useState('');
  const label = settable.find(({ key }) => key === attribute)?.label ?? attribute;
  const put = (value: string): void => {
    setOpen(false);
    void carryOut(
      { act: 'set', attribute, text: value },
      value === '' ? `${label} is emptied` : `${label} is now “${value}”`,
    );
  };
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>Set an attribute</Button>
      </Dialog.Trigger>
      <DialogFrame
        title={`Set an attribute of ${counted(amount, 'product')}`}
        description="It holds for all their variants, is seen in the draft at once, and outlives the next import."
      >
        <form
          className="flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            put(text.trim());
          }}
        >
          <Choice
            label="Attribute to set"
            value={attribute}
            options={settable.map(({ key, label: name }) => [key, name] as const)}
            change={setAttribute}
          />
          <input
            aria-label="Its value"
            placeholder={
              attribute === 'boost'
                ? 'a factor: 1 is neutral, 2 doubles the score'
                : 'several values with | between them'
            }
            className="min-w-[240px] flex-1 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <div className="flex w-full justify-end gap-2 pt-2">
            <Button tone="quiet" onClick={() => put('')}>
              Empty it
            </Button>
            <Button type="submit" tone="strong" disabled={text.trim() === ''}>
              Set it
            </Button>
          </div>
        </form>
      </DialogFrame>
    </Dialog.Root>
  );
}
