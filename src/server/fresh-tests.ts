import type { SampleKind } from '@/core/methods';
import type { MethodId } from '@/core/methods/registry';
import type { mixes } from '@/db/schema';

type Mix = Pick<typeof mixes.$inferSelect, 'slumpFlow' | 'airMethod' | 'density'>;

/**
 * The fresh tests that a sample of a mix is opened with; more can be added on the spot.
 * With every strength sample go slump or slump flow, temperature and, where the mix has air, air: ASTM C31/C31M.
 */
export function freshTestsFor(mix: Mix | undefined, kind: SampleKind): MethodId[] {
  return [
    'delivery',
    'sampling',
    'concrete-temperature',
    mix?.slumpFlow ? 'slump-flow' : 'slump',
    ...(mix?.airMethod ? [`air-${mix.airMethod}` as const] : []),
    ...(mix?.density ? (['density-yield'] as const) : []),
    // A preliminary sample decides whether placing goes on; no strength specimens are made of it.
    ...(kind === 'preliminary' ? [] : (['moulding', 'initial-curing'] as const)),
  ];
}
