import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { deskOn } from './desk.ts';

const demo = join(dirname(fileURLToPath(import.meta.url)), '..', 'demo', 'store', 'catalog.csv');

test('a catalog is brought in with its bad rows told by line and reason, and the demo store again', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/catalog');
  const rows = [
    'id,title,price,tags',
    'a1,"<script>alert(1)</script> easel",12.50,studio|sale',
    ',nameless,3,',
    'a2,,3,',
    'a3,Dear brush,cheap,',
    'a1,Twice,4,',
    'a4,Too many,1,2,3',
    'a5,"He said ""hello"" & left",2,new',
  ];
  await page
    .getByLabel('Catalog file')
    .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
  await expect(page.getByText('mine.csv: Done')).toBeVisible();
  const refused = page.getByRole('region', { name: 'Refused rows' });
  await expect(refused).toContainText('line 3');
  await expect(refused).toContainText('The row has no title.');
  await expect(refused).toContainText('“cheap” is not a number'.replace('“', '"').replace('”', '"'));
  await expect(refused).toContainText('stands in an earlier row already');
  await expect(refused).toContainText('The row has 5 cells');
  await desk.trial('easel');
  expect(await desk.titles()).toEqual(['<script>alert(1)</script> easel']);

  await page
    .getByLabel('Catalog file')
    .setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('name,colour\nx,red\n') });
  await expect(page.getByText(/there is no column “id”/)).toBeVisible();
  expect(await desk.titles()).toEqual(['<script>alert(1)</script> easel']);

  await page
    .getByLabel('Catalog file')
    .setInputFiles({ name: 'catalog.csv', mimeType: 'text/csv', buffer: readFileSync(demo) });
  await expect(page.getByText('catalog.csv: Done')).toBeVisible();
  await expect.poll(async () => (await desk.titles()).length).toBeGreaterThan(10);
});
