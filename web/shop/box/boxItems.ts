import type { Result } from '../../../core/answer/answer.ts';
import type { BoxAnswer, BoxBlockAnswer } from '../../../core/suggest/boxAnswer.ts';

/** A line of the box that can be chosen. */
export type BoxItem =
  | { readonly what: 'search'; readonly key: string; readonly text: string; readonly isRecent: boolean }
  | {
      readonly what: 'within';
      readonly key: string;
      readonly filter: string;
      readonly value: string;
      readonly label: string;
      readonly of: string;
    }
  | {
      readonly what: 'product';
      readonly key: string;
      readonly card: Result;
    }
  | { readonly what: 'collection'; readonly key: string; readonly id: string; readonly title: string }
  | {
      readonly what: 'article';
      readonly key: string;
      readonly id: string;
      readonly title: string;
      readonly link: string;
    }
  | { readonly what: 'all'; readonly key: string; readonly total: number };

/** What of a line says which one was chosen, for the log. */
export function targetOf(item: BoxItem): string {
  switch (item.what) {
    case 'search':
      return item.text;
    case 'within':
      return `${item.filter}=${item.value}`;
    case 'product':
      return item.card.familyId;
    case 'collection':
    case 'article':
      return item.id;
    case 'all':
      return '';
  }
}

const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');
/** Whether a text is the beginning of a part number, however that is written; two letters may begin anything. */
export const isBegunNumber = (typed: string, sku: string): boolean =>
  bare(typed).length > 2 && bare(sku).startsWith(bare(typed));

/** A block as it is shown: its lines, or a text. */
export interface ShownBlock {
  readonly kind: BoxBlockAnswer['kind'];
  readonly title: string;
  readonly column: number;
  readonly items: readonly BoxItem[];
  readonly text: string;
  /** Lines side by side. */
  readonly inRow: number;
}

function itemsOf(block: BoxBlockAnswer, recent: readonly string[]): BoxItem[] {
  switch (block.kind) {
    case 'recent':
      return recent
        .slice(0, block.most)
        .map((text) => ({ what: 'search', key: `recent ${text}`, text, isRecent: true }));
    case 'suggestions':
    case 'popular':
      return block.items.map(({ text }) => ({ what: 'search', key: `${block.kind} ${text}`, text, isRecent: false }));
    case 'lookIn':
      return block.items.map((within) => ({ what: 'within', key: `${within.filter} ${within.value}`, ...within }));
    case 'products':
      return block.items.map((card) => ({ what: 'product', key: `product ${card.id}`, card }));
    case 'collections':
      return block.items.map(({ id, title }) => ({ what: 'collection', key: `collection ${id}`, id, title }));
    case 'articles':
      return block.items.map(({ id, title, link }) => ({ what: 'article', key: `article ${id}`, id, title, link }));
    case 'message':
      return [];
  }
}

/** What hangs under the box: the blocks that have something, column by column, and behind them the way to all results. */
export function shownBlocks(
  answer: BoxAnswer,
  recent: readonly string[],
): { readonly columns: readonly (readonly ShownBlock[])[]; readonly all: BoxItem | null } {
  const blocks = answer.blocks
    .map(
      (block): ShownBlock => ({
        ...{ kind: block.kind, title: block.title, column: block.column, items: itemsOf(block, recent) },
        text: block.kind === 'message' ? block.text : '',
        inRow: block.kind === 'products' ? block.inRow : 1,
      }),
    )
    .filter(({ items, text }) => items.length > 0 || text !== '');
  const numbers = [...new Set(blocks.map(({ column }) => column))].sort((a, b) => a - b);
  return {
    columns: numbers.map((number) => blocks.filter(({ column }) => column === number)),
    all: answer.allResults && answer.total > 0 ? { what: 'all', key: 'all', total: answer.total } : null,
  };
}
