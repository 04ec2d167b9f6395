import { type Density, type Letters, type LookColours, usualLook } from '../setup/terms/lookTerms.ts';

/** A whole look to begin with. */
export interface LookPreset {
  readonly id: string;
  readonly name: string;
  readonly colours: LookColours | null;
  readonly text: Letters;
  readonly headings: Letters;
  readonly corners: number;
  readonly density: Density;
}

const { colours, text, headings, corners, density } = usualLook;
export const presets: readonly LookPreset[] = [
  { id: 'workroom', name: 'Workroom', colours, text, headings, corners, density },
  {
    ...{ id: 'linen', name: 'Linen', colours: { ground: '#fbf6ec', text: '#33261a', accent: '#8a4b1f' } },
    ...{ text: 'serif', headings: 'newsreader', corners: 4, density: 'wide' },
  },
  {
    ...{ id: 'slate', name: 'Slate', colours: { ground: '#f4f6f8', text: '#17212b', accent: '#0f6275' } },
    ...{ text: 'hanken', headings: 'hanken', corners: 2, density: 'close' },
  },
  {
    ...{ id: 'signal', name: 'Signal', colours: { ground: '#ffffff', text: '#111111', accent: '#c2185b' } },
    ...{ text: 'hanken', headings: 'bricolage', corners: 14, density: 'usual' },
  },
  {
    ...{ id: 'moss', name: 'Moss', colours: { ground: '#f3f6ee', text: '#1f2a1c', accent: '#3d6b2c' } },
    ...{ text: 'hanken', headings: 'newsreader', corners: 10, density: 'usual' },
  },
  {
    ...{ id: 'night', name: 'Night', colours: { ground: '#16181d', text: '#eceae4', accent: '#e0b13a' } },
    ...{ text: 'sans', headings: 'bricolage', corners: 6, density: 'usual' },
  },
];
