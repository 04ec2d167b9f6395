import { ArrowLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ContentKind } from '../../../../core/setup/terms/contentTerms.ts';
import { longestContent } from '../../../../core/setup/terms/contentTerms.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { removeMade, saveMade } from './made.ts';

export type Origin = 'imported' | 'changed' | 'here';
export const originTexts: Readonly<Record<Origin, string>> = {
  imported: 'Imported',
  changed: 'Imported, changed here',
  here: 'Made here',
};

/** The head of an item's screen: its title, where it is from, and the way back to how it was. */
export function ItemHead({
  kind,
  item: { id, title, origin },
  children,
}: {
  readonly kind: ContentKind;
  readonly item: { readonly id: string; readonly title: string; readonly origin: Origin };
  readonly children?: ReactNode;
}) {
  const go = useNavigate();
  return (
    <>
      <Link to="/content" className="inline-flex items-center gap-1 text-[13px] text-soft hover:text-ink">
        <ArrowLeft size={14} aria-hidden /> All collections and articles
      </Link>
      <div className="mt-1 mb-1.5 flex flex-wrap items-center gap-x-2 gap-y-1.5">
        <h1 className="sr-only">
          {kind === 'collection' ? 'Collection' : 'Article'} {title}
        </h1>
        <TextField
          label={`Title of the ${kind}`}
          className="-ml-2 min-w-0 basis-full border-transparent bg-transparent font-display font-semibold text-[23px]"
          maxLength={longestContent.title}
          value={title}
          change={(to) => saveMade(kind, id, { title: to })}
        />
        {children}
        {origin === 'changed' && (
          <Button onClick={() => removeMade(kind, id, `“${title}” is as it was imported again`)}>
            As imported again
          </Button>
        )}
        {origin === 'here' && (
          <Button
            tone="danger"
            onClick={() => {
              removeMade(kind, id, `The ${kind} “${title}” is removed`);
              void go('/content');
            }}
          >
            Remove
          </Button>
        )}
      </div>
      <p className="mb-4 text-[13px] text-soft">
        {originTexts[origin]}
        {origin !== 'here' && ', and stays so when the file is imported anew: what you change here is laid over it'}.
      </p>
    </>
  );
}
