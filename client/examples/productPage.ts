import { isRefusal, type Shop } from '../index.ts';

/** What a page about a product says: its title, the price it begins at, and what goes with it. */
export async function productPage(
  shop: Shop,
  id: string,
): Promise<{ readonly status: 200 | 404; readonly lines: string[] }> {
  try {
    const { title, lowest, currency, available, companions } = await shop.product(id);
    return {
      status: 200,
      lines: [
        title,
        ...(lowest === null ? [] : [`from ${lowest.toFixed(2)} ${currency}`]),
        available ? 'in stock' : 'sold out',
        ...companions.map((card) => `goes with ${card.title}`),
      ],
    };
  } catch (error) {
    if (isRefusal(error) && error.code === 'unknown-product')
      return { status: 404, lines: ['There is no such product.'] };
    throw error;
  }
}
