import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type { AxeResults, RunOptions } from 'axe-core';

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What is looked at where only colours are others: in the dark, and in another look. */
export const colourRules = ['color-contrast', 'link-in-text-block'] as const;

export interface AxeOptions {
  /** Only within this, and not within that; the whole page, where nothing is said. */
  readonly within?: string;
  readonly without?: string;
  readonly only?: readonly string[];
  readonly rules?: RunOptions['rules'];
}

/**
 * What axe finds serious on a page and in its frames, each by its rule and where. Only what is wrong is put together: to
 * tell of all that is right as well takes twice as long.
 */
export async function seriousProblems(
  page: Page,
  { within, without, only, rules }: AxeOptions = {},
): Promise<string[]> {
  for (const frame of page.frames()) {
    // Of a screen before this one, the window may be on its way out.
    const isHere = await frame.evaluate('"axe" in window').catch(() => true);
    if (!isHere) await frame.evaluate(source);
  }
  const where = { include: [within ?? 'html'], exclude: without ? [without] : [] };
  const how: RunOptions = {
    resultTypes: ['violations'],
    ...(only && { runOnly: [...only] }),
    ...(rules && { rules }),
  };
  const { violations } = await page.evaluate(
    ([context, options]): Promise<AxeResults> =>
      (window as unknown as { axe: typeof import('axe-core') }).axe.run(context, options),
    [where, how] as const,
  );
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, impact, nodes }) => `${id} (${impact}): ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}
