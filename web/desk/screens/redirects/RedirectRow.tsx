import type { ReactNode } from 'react';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import type { PageFound } from '../../../../api/pageFound.ts';
import type { ruleEndpoints } from '../../../../api/ruleEndpoints.ts';
import { shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { caughtInWords, foundInWords, targetInWords } from './redirectInWords.ts';

type Use = AnswerOf<(typeof ruleEndpoints)['redirects']>['redirects'][number];
export interface RedirectShown {
  readonly of: 'plan' | 'page';
  readonly id: string;
  readonly name: string;
  readonly on: boolean;
  readonly link: string;
  /** What it holds for, and how. */
  readonly held: readonly string[];
  readonly how: string;
  /** Undefined until it is looked up. */
  readonly use: Use | undefined;
}

/** A redirect: from which searches, where to, whether that is there, and whom it caught. */
export function RedirectRow({
  redirect,
  found,
  children,
}: {
  readonly redirect: RedirectShown;
  /** What came of asking for its page, where it was asked for. */
  readonly found: PageFound | undefined;
  readonly children: ReactNode;
}) {
  const { of, id, held, how, link, use } = redirect;
  const isChanged = useChanged(of === 'plan' ? 'plans' : 'specialShelves')(id);
  const asked = found && foundInWords(found);
  const isGone = use?.isThere === false || asked?.isWrong === true;
  return (
    <div className={`${shelfRow(isChanged)} flex w-full items-start gap-3 py-1.5 pr-2.5 pl-3`}>
      <div className="min-w-0 flex-1 text-[13px]">
        <b className="block truncate font-semibold text-[14px]">{held.join(', ') || redirect.name}</b>
        <span className="block truncate" title={link}>
          {how !== 'for' && `${how}, `}→ {link}
        </span>
        <span className={`block ${isGone ? 'font-semibold text-wrong' : 'text-soft'}`}>
          {use && targetInWords(use)} {asked?.text}
        </span>
        <span className="block truncate text-soft" title={use?.searches.join(', ')}>
          {use && caughtInWords(use)}
        </span>
      </div>
      {children}
    </div>
  );
}
