import { type APIRequestContext, expect, type Page } from '@playwright/test';
import { pick, seededRandom } from '../core/base/random.ts';
import { besidePlaces } from '../core/setup/terms/besidesTerms.ts';
import { cardPieces, ratingForms, stockForms } from '../core/setup/terms/cardTerms.ts';
import { filterPositions } from '../core/setup/terms/filterTerms.ts';
import { inRowLimits, layoutShapes, layoutWays, pictureFits } from '../core/setup/terms/layoutTerms.ts';
import { alwaysOnPage, type PagePiece, pagePieces } from '../core/setup/terms/pageTerms.ts';
import { seriousProblems } from './axe.ts';
import { test } from './desk.ts';

const isAlways: ReadonlySet<PagePiece> = new Set(alwaysOnPage);

/** A results' page as somebody might arrange it: every part of it at random. */
function randomPage(seed: number) {
  const random = seededRandom(seed);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const coin = (): boolean => random() < 0.5;
  const shuffled = [...cardPieces].map((piece) => ({ piece, at: random() })).sort((a, b) => a.at - b.at);
  const beside = () => ({ where: pick(random, besidePlaces), most: whole(1, 12) });
  const inRow = (): number => whole(inRowLimits.least, 5);
  const filters = pick(random, filterPositions);
  const lower = () => pick(random, ['above', 'drawer']);
  return [
    {
      ...{ part: 'resultsPage', key: 'card' },
      value: {
        pieces: shuffled.map(({ piece }) => ({ piece, on: piece === 'title' || random() < 0.8 })),
        ...{
          rating: pick(random, ratingForms),
          stock: pick(random, stockForms),
          saving: coin(),
          labels: coin(),
          quantity: coin(),
          ratings: coin(),
        },
      },
    },
    {
      ...{ part: 'resultsPage', key: 'layout' },
      value: {
        ...{ shape: pick(random, layoutShapes), inRow: { narrow: whole(1, 3), middle: inRow(), wide: inRow() } },
        picture: { height: whole(40, 300), fit: pick(random, pictureFits), ...(coin() && { ground: '#f4f1ea' }) },
        ...{ apart: whole(0, 48), atOnce: whole(4, 30), way: pick(random, layoutWays) },
      },
    },
    {
      ...{ part: 'resultsPage', key: 'besides' },
      value: {
        ...{ collections: beside(), articles: beside(), after: whole(1, 12) },
        blocks: coin()
          ? [{ collection: 'brushes', heading: '{search} in brushes', most: whole(1, 6), where: 'above' }]
          : [],
      },
    },
    {
      ...{ part: 'storefront', key: 'filters' },
      value: { wide: filters, middle: lower(), narrow: lower(), keep: false },
    },
    {
      ...{ part: 'resultsPage', key: 'ownCards' },
      value: {
        list: [
          {
            ...{ key: 'reduced', name: 'Reduced', on: true, condition: { match: 'all', tests: [{ how: 'reduced' }] } },
            card: {
              pieces: [...cardPieces].reverse().map((piece) => ({ piece, on: piece === 'title' || random() < 0.6 })),
              ...{ rating: 'stars', stock: 'always', saving: coin(), labels: coin() },
            },
          },
        ],
      },
    },
    {
      ...{ part: 'resultsPage', key: 'page' },
      value: {
        pieces: [...pagePieces]
          .map((piece) => ({ piece, at: random(), on: isAlways.has(piece) || random() < 0.8 }))
          .sort((a, b) => a.at - b.at)
          .map(({ piece, on }) => ({ piece, on })),
      },
    },
  ];
}

async function arrange(request: APIRequestContext, seed: number): Promise<void> {
  const { revision } = (await (await request.get('/desk/state')).json()) as { revision: number };
  const edited = await request.post('/desk/edits', { data: { revision, edits: randomPage(seed) } });
  expect(edited.ok(), await edited.text()).toBe(true);
}

/** What is wrong with how a page stands: wider than its window, products over each other, text over text, labels without a value. */
const faultsOf = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const faults: string[] = [];
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth > clientWidth) {
      const wide = [...document.querySelectorAll('main *')].findLast(
        (each) => each.getBoundingClientRect().right > clientWidth,
      );
      faults.push(`wider than its window: ${scrollWidth} of ${clientWidth}, as ${wide?.outerHTML.slice(0, 200)}`);
    }
    const overlap = (a: DOMRect, b: DOMRect): boolean =>
      Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 &&
      Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 1;
    const compare = (all: readonly Element[], what: string): void => {
      const boxes = all.map((element) => ({ element, box: element.getBoundingClientRect() }));
      for (const [at, one] of boxes.entries())
        for (const other of boxes.slice(at + 1))
          if (!one.element.contains(other.element) && overlap(one.box, other.box))
            faults.push(`${what}: “${one.element.textContent}” and “${other.element.textContent}”`);
    };
    const products = [...document.querySelectorAll('[data-product]')];
    compare(products, 'products over each other');
    for (const product of products) {
      const texts = [...product.querySelectorAll('h2, p, dt, dd, b, s, span')].filter(
        (element) =>
          element.childElementCount === 0 &&
          (element.textContent ?? '').trim() !== '' &&
          !element.closest('.sr-only, .bg-art, [aria-hidden]') &&
          element.getBoundingClientRect().width > 1,
      );
      compare(texts, 'text over text');
      for (const label of product.querySelectorAll('dt'))
        if (!label.nextElementSibling?.textContent?.trim())
          faults.push(`a label without a value: ${label.textContent}`);
    }
    return faults;
  });

const seeds = [2, 3, 5, 6, 7];
const widths = [320, 768, 1280, 1920];
test('whatever a page is arranged like, nothing overlaps, nothing is too wide, nothing is empty, and axe finds nothing serious', async ({
  page,
  request,
}) => {
  test.setTimeout(300_000);
  const made = await request.post('/desk/previews/make', { data: { days: 1 } });
  const { token } = (await made.json()) as { token: string };
  const problems: string[] = [];
  for (const [at, seed] of seeds.entries()) {
    await arrange(request, seed);
    // Each page is opened at another width, and made wider or narrower from there.
    const first = at % widths.length;
    for (const width of [...widths.slice(first), ...widths.slice(0, first)]) {
      await page.setViewportSize({ width, height: 900 });
      if (width === widths[first]) await page.goto(`/preview/${token}?q=watercolour`);
      // What has been drawn for another width is drawn anew within two frames.
      await page.evaluate(async () => {
        for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
      });
      await expect(page.locator('main[aria-busy="false"]')).toBeVisible();
      await expect(page.locator('[data-product]').first()).toBeVisible();
      // Where a language is written from right to left the page is its own mirror.
      for (const [dir, side] of [
        ['ltr', ''],
        ['rtl', ', from the right'],
      ] as const) {
        await page.evaluate((direction) => {
          document.documentElement.dir = direction;
        }, dir);
        for (const fault of await faultsOf(page)) problems.push(`page ${seed} at ${width}${side}: ${fault}`);
      }
    }
    for (const problem of await seriousProblems(page)) problems.push(`page ${seed}: ${problem}`);
  }
  expect(problems).toEqual([]);
});
