import { createContext, useContext } from 'react';

/** Whether every decimal of points is shown; else one, as it is read. */
export const EveryDecimal = createContext(false);

/** Points, kept in thousandths, as they are shown: the lines add up exactly only with every decimal. */
export const pointsText = (thousandths: number, everyDecimal: boolean): string =>
  (thousandths / 1000).toFixed(everyDecimal ? 3 : 1);

export function usePoints(): (thousandths: number) => string {
  const everyDecimal = useContext(EveryDecimal);
  return (thousandths) => pointsText(thousandths, everyDecimal);
}
