import type { SearchAnswer } from '../../core/answer/answer.ts';
import { gapTexts } from '../look/gapTexts.ts';

/** For the desk: products that are pinned to places of this page and are not there, and what stands there instead. */
export function Gaps({ answer: { gaps = [], results, page, limit } }: { readonly answer: SearchAnswer }) {
  const here = gaps.filter(({ place }) => Math.ceil(place / limit) === page);
  if (here.length === 0) return null;
  return (
    <ul
      aria-label="Pinned, and not there"
      className="mt-2 space-y-0.5 rounded-md border border-soft/60 border-dashed px-3 py-1.5 text-[13px]"
    >
      {here.map(({ product, title, place, why, plan }) => {
        const instead = results.find((result) => result.place === place)?.title;
        return (
          <li key={`${plan.id}/${product}`}>
            Place {place}: <b className="font-semibold">{title}</b> {gapTexts[why]}
            {instead && <span className="text-soft"> {instead} stands there.</span>}
          </li>
        );
      })}
    </ul>
  );
}
