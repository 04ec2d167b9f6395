import type { BoxBlock } from '../../../../core/setup/parts/searchBox.ts';
import { type BoxMoment, blockShows, usualBlocks } from '../../../../core/setup/terms/boxTerms.ts';

/** A moment's blocks with those that came since it was arranged: these stand last and are off. */
export function blocksOf(blocks: readonly BoxBlock[], moment: BoxMoment): readonly BoxBlock[] {
  const missing = usualBlocks[moment].filter(
    ({ kind }) => kind in blockShows[moment] && !blocks.some((block) => block.kind === kind),
  );
  return [...blocks, ...missing.map((block) => ({ ...(block as BoxBlock), on: false }))];
}

/** The blocks with one of them changed. */
export const withBlock = (blocks: readonly BoxBlock[], kind: BoxBlock['kind'], change: Partial<BoxBlock>): BoxBlock[] =>
  blocks.map((block) => (block.kind === kind ? { ...block, ...change } : block));

/** The blocks with one of a column moved within it, by places counted from 0; those of other columns stay where they are. */
export function withOrder(blocks: readonly BoxBlock[], column: number, from: number, to: number): BoxBlock[] {
  const here = blocks.filter((block) => block.column === column);
  const [moved] = here.splice(from, 1);
  if (moved) here.splice(to, 0, moved);
  return blocks.map((block) => (block.column === column ? here.shift()! : block));
}
