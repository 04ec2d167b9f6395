/** A search shoppers make, and how often. */
export interface WeighedSearch {
  readonly search: string;
  readonly searches: number;
}
