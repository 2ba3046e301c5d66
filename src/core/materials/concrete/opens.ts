import type { OpenedSample } from '../../material/contract';
import type { ConcreteAsked } from './record';

/**
 * The fresh tests that a sample of a mix is opened with; more can be added on the spot.
 * With every strength sample go slump or slump flow, temperature and, where the mix has air, air: ASTM C31/C31M.
 */
export function opens(
  asked: Pick<ConcreteAsked, 'slumpFlow' | 'airMethod' | 'density'>,
  kind: string,
): string[] {
  return [
    'delivery',
    'sampling',
    'concrete-temperature',
    asked.slumpFlow ? 'slump-flow' : 'slump',
    ...(asked.airMethod ? [`air-${asked.airMethod}`] : []),
    ...(asked.density ? ['density-yield'] : []),
    // A preliminary sample decides whether placing goes on; no strength specimens are made of it.
    ...(kind === 'preliminary' ? [] : ['moulding', 'initial-curing']),
  ];
}

/** What is known when a sample is begun, as readings of the tests it opens: nobody types it again. */
export function readIn({
  kind,
  sampledAt,
  press,
  load,
}: OpenedSample): [string, string, string | undefined][] {
  return [
    ['sampling', 'kind', kind],
    ['sampling', 'firstPortionAt', press === 'first portion' ? sampledAt : undefined],
    ['sampling', 'finalPortionAt', press === 'whole' ? sampledAt : undefined],
    ['sampling', 'loadVolume', load?.volume],
    ['delivery', 'loadVolume', load?.volume],
    ['delivery', 'arrivedAt', load?.arrivedAt],
  ];
}
