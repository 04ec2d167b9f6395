import { unitNamed } from '../text/quantity.ts';

/** Units by their codes of UN/CEFACT Recommendation 20, as catalogs in open formats write them. */
const codes = new Map(
  (
    'MMT mm, CMT cm, DMT dm, MTR m, KMT km, INH in, FOT ft, YRD yd, MGM mg, GRM g, KGM kg, TNE t, ONZ oz, LBR lb, GM gsm, ' +
    'MLT ml, CLT cl, DLT dl, LTR l, PTI pt, OZA fl oz, OZI fl oz, GLL gal, GLI gal, MTK m², CMK cm², MTQ m³, CMQ cm³, WTT W, KWT kW, ' +
    'MAW MW, VLT V, 2Z mV, KVT kV, AMP A, 4K mA, AMH Ah, E09 mAh, WHR Wh, KWH kWh, HTZ Hz, KHZ kHz, MHZ MHz, A86 GHz, ' +
    'OHM Ω, B49 kΩ, B75 MΩ, FAR F, 4O µF, C41 nF, 4T pF, AD B, 2P kB, 4L MB, E34 GB, E35 TB, SEC s, C26 ms, MIN min, HUR h, DAY days, ' +
    'WEE weeks, MON months, ANN years, CEL °C, FAH °F, KEL K, BAR bar, PAL Pa, KPA kPa, PSI psi, NEW N, NU Nm, LUM lm, CDL cd, LUX lx, ' +
    '2N dB, P1 %, DD °, KMH km/h, RPM rpm, PR pairs, SET sets'
  )
    .split(', ')
    .map((each): [string, string] => [each.slice(0, each.indexOf(' ')), each.slice(each.indexOf(' ') + 1)]),
);
/** Codes of single things: a number of them has no unit. */
const countedSingly = new Set(['C62', 'H87', 'EA', 'NMP', 'XPK']);

const textOf = (value: unknown): string =>
  typeof value === 'string' ? value.trim() : typeof value === 'number' && Number.isFinite(value) ? String(value) : '';

/** The unit a quantity is in: what it says itself, or what its code stands for; a code nobody knows is said as it is. */
function unitOf({ unitText, unitCode }: Readonly<Record<string, unknown>>): string {
  const said = textOf(unitText);
  const code = textOf(unitCode);
  const known = codes.get(code.toUpperCase());
  if (known !== undefined) return known;
  if (said !== '') return said;
  if (countedSingly.has(code.toUpperCase())) return '';
  // Some write the unit itself where a code belongs.
  return unitNamed(code) ? code : '';
}

/**
 * An amount that is kept as an object (`value`, or `minValue` and `maxValue`, with `unitCode` or `unitText`), as one text:
 * `300 gsm`, `10-20 mm`. Null where the object is no such amount.
 */
export function quantityText(thing: Readonly<Record<string, unknown>>): string | null {
  if (!('unitCode' in thing || 'unitText' in thing)) return null;
  const span = [textOf(thing.minValue), textOf(thing.maxValue)].filter(Boolean);
  const amount = textOf(thing.value) || span.join('-');
  return amount === '' ? null : `${amount} ${unitOf(thing)}`.trim();
}
