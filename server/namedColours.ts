import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { type ColourWords, type NamedColour, openColourWords } from '../core/colour/colourWords.ts';

const require = createRequire(import.meta.url);

let named: readonly NamedColour[] | null = null;
/** A published list of some 30,000 names people give colours; English ones. Read when first asked for. */
export function namedColours(): readonly NamedColour[] {
  const file = join(dirname(require.resolve('color-name-list')), 'colornames.min.json');
  named ??= Object.entries(JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>).map(([hex, name]) => ({
    name,
    hex: `#${hex}`,
  }));
  return named;
}

/** The eleven colour words every speaker has, with the other spelling of grey and two that shops use as often. */
const plainWords = 'black white red green yellow blue brown purple pink orange grey gray violet turquoise'.split(' ');

let basic: ColourWords | null = null;
/** Colours placed among plain words: what filters of colours are grouped by. */
export function basicColours(): ColourWords {
  basic ??= openColourWords(namedColours(), plainWords);
  return basic;
}
