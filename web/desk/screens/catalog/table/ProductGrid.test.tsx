/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import type { AttributeRow } from '../../../../../api/endpoints.ts';
import type { ListedProduct } from '../../../../../api/productEndpoints.ts';
import { answerWith, furnish, show } from '../../../../testing/dom.tsx';
import { useProductTable } from '../../../state/productTable.ts';
import { columnsOf, leftOf, shownIn, titleWidth } from './grid.ts';
import { ProductGrid } from './ProductGrid.tsx';

const attribute = (key: string, kind: AttributeRow['kind'], canDecide = true) =>
  ({ key, label: key.toUpperCase(), kind, canDecide }) as AttributeRow;
const attributes = [attribute('brand', 'text'), attribute('price', 'price'), attribute('stock', 'number', false)];
const columns = attributes.map(({ key }) => key);

const row = (at: number): ListedProduct => ({
  ...{ id: `p${at}`, product: `p${at}`, variant: null, title: `Brush ${at}`, picture: null, variants: 1 },
  ...{ isSoldOut: false, isHidden: false },
  cells: Object.fromEntries(
    columns.map((key) => [
      key,
      { text: `${key} ${at}`, shown: `${key} ${at}`, different: 1, from: 'file' as const, contested: false },
    ]),
  ),
});

let announced: (string | null)[];
beforeEach(() => {
  furnish();
  // The rows in sight are reckoned from the size of what scrolls, which a document without layout does not have.
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, get: () => 400 });
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, get: () => 700 });
  answerWith({ '/desk/-/-/catalog/rows': { total: 5, products: 5, rows: [0, 1, 2, 3, 4].map(row) } });
  announced = [];
});

async function grid(): Promise<HTMLElement> {
  show(<ProductGrid attributes={attributes} columns={columns} total={5} tell={(problem) => announced.push(problem)} />);
  await screen.findByText('Brush 1');
  return screen.getByRole('grid', { name: 'Catalog' });
}
const here = (element: HTMLElement): string | null => element.getAttribute('aria-activedescendant');

test('arrows go from cell to cell and stop at the edges', async () => {
  const table = await grid();
  expect(here(table)).toBe('cell-0--1');
  for (const key of ['ArrowUp', 'ArrowLeft', 'ArrowRight', 'ArrowDown']) fireEvent.keyDown(table, { key });
  expect(here(table)).toBe('cell-1-0');
  fireEvent.keyDown(table, { key: 'End', ctrlKey: true });
  fireEvent.keyDown(table, { key: 'End' });
  fireEvent.keyDown(table, { key: 'ArrowDown' });
  expect(here(table)).toBe('cell-4-2');
});

test('return begins with what stands there, a letter with itself, and escape leaves it as it was', async () => {
  const table = await grid();
  fireEvent.keyDown(table, { key: 'ArrowRight' });
  fireEvent.keyDown(table, { key: 'Enter' });
  const field = screen.getByRole('textbox') as HTMLInputElement;
  expect(field.value).toBe('brand 0');
  fireEvent.keyDown(field, { key: 'Escape' });
  expect(screen.queryByRole('textbox')).toBeNull();
  fireEvent.keyDown(table, { key: 'x' });
  expect((screen.getByRole('textbox') as HTMLInputElement).value).toBe('x');
});

test('what comes from the file alone is not typed over, and it is said', async () => {
  const table = await grid();
  fireEvent.keyDown(table, { key: 'End' });
  fireEvent.keyDown(table, { key: 'Enter' });
  expect(screen.queryByRole('textbox')).toBeNull();
  expect(announced.at(-1)).toBe('STOCK comes from the file and cannot be set here.');
});

test('space chooses the product of the row', async () => {
  const table = await grid();
  fireEvent.keyDown(table, { key: 'ArrowDown' });
  fireEvent.keyDown(table, { key: ' ' });
  expect([...useProductTable.getState().chosen.ids]).toEqual(['p1']);
});

test('columns begin where those before them end; one that is gone is left out', () => {
  const laid = columnsOf(['price', 'gone', 'brand'], attributes);
  expect(laid.map(({ id }) => id)).toEqual(['price', 'brand']);
  expect([leftOf(laid, 0), leftOf(laid, 1)]).toEqual([titleWidth, titleWidth + laid[0]!.width]);
});

test('of a path the last level shows, of several values how many there are', () => {
  const [path, brand] = columnsOf(['category', 'brand'], [attribute('category', 'path'), attribute('brand', 'text')]);
  expect(shownIn(path!, 'Paint > Watercolour', 1)).toBe('Watercolour');
  expect(shownIn(path!, '3 values', 3)).toBe('3 values');
  expect(shownIn(brand!, 'Coldwater > Mill', 1)).toBe('Coldwater > Mill');
});
