/** An attribute by which the variants of a product differ, with the value of each variant, in their order; empty for none. */
export interface DifferingAttribute {
  readonly key: string;
  readonly label: string;
  readonly values: readonly string[];
}

/** Attributes a shopper chooses a variant by, at most, and values of one. */
const mostOptions = 3;
const mostValues = 40;

/** Whether no two variants have the same values in some attributes. */
const tellsApart = (attributes: readonly DifferingAttribute[], variants: number): boolean =>
  new Set(Array.from({ length: variants }, (_, at) => JSON.stringify(attributes.map(({ values }) => values[at]))))
    .size === variants;

/**
 * The attributes by which a shopper chooses one of a product's variants: as few as tell them apart, the earlier ones first,
 * each of which every variant has. None where they cannot be told apart by so few: then they are chosen from a list.
 */
export function variantOptions(attributes: readonly DifferingAttribute[], variants: number): DifferingAttribute[] {
  const whole = attributes.filter(
    ({ values }) => values.every((value) => value !== '') && new Set(values).size <= mostValues,
  );
  if (variants < 2 || !tellsApart(whole, variants)) return [];
  const needed = [...whole];
  for (const attribute of whole.toReversed()) {
    const without = needed.filter((each) => each !== attribute);
    if (tellsApart(without, variants)) needed.splice(needed.indexOf(attribute), 1);
  }
  return needed.length <= mostOptions ? needed : [];
}

/** A variant as it is chosen: the values of its options, in their order. */
interface Chosen {
  readonly id: string;
  readonly available: boolean;
  readonly chosen: readonly string[];
}

/**
 * The variant that choosing a value of one option leads to: of those that have it, the one most like the variant chosen
 * before, in stock before sold out, and the first of these.
 */
export function variantFor<Variant extends Chosen>(
  variants: readonly Variant[],
  before: Variant,
  option: number,
  value: string,
): Variant {
  const alike = ({ chosen }: Variant): number => chosen.filter((each, at) => each === before.chosen[at]).length;
  const having = variants.filter(({ chosen }) => chosen[option] === value);
  return having.reduce<Variant>(
    (best, each) =>
      alike(each) > alike(best) || (alike(each) === alike(best) && each.available && !best.available) ? each : best,
    having[0] ?? before,
  );
}
