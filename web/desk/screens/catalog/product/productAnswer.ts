import type { z } from 'zod';
import type { productEndpoints } from '../../../../../api/productEndpoints.ts';

/** A product as the desk is told of it. */
export type Product = z.infer<(typeof productEndpoints)['product']['answer']>;
export type Attribute = Product['attributes'][number];
export type Variant = Product['variants'][number];
