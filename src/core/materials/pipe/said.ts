import type { Stored } from '../../material/contract';
import { setupMeasure } from '../../methods/measure-text';
import type { PipeSaid } from '../../pipe/product';
import { type UnitId, unitOf } from '../../quantity';

/** What is stored of a product, as the product book reads it. */
export const saidOf = (asked: Stored): PipeSaid => ({
  said: (name) => (typeof asked[name] === 'string' ? String(asked[name]) : undefined),
  asked: (name, unit: UnitId) =>
    setupMeasure(
      typeof asked[name] === 'string' ? String(asked[name]) : undefined,
      unitOf(unit).dimension,
      unit,
    ),
});
