import { mostContent } from '../../../../core/setup/terms/contentTerms.ts';
import { call } from '../../../client/call.ts';

/** Products a page, the most the server answers with. */
const perPage = 250;

/** The products of a collection in the order of its page under the draft; as many as one made by hand may have. */
export async function productsOf(collection: string): Promise<string[]> {
  const products: string[] = [];
  for (let page = 1; ; page++) {
    const { results, total } = await call('deskSearch', {
      query: { q: '', collection, page: String(page), limit: String(perPage) },
    });
    products.push(...results.map(({ familyId }) => familyId));
    if (results.length === 0 || products.length >= Math.min(total, mostContent.products)) return products;
  }
}
