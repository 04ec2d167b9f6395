import type { AttributeRow } from '../../../../../api/endpoints.ts';
import { levelMark } from '../../../../../core/catalog/levels.ts';

/** Width of the first column in pixels. */
export const titleWidth = 222;

/** The cell one is at: its row's place and its column, -1 for the title. */
export interface At {
  readonly row: number;
  readonly column: number;
}

/** A column beside the title. */
export interface Column {
  /** The attribute's key. */
  readonly id: string;
  readonly label: string;
  /** In pixels. */
  readonly width: number;
  /** Whether its values are paths of levels, whose last says most. */
  readonly isPath: boolean;
}

const widthOf = ({ kind }: AttributeRow): number =>
  kind === 'number' || kind === 'price' ? 100 : kind === 'path' ? 124 : 114;

/** The columns of some attributes, in their order; one the catalog does not have is left out. */
export const columnsOf = (keys: readonly string[], attributes: readonly AttributeRow[]): Column[] =>
  keys.flatMap((key) => {
    const attribute = attributes.find((row) => row.key === key);
    return attribute
      ? [{ id: key, label: attribute.label, width: widthOf(attribute), isPath: attribute.kind === 'path' }]
      : [];
  });

/** What a cell shows of a value: of one path its last level, since a column is too narrow for all of them. */
export const shownIn = ({ isPath }: Column, shown: string, different: number): string =>
  isPath && different === 1 ? (shown.split(levelMark).at(-1) ?? shown) : shown;

/** Where a column begins, from the left edge of the table. */
export const leftOf = (columns: readonly Column[], at: number): number =>
  titleWidth + columns.slice(0, Math.max(0, at)).reduce((sum, { width }) => sum + width, 0);
