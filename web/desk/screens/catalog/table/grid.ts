/** Width of the first column in pixels. */
export const titleWidth = 222;

/** The cell one is at: its row's place and its column, -1 for the title. */
export interface At {
  readonly row: number;
  readonly column: number;
}

export interface Leaf {
  readonly id: string;
  getSize(): number;
}
