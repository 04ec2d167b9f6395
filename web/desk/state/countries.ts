const labels = new Intl.DisplayNames('en-GB', { type: 'region' });

/** Countries a storefront may say it sells in: those whose columns are recognised, by name. */
const codes = [
  'AT',
  'AU',
  'BE',
  'BR',
  'CA',
  'CH',
  'CZ',
  'DE',
  'DK',
  'ES',
  'FI',
  'FR',
  'GB',
  'IE',
  'IN',
  'IT',
  'JP',
  'NL',
  'NO',
  'NZ',
  'PL',
  'PT',
  'SE',
  'US',
] as const;

export const countryOptions: readonly (readonly [string, string])[] = [
  ['', 'Not said'],
  ...codes
    .map((code): readonly [string, string] => [code, labels.of(code) ?? code])
    .sort(([, one], [, other]) => one.localeCompare(other)),
];
