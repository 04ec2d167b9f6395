/** How a plan's searches hold for what a shopper types, the most exact first. */
export const planHows = ['exactly', 'meaning', 'beginning', 'containing'] as const;
export type PlanHow = (typeof planHows)[number];

/** What holds of a plan where its setting does not say. */
export const usualHow: PlanHow = 'exactly';

/** How it is said before the searches: “for searches containing …”. */
export const planHowTexts: Readonly<Record<PlanHow, string>> = {
  exactly: 'for',
  meaning: 'for searches that mean',
  beginning: 'for searches beginning with',
  containing: 'for searches containing',
};
