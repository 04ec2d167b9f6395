import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

test('a house rule: a brand a little up, seen as it is made, named by why-here and by the product, switched off', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/house-rules');
  await desk.trial('round brush');
  const brands = desk.shop.locator('[data-product]');
  const before = await desk.titles();
  await page.getByRole('button', { name: 'New house rule' }).click();
  await page.getByLabel('What is asked about').selectOption('Brand');
  await page.getByRole('button', { name: 'Choose a value' }).click();
  await page.getByPlaceholder('Type a value').fill('Saltmarsh');
  await page.getByRole('option', { name: /^Saltmarsh/ }).click();
  await expect(page.getByText(/^\d+ products of [\d,]+ meet this now/)).toBeVisible();
  await expect(page.getByText(/^It moves \d+ products up.* of the 50 searches/)).toBeVisible();
  // The window has it before anything is confirmed.
  await expect(brands.first()).toContainText('Saltmarsh');
  await page.getByLabel('Strength of the rule', { exact: true }).press('End');
  await expect(page.getByText('strongly up')).toBeVisible();
  // The strength as an aim: the least that brings two of the brand's among the first four.
  await page.getByLabel('How many of the rule’s products are wanted there').fill('2');
  await page.getByLabel('Places among which they are wanted: the rule’s products').fill('4');
  await page.getByLabel('Places among which they are wanted: the rule’s products').press('Enter');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/^×[\d.]+ brings 2 of these products among the first [2-4] for/)).toBeVisible();
  await expect
    .poll(async () => (await brands.allTextContents()).slice(0, 4).filter((brand) => /saltmarsh/i.test(brand)).length)
    .toBe(2);
  await page.getByLabel('Strength of the rule', { exact: true }).press('End');
  await page.getByLabel('Name of the rule').fill('Saltmarsh first');
  await page.getByLabel('Name of the rule').press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('link', { name: /Saltmarsh first/ })).toContainText('Boosts (strength ×10)');
  const [title] = await desk.titles();

  await desk.choose(1, 'Why here?');
  const why = page.getByRole('dialog');
  await expect(why).toContainText('House rule “Saltmarsh first” raises it');
  await page.keyboard.press('Escape');
  await desk.choose(1, 'Neither boost nor lower');
  await expect(page.getByText('That is done by the house rule “Saltmarsh first”')).toBeVisible();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByRole('heading', { name: 'House rule Saltmarsh first' })).toBeAttached();

  await page.getByRole('link', { name: 'All house rules' }).click();
  await page.getByRole('switch', { name: 'Saltmarsh first is in force' }).click();
  await expect.poll(async () => (await desk.titles()).join()).toBe(before.join());
  expect(before[0]).not.toBe(title);
});

test('two products tagged, and hidden from results and collections until a date', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/catalog/products');
  await desk.trial('vermilion');
  const before = await desk.total();
  await page.getByLabel('Search the catalog').fill('vermilion');
  const rows = page.getByRole('grid', { name: 'Catalog' }).getByRole('row');
  await expect(rows.nth(1)).toContainText('Vermilion');
  for (const row of [1, 2]) await rows.nth(row).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Add a tag' }).click();
  await page.getByPlaceholder('A tag, known or new').fill('recalled');
  await page.getByText('A new tag: “recalled”').click();
  await expect(page.getByText('Tagged “recalled”: 2 products')).toBeVisible();

  await page.getByRole('link', { name: 'Hiding' }).click();
  for (const place of ['the search box', 'the empty shelf', 'companions'])
    await page.getByLabel(place, { exact: true }).uncheck();
  await page.getByLabel('Last day of what is hidden next', { exact: true }).fill('2099-12-31');
  await page.getByRole('button', { name: 'Hide a tag' }).click();
  await page.getByPlaceholder('Type a tag').fill('recalled');
  await page.getByRole('option', { name: /^recalled/ }).click();
  const list = page.getByRole('list', { name: 'What is hidden' });
  await expect(list).toContainText('2 products');
  await expect(list).toContainText('from search results and collection pages until 2099-12-31');
  await expect.poll(() => desk.total()).toBe(before - 2);
  const box = await page.request.get('/desk/search?q=vermilion&box=1');
  expect(((await box.json()) as { total: number }).total).toBe(before);

  // Its time is over: they are back without anybody taking it off.
  await list.getByRole('button', { name: /^Change from where and when products tagged recalled/ }).click();
  await page.getByLabel('Last day of products tagged recalled', { exact: true }).fill('2020-12-31');
  await expect(list.getByText('Its time is over.')).toBeVisible();
  await expect.poll(() => desk.total()).toBe(before);
});

