import { useMutation } from '@tanstack/react-query';
import { Globe } from 'lucide-react';
import { useState } from 'react';
import type { StyleFound } from '../../../../api/styleFound.ts';
import { longestContent } from '../../../../core/setup/terms/contentTerms.ts';
import type { LookColours } from '../../../../core/setup/terms/lookTerms.ts';
import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { field } from '../../parts/Controls.tsx';
import { hexOf } from './hexOf.ts';

const problems: Readonly<Record<NonNullable<StyleFound['problem']> | 'no-colours', string>> = {
  'not-allowed': 'It leads into a private network, which is not asked from here.',
  'no-connection': 'Nothing answered at this address.',
  'not-found': 'There is no such page.',
  'too-slow': 'It did not answer in time.',
  'too-large': 'There is more at this address than a page has.',
  'no-style': 'This page has no style sheet.',
  'no-colours': 'The style sheets of this page say none of its colours. A picture of the page has them.',
};

/** The address as one types it, with what a browser would put before it. */
const wholeAddress = (typed: string): string => (/^https?:\/\//i.test(typed) ? typed : `https://${typed}`);

/** Takes the shop's three colours from a page of the web, by the style sheets that it names. */
export function ColoursFromPage({ before, take }: { readonly before: LookColours; take(colours: LookColours): void }) {
  const [address, setAddress] = useState('');
  const { mutate, data, error, isPending } = useMutation({
    mutationFn: async (from: string): Promise<keyof typeof problems | null> => {
      const { problem, styles } = await call('askStyle', { body: { address: wholeAddress(from) } });
      if (problem) return problem;
      const { coloursInStyles } = await import('../../../../core/look/coloursInStyle.ts');
      const colours = coloursInStyles(styles, before, hexOf);
      if (colours) take(colours);
      return colours ? null : 'no-colours';
    },
  });
  const said = error ? error.message : data ? problems[data] : '';
  return (
    <form
      className="mt-1.5 flex flex-wrap items-center gap-1.5 text-[13px]"
      onSubmit={(event) => {
        event.preventDefault();
        if (address.trim() !== '' && !isPending) mutate(address.trim());
      }}
    >
      <input
        aria-label="Page to take colours from"
        className={`${field} min-w-0 flex-1 placeholder:text-soft`}
        placeholder="or the address of a page"
        inputMode="url"
        autoComplete="off"
        maxLength={longestContent.link}
        value={address}
        onChange={({ target }) => setAddress(target.value)}
      />
      <Button type="submit" className="py-1 text-[13px]" disabled={address.trim() === ''}>
        <Globe size={14} aria-hidden /> {isPending ? 'Asking the page …' : 'Take its colours'}
      </Button>
      {said !== '' && (
        <p role="alert" className="w-full text-wrong">
          {said}
        </p>
      )}
    </form>
  );
}
