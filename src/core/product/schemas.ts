/** The door of each product: its settings as a file may have them. By itself, so that Home need not fetch it. */
import { boolean, number, object, string, type AnyObject, type ObjectSchema } from 'yup';
import type { ProductName } from '@/core/product';
import { MOST_SHUT } from '@/core/product/card';
import { FOLDINGS } from '@/core/product/card/folding';
import { byKind } from '@/core/schema/choice';
import { SMALLEST_SIDE } from '@/core/units/sizes';

const side = number()
  .min(SMALLEST_SIDE - 1e-6)
  .max(MOST_SHUT + 1e-6)
  .required();

const SCHEMAS: Record<ProductName, ObjectSchema<AnyObject>> = {
  layout: object({ kind: string().oneOf(['layout']).required() }).noUnknown(),
  card: object({
    kind: string().oneOf(['card']).required(),
    width: side,
    height: side,
    fold: string().oneOf(Object.keys(FOLDINGS)).required(),
    envelope: boolean(),
  }).noUnknown(),
};

export const productSchema = byKind(SCHEMAS, 'product');
