import type { LookColours } from '../setup/terms/lookTerms.ts';
import { contrastOf, mixed, readable, readableOf, readableOn } from './contrast.ts';

/** What parts of the shop are coloured with, by the names their styles have for it. */
export type Palette = Readonly<Record<PaletteName, string>>;
const names = [
  ...['paper', 'paper-deep', 'surface', 'ink', 'soft', 'line', 'edge'],
  ...['press', 'press-over', 'press-soft', 'on-press', 'art'],
] as const;
export type PaletteName = (typeof names)[number];

/**
 * All colours of the shop from three. Whatever the three are, text can be read on every ground it stands on (WCAG 2.2 AA):
 * a text or an accent that is too faint is taken towards black or white, no further than it must be.
 */
export function paletteOf({ ground, text, accent }: LookColours): Palette {
  const end = readableOn(ground);
  const away = end === '#000000' ? '#ffffff' : '#000000';
  /** A ground beside the first, on which black or white can still be read: of a middling one it goes the other way. */
  const beside = (to: string, share: number): string => {
    const near = mixed(ground, to, share);
    return contrastOf(end, near) >= readable ? near : mixed(ground, away, share);
  };
  const paper = beside(end, 0.04);
  const deep = beside(end, 0.08);
  const pressSoft = beside(accent, 0.1);
  const grounds = [ground, paper, deep, pressSoft];
  const ink = readableOf(text, grounds);
  const press = readableOf(accent, grounds);
  const over = mixed(press, end, 0.18);
  const worst = (colour: string): number => Math.min(contrastOf(colour, press), contrastOf(colour, over));
  const onPress = worst('#ffffff') >= worst('#000000') ? '#ffffff' : '#000000';
  return {
    surface: ground,
    paper,
    'paper-deep': deep,
    ink,
    soft: readableOf(mixed(ink, ground, 0.35), grounds),
    line: mixed(ground, ink, 0.16),
    // What is chosen stands on it, in the colour of the ground.
    edge: readableOf(mixed(ink, ground, 0.08), grounds),
    press,
    'press-over': over,
    'press-soft': pressSoft,
    'on-press': onPress,
    // Pictures are made for light grounds: dark things on them are seen on a dark page too.
    art: end === '#ffffff' ? mixed('#e6e3dc', ground, 0.06) : beside(end, 0.02),
  };
}

/** The same three colours for dark pages: the ground nearly black with a trace of the accent, text nearly white. */
export const darkOf = ({ accent }: LookColours): LookColours => ({
  ground: mixed('#17191d', accent, 0.06),
  text: '#ece9e2',
  accent: mixed(accent, '#ffffff', 0.35),
});
