import type { AttributeProfile } from './profileAttributes.ts';
import { isIndexedAsText } from './profileAttributes.ts';
import { standardColumn } from './standardColumns.ts';

/** Something about an attribute that is worth a look, in a sentence, and where it can be mended. */
export interface Advice {
  readonly code: 'no-unit' | 'gaps' | 'drowns' | 'not-shown' | 'codes';
  readonly text: string;
  readonly where: 'reading' | 'products' | 'here';
}

export interface AdvisedSetting {
  readonly searchable: boolean;
  readonly weight: number;
  readonly onCard: boolean;
}

const code = /^(?=\S*\d)[\p{L}\p{N}][\p{L}\p{N}._/-]{3,}$/u;
const link = /^https?:\/\/|^www\./;

/** Attributes shoppers see or know of even where the card does not name them. */
const known = new Set(['title', 'sku', 'brand', 'category', 'tags', 'description', 'contains', 'parts']);

/** What is worth a look about one attribute. `heaviest` is the heaviest weight of any attribute that is searched. */
export function adviseAttribute(profile: AttributeProfile, setting: AdvisedSetting, heaviest: number): Advice[] {
  const { key, kind, coverage, samples, averageWords, values } = profile;
  const advice: Advice[] = [];
  const isOwn = !standardColumn.has(key) && key !== 'availability';
  if (isOwn && kind === 'number' && coverage > 0)
    advice.push({
      code: 'no-unit',
      text: `Bare numbers, such as ${samples[0] ?? '60'}. Say what they are of, and a search for “${samples[0] ?? '60'} gsm” finds them.`,
      where: 'reading',
    });
  if (!setting.searchable || !isIndexedAsText(profile)) return advice;
  if (coverage < 0.5 && coverage > 0)
    advice.push({
      code: 'gaps',
      text: `Missing in ${Math.round((1 - coverage) * 100)}% of the records: those are not found by it.`,
      where: 'products',
    });
  if (averageWords > 20 && setting.weight >= heaviest / 2 && heaviest > 0)
    advice.push({
      code: 'drowns',
      text: 'Long texts mention many things in passing. At this weight they drown short attributes; a tenth of the heaviest is usual.',
      where: 'here',
    });
  const looksLikeCodes =
    isOwn && samples.length >= 3 && values > 50 && samples.every((sample) => code.test(sample) || link.test(sample));
  if (looksLikeCodes)
    advice.push({
      code: 'codes',
      text: 'Its values look like codes or links, which shoppers do not type.',
      where: 'here',
    });
  else if (isOwn && !known.has(key) && !setting.onCard && setting.weight >= heaviest / 2)
    advice.push({
      code: 'not-shown',
      text: 'It counts much and is never shown: shoppers cannot see why they found a product by it.',
      where: 'here',
    });
  return advice;
}
