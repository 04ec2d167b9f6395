/** Letters a shop may be written in: the page's own where it stands in one, ours elsewhere; those that come with the shop; and what every machine has. */
export const letterKinds = ['page', 'newsreader', 'hanken', 'bricolage', 'serif', 'sans'] as const;
export type Letters = (typeof letterKinds)[number];
export const letterNames: Readonly<Record<Letters, string>> = {
  page: 'the letters of the page around',
  newsreader: 'Newsreader, bookish',
  hanken: 'Hanken Grotesk, plain',
  bricolage: 'Bricolage Grotesque, lively',
  serif: 'a serif that every machine has',
  sans: 'a sans serif that every machine has',
};

export const densities = ['close', 'usual', 'wide'] as const;
export type Density = (typeof densities)[number];
export const densityNames: Readonly<Record<Density, string>> = {
  close: 'close together',
  usual: 'as usual',
  wide: 'with much room',
};

/** How round corners are, in CSS pixels. */
export const cornerLimits = { least: 0, most: 24 } as const;

/** What everything is coloured from, each #rrggbb. */
export interface LookColours {
  readonly ground: string;
  readonly text: string;
  /** Links and buttons. */
  readonly accent: string;
}

/** How a shop looks until somebody decides: in the colours that come with it. */
export const usualLook = {
  colours: null,
  hasDark: true,
  text: 'page',
  headings: 'page',
  corners: 8,
  density: 'usual',
} as const;

/** Characters of the style of another page that are looked at for its colours. */
export const mostPageStyle = 500_000;
