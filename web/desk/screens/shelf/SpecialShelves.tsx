import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { idFor } from '../../../../core/setup/idFor.ts';
import type { SpecialShelf } from '../../../../core/setup/parts/specialShelves.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { looks, lookTexts, mostShelfWords, mostSpecialShelves } from '../../../../core/setup/terms/shelfTerms.ts';
import { AddressField } from '../../parts/AddressField.tsx';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Switch, TextField } from '../../parts/Controls.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { TextChips } from '../../parts/TextChips.tsx';
import { TrySearch } from '../../parts/TrySearch.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { ShelfContentFields } from './ShelfContentFields.tsx';

/** Other content for some searches that find nothing: by words they have, or by what they look like. */
export function SpecialShelves() {
  const { setup } = useDeskState();
  const [open, setOpen] = useState<string | null>(null);
  const all = Object.entries(setup.specialShelves).sort(([, a], [, b]) => (a.name < b.name ? -1 : 1));
  const save = (key: string, value: SpecialShelf | null): void => void edit({ part: 'specialShelves', key, value });
  const add = (name: string): void => {
    const key = idFor(name, (id) => Object.hasOwn(setup.specialShelves, id));
    save(key, {
      ...{ name, on: true, words: [name], looks: [], searches: [], products: [] },
      message: setup.emptyShelf.content.message,
    });
    setOpen(key);
  };
  return (
    <Section
      title="Special pages"
      note="Where a search that finds nothing has one of the words, or looks like what is ticked, its page stands in place of the usual one. Words count more than looks, and more words more than fewer."
    >
      {all.length < mostSpecialShelves && (
        <div className="mb-2.5 text-[13.5px]">
          <TextField
            key={all.length}
            label="Words of a new special page"
            placeholder="Words, such as a brand you do not carry"
            className="w-[300px]"
            mayBeEmpty
            maxLength={longest.planName}
            value=""
            change={add}
          />
        </div>
      )}
      {all.length === 0 && <Nothing>No special pages: every search that finds nothing shows the usual page.</Nothing>}
      <ul aria-label="Special pages" className="space-y-[5px]">
        {all.map(([key, shelf]) => (
          <li key={key}>
            <Row
              shelf={shelf}
              itsKey={key}
              isOpen={open === key}
              toggle={() => setOpen(open === key ? null : key)}
              save={(value) => save(key, value)}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

function Row({
  shelf,
  itsKey,
  isOpen,
  toggle,
  save,
}: {
  readonly shelf: SpecialShelf;
  readonly itsKey: string;
  readonly isOpen: boolean;
  toggle(): void;
  save(shelf: SpecialShelf | null): void;
}) {
  const isChanged = useChanged('specialShelves')(itsKey);
  const { name, on, words, looks: alike, link } = shelf;
  const held = [...words.map((word) => `“${word}”`), ...alike.map((look) => lookTexts[look].name)];
  return (
    <div className={`${shelfRow(isChanged)} w-full py-1.5 pr-2 pl-3`}>
      <div className="flex flex-wrap items-center gap-x-2.5 gap-y-1">
        {words[0] === undefined ? (
          <b className="min-w-0 flex-1 truncate font-semibold">{name}</b>
        ) : (
          <TrySearch search={words[0]} className="min-w-0 flex-1 truncate text-left font-semibold">
            {name}
          </TrySearch>
        )}
        <Switch label={`${name} on`} isOn={on} change={(is) => save({ ...shelf, on: is })} />
        <Button
          tone="quiet"
          className="px-2 text-[13px]"
          aria-expanded={isOpen}
          aria-label={`Change ${name}`}
          onClick={toggle}
        >
          {isOpen ? 'Done' : 'Change'}
        </Button>
        <IconButton label={`Remove ${name}`} onClick={() => save(null)}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      <p className="text-[13px] text-soft">
        For {held.join(', ')}
        {link !== undefined && <> · sends shoppers to {link}</>}
      </p>
      {isOpen && (
        <div className="mt-2.5 border-t pt-2.5 pb-1">
          <div className="mb-4 space-y-2 text-[13.5px]">
            <div className="flex flex-wrap items-center gap-2">
              <span className="w-[120px]">Name</span>
              <TextField
                label={`Name of ${name}`}
                value={name}
                maxLength={longest.planName}
                change={(to) => save({ ...shelf, name: to })}
              />
            </div>
            <div className="flex flex-wrap items-center gap-1.5">
              <span className="w-[120px]">Has the words</span>
              <TextChips
                texts={words}
                add="More words"
                takeOff={(word) => `Take ${word} off`}
                most={mostShelfWords}
                longest={longest.saying}
                change={(next) => (next.length > 0 || alike.length > 0) && save({ ...shelf, words: next })}
              />
            </div>
            <fieldset className="flex flex-wrap items-start gap-x-2">
              <legend className="float-left mr-2 w-[120px]">Or looks like</legend>
              <div className="min-w-[240px] flex-1 space-y-1">
                {looks.map((look) => (
                  <label key={look} className="flex min-h-6 items-center gap-2">
                    <input
                      type="checkbox"
                      checked={alike.includes(look)}
                      disabled={alike.length === 1 && alike[0] === look && words.length === 0}
                      onChange={({ target }) =>
                        save({
                          ...shelf,
                          looks: looks.filter((each) => (each === look ? target.checked : alike.includes(each))),
                        })
                      }
                    />
                    <span>
                      {lookTexts[look].name} <span className="text-soft">{lookTexts[look].example}</span>
                    </span>
                  </label>
                ))}
              </div>
            </fieldset>
            <div className="flex flex-wrap items-center gap-2">
              <span className="w-[120px]">Send shoppers to</span>
              <AddressField
                label={`Page that ${name} sends shoppers to`}
                placeholder="/articles/returns or https://…"
                className="min-w-[200px] flex-1"
                maxLength={longest.link}
                value={link ?? ''}
                change={(to) => save({ ...shelf, link: to === '' ? undefined : to })}
              />
            </div>
          </div>
          <ShelfContentFields
            of={name}
            content={shelf}
            isChanged={isChanged}
            save={(change) => save({ ...shelf, ...change })}
          />
        </div>
      )}
    </div>
  );
}
