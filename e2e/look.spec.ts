import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';
import { standIn, standInServed } from './standIn.ts';

test.beforeAll(({ request }) => standInServed(request));

test('a whole look, a colour that is too faint and corners are seen in the window, undone, and published into pages of another origin', async ({
  page,
  context,
}) => {
  const desk = deskOn(page);
  await desk.open('/results-page/look');
  const ground = () =>
    desk.shop.locator('html').evaluate((root) => getComputedStyle(root).getPropertyValue('--surface').trim());
  const before = await ground();
  await page.getByRole('button', { name: 'Linen' }).click();
  await expect.poll(ground).toBe('#fbf6ec');
  const title = desk.shop.locator('[data-product] h2').first();
  await expect.poll(() => title.evaluate((text) => getComputedStyle(text).fontFamily)).toContain('Newsreader');
  const accent = page.getByLabel('Links and buttons, as #rrggbb');
  await accent.fill('fc0');
  await accent.press('Enter');
  await expect(page.getByText(/below 4.5: shoppers get #[0-9a-f]{6} instead/)).toBeVisible();
  await accent.fill('no colour');
  await accent.press('Enter');
  await expect(page.getByText(/below 4.5/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText(/below 4.5/)).toBeHidden();

  const shop = await context.newPage();
  const boxOf = () => shop.getByRole('combobox', { name: 'Search the shop' });
  const groundThere = () => boxOf().evaluate((box) => getComputedStyle(box).getPropertyValue('--surface').trim());
  await shop.goto(standIn);
  await expect(boxOf()).toHaveAttribute('placeholder', /.+/);
  expect(await groundThere()).toBe(before);
  const { revision } = (await (await page.request.get('/desk/state')).json()) as { revision: number };
  await page.request.post('/desk/publish', { data: { revision, note: '' } });
  await shop.reload();
  await expect.poll(groundThere).toBe('#fbf6ec');
});

test('axe finds nothing serious in the shop, whichever look it begins with, light or dark', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000);
  const desk = deskOn(page);
  await desk.open('/results-page/look');
  const names = await page.getByRole('region', { name: 'Begin with' }).getByRole('button').allInnerTexts();
  expect(names.length).toBeGreaterThan(4);
  const problems: string[] = [];
  const shop = await context.newPage();
  for (const name of names) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'true');
    const { revision } = (await (await page.request.get('/desk/state')).json()) as { revision: number };
    await page.request.post('/desk/publish', { data: { revision, note: name } });
    for (const colorScheme of ['light', 'dark'] as const) {
      await shop.emulateMedia({ colorScheme });
      await shop.goto('/shop?q=gouache');
      await expect(shop.locator('[data-product]').first()).toBeVisible();
      const { violations } = await new AxeBuilder({ page: shop }).setLegacyMode().analyze();
      for (const { id, impact, nodes } of violations)
        if (impact === 'serious' || impact === 'critical')
          problems.push(`${name}, ${colorScheme}: ${id}: ${nodes[0]!.html.slice(0, 160)}`);
    }
  }
  expect(problems).toEqual([]);
});