test('a list of ids is hidden in one step, and from the window with places and a date', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/hiding');
  await desk.trial('easel');
  const before = await desk.total();
  const { results } = (await (await page.request.get('/desk/search?q=easel&limit=5')).json()) as {
    results: { familyId: string; title: string }[];
  };
  await page.getByRole('button', { name: 'Hide a list' }).click();
  const ids = results.slice(0, 3).map(({ familyId }) => familyId);
  await page.getByLabel('Ids of the products').fill(`${ids.join(', ')}\nno-such-product`);
  await expect(page.getByText('4 ids')).toBeVisible();
  await page.getByRole('button', { name: 'Hide them' }).click();
  await expect(page.getByText('Hidden: 3 products')).toBeVisible();
  await expect.poll(() => desk.total()).toBe(before - 3);
  expect(await desk.unpublished()).toBe(3);

  const [title] = await desk.titles();
  await desk.choose(1, /^Hide from some places/);
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('search results').uncheck();
  await dialog.getByLabel('Only while it is sold out').check();
  await dialog.getByLabel('Why it is there').fill('Waiting for the new label');
  await dialog.getByRole('button', { name: 'Hide', exact: true }).click();
  const list = page.getByRole('list', { name: 'What is hidden' });
  await expect(
    list.getByText('from the search box, collection pages, the empty shelf and companions while it is sold out'),
  ).toBeVisible();
  await expect(list.getByText('Waiting for the new label')).toBeVisible();
  expect((await desk.titles())[0]).toBe(title);
});

test('what is over or contradicts itself is listed with its mend, and switched off together or kept for another year', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/review');
  const over = page.getByRole('list', { name: 'Over' });
  await expect(over).toContainText('House rule “Students’ weeks”');
  await expect(over).toContainText('Ask Ines. For the start of term; again next year.');
  await page.request.post('/desk/edits', {
    data: {
      revision: ((await (await page.request.get('/desk/state')).json()) as { revision: number }).revision,
      edits: [
        {
          ...{ part: 'plans', key: 'sets-again' },
          value: {
            name: 'Sets again',
            on: true,
            searches: ['gift set'],
            pins: [{ product: 'p1460', place: 4 }],
            pulls: [],
          },
        },
      ],
    },
  });
  const contradictions = page.getByRole('list', { name: 'Contradictions' });
  await expect(contradictions).toContainText('pins another product at place 4 for “gift set”');
  await contradictions.getByRole('checkbox', { name: 'Choose Shelf plan “Sets again”' }).check();
  await page.getByRole('button', { name: 'Switch off' }).click();
  await expect(contradictions).toBeHidden();

  await over.getByRole('checkbox', { name: 'Choose House rule “Students’ weeks”' }).check();
  await page.getByRole('button', { name: 'Keep for another year' }).click();
  await expect(page.getByText('Kept for another year: 1 rule')).toBeVisible();
  await page.getByRole('link', { name: 'House rules' }).click();
  await page.getByRole('link', { name: /Students’ weeks/ }).click();
  await expect(page.getByLabel('First day of the rule', { exact: true })).toHaveValue('2027-09-01');
});

test('a house rule for what is in a collection counts it, says so, and does it', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/house-rules');
  await desk.trial('sketchbook');
  await page.getByRole('button', { name: 'New house rule' }).click();
  await page.getByLabel('What is asked about').selectOption('Collection');
  await page.getByRole('button', { name: 'Choose a collection' }).click();
  await page.getByPlaceholder('Type a part of the title').fill('Gifts under');
  await page.getByRole('option', { name: 'Gifts under £10' }).click();
  await expect(page.getByText(/^\d+ products of [\d,]+ meet this now/)).toBeVisible();
  await page.getByLabel('How it is compared').selectOption('is not in');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('link', { name: /Gifts under £10/ })).toContainText('it is not in “Gifts under £10”');
});

test('of plans that hold just as exactly the higher one pins; moved higher from the keyboard', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  const names = () => page.getByRole('list', { name: 'Shelf plans' }).getByRole('link').allInnerTexts();
  const [first, second] = await names();
  await page
    .getByRole('button', { name: /^Move / })
    .nth(1)
    .focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) await page.keyboard.press(key);
  await expect.poll(names).toEqual([second, first, ...(await names()).slice(2)]);
  await desk.undoAll();
  await expect.poll(async () => (await names())[0]).toBe(first);
});
