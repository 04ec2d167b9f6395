import { okLab } from '../colour/okLab.ts';
import type { LookColours } from '../setup/terms/lookTerms.ts';
import { contrastOf } from './contrast.ts';

/** Shares of a picture below which a colour is a speck, and how coloured one must be to be an accent (OKLab, 0 to about 0.3). */
const leastShare = 0.003;
const leastChroma = 0.05;

interface Seen {
  readonly colour: string;
  readonly share: number;
}

/** The colours of a picture that are more than specks, the most frequent first: pixels alike in the first four bits of each part are one. */
function coloursSeen(pixels: Uint8ClampedArray): Seen[] {
  const counts = new Uint32Array(4096);
  const sums = [new Float64Array(4096), new Float64Array(4096), new Float64Array(4096)] as const;
  let seen = 0;
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    if (pixels[at + 3]! < 128) continue;
    const bucket = ((pixels[at]! >> 4) << 8) | ((pixels[at + 1]! >> 4) << 4) | (pixels[at + 2]! >> 4);
    counts[bucket]!++;
    for (const [part, sum] of sums.entries()) sum[bucket]! += pixels[at + part]!;
    seen++;
  }
  return Array.from(counts, (count, bucket) => ({ count, bucket }))
    .filter(({ count }) => count > 0 && count / seen >= leastShare)
    .sort((a, b) => b.count - a.count || a.bucket - b.bucket)
    .map(({ count, bucket }) => ({
      share: count / seen,
      colour: `#${sums
        .map((sum) =>
          Math.round(sum[bucket]! / count)
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`,
    }));
}

/** The one that a measure values most; the earlier of equal ones. */
const best = (of: readonly Seen[], worth: (seen: Seen) => number): Seen | undefined =>
  of.reduce<{ seen: Seen; worth: number } | null>((before, seen) => {
    const own = worth(seen);
    return own > 0 && (before === null || own > before.worth) ? { seen, worth: own } : before;
  }, null)?.seen;

/**
 * A shop's three colours as a picture has them: the ground is what there is most of, the text what stands out from it most,
 * links and buttons the most coloured one, each the sooner the more of it there is. `pixels` are red, green, blue and alpha,
 * 0 to 255 each. Null where nothing can be seen. Pure; cost: a pass over the pixels.
 */
export function coloursInPicture(pixels: Uint8ClampedArray): LookColours | null {
  const seen = coloursSeen(pixels);
  const [first, ...others] = seen;
  if (!first) return null;
  const ground = first.colour;
  const text =
    best(others, ({ colour, share }) => (contrastOf(colour, ground) - 1) * share ** 0.15)?.colour ?? '#1e2530';
  const accent = best(others, ({ colour, share }) => {
    const [, greenRed, blueYellow] = okLab(colour)!;
    const chroma = Math.hypot(greenRed, blueYellow);
    return chroma < leastChroma ? 0 : chroma * share ** 0.25;
  });
  return { ground, text, accent: accent?.colour ?? text };
}
