import { Ban, Check } from 'lucide-react';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import type { endpoints } from '../../../../api/endpoints.ts';
import type { Companions } from '../../../../core/setup/parts/companions.ts';
import { type CompanionList, mostChosen, mostNever } from '../../../../core/setup/terms/companionTerms.ts';
import { Button } from '../../parts/Button.tsx';
import { OrderedProducts } from '../../parts/OrderedProducts.tsx';
import { ProductLine } from '../../parts/ProductLine.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { useAttributeLabels } from '../../state/attributes.ts';
import { notShownInWords, whyInWords } from './whyInWords.ts';

type Answer = AnswerOf<(typeof endpoints)['companions']>;

const texts: Readonly<Record<CompanionList, { title: string; note: string; one: string; none: string }>> = {
  companions: {
    title: 'Companions',
    note: 'What goes with it. Those chosen by hand stand first, in this order; the rest is worked out.',
    one: 'companion',
    none: 'Nothing is known to go with it: choose something by hand.',
  },
  alternatives: {
    title: 'Alternatives',
    note: 'What stands in for it. Those chosen by hand stand first, in this order; the rest is worked out.',
    one: 'alternative',
    none: 'Nothing is known to stand in for it: choose something by hand.',
  },
};

/** The companions or the alternatives of one product: those chosen by hand, and those worked out, each with why. */
export function CompanionRows({
  list,
  chosen,
  found,
  shows,
  isChanged,
  save,
}: {
  readonly list: CompanionList;
  readonly chosen: Companions;
  readonly found: Answer[CompanionList] | undefined;
  /** As many as shoppers see on the product's page. */
  readonly shows: number;
  readonly isChanged: boolean;
  save(change: Partial<Companions>): void;
}) {
  const called = useAttributeLabels();
  const { title, note, one, none } = texts[list];
  const byHand = chosen[list];
  // What was decided just now is not worked out any more, before the server says so too.
  const isDecided = new Set([...chosen.companions, ...chosen.alternatives, ...chosen.never]);
  const computed = (found?.shown ?? []).filter(({ card }) => !isDecided.has(card.familyId));
  const notShown = new Map((found?.notShown ?? []).map(({ product, why }) => [product, why]));
  const inSight = shows - (byHand.length - notShown.size);
  return (
    <Section title={title} note={note}>
      <OrderedProducts
        label={`${title} chosen by hand, in order`}
        add={`Choose ${one === 'alternative' ? 'an' : 'a'} ${one}`}
        takeOut={(name) => `Take ${name} out of the ${title.toLowerCase()}`}
        ids={byHand}
        most={mostChosen}
        isChanged={isChanged}
        under={(id) => {
          const why = notShown.get(id);
          return (
            why && (
              <span className="block pl-[46px] text-[12.5px] text-on-changed">Not shown: {notShownInWords[why]}</span>
            )
          );
        }}
        change={(ids) => save({ [list]: ids, never: chosen.never.filter((id) => !ids.includes(id)) })}
      />
      {found && computed.length === 0 && byHand.length === 0 && (
        <div className="mt-2">
          <Nothing>{none}</Nothing>
        </div>
      )}
      {computed.length > 0 && (
        <ul aria-label={`${title} worked out`} className="mt-3 space-y-[5px]">
          {computed.map(({ card, why }, at) => (
            <li key={card.familyId}>
              {at === Math.max(0, inSight) && (
                <p className="mt-3 mb-1 text-[12.5px] text-soft">
                  {at === 0 ? 'Shoppers see none of these' : 'Shoppers see none of those below'}: the page shows {shows}
                  .
                </p>
              )}
              <div className={`${shelfRow(false)} flex flex-wrap items-center gap-x-1 py-1.5 pr-2 pl-3`}>
                <span className="min-w-0 flex-1">
                  <ProductLine id={card.familyId} card={card} isKnown />
                </span>
                {byHand.length < mostChosen && (
                  <Button
                    tone="quiet"
                    className="px-2 text-[13px]"
                    aria-label={`Choose ${card.title} by hand`}
                    onClick={() => save({ [list]: [...byHand, card.familyId] })}
                  >
                    <Check size={14} aria-hidden /> Keep
                  </Button>
                )}
                {chosen.never.length < mostNever && (
                  <Button
                    tone="quiet"
                    className="px-2 text-[13px]"
                    aria-label={`Never show ${card.title} here`}
                    onClick={() => save({ never: [...chosen.never, card.familyId] })}
                  >
                    <Ban size={14} aria-hidden /> Never
                  </Button>
                )}
                <span className="basis-full pl-[46px] text-[12.5px] text-soft">{whyInWords(why, called)}</span>
              </div>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
