/** What a storefront's own texts and amounts are in. What is not said is guessed from the file, as for a shop that is alone. */
export interface ShopTerms {
  /** Its languages (ISO 639-1), the catalog's own first. */
  readonly languages?: readonly string[];
  /** ISO 4217. */
  readonly currency?: string;
  /** Where it sells, ISO 3166-1 in two letters. */
  readonly country?: string;
}
