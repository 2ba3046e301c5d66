import { readRows } from '@/core/methods/picture-rows';
import type { BarrelCrack } from './Barrel';

/** The cracks that a picture carries. */
export function cracksOf(packed: unknown): BarrelCrack[] {
  return readRows(packed).map(([where = '', probes = '', says = '', run = '', next = '']) => ({
    where,
    probes: probes
      .split(' ')
      .filter(Boolean)
      .map((pair) => {
        const [at, enters] = pair.split(':');
        return { at: Number(at), enters: enters === '1' };
      }),
    says,
    run: run === '' ? null : [Number(run.split(' ')[0]), Number(run.split(' ')[1])],
    next: next.split(' ').filter(Boolean).map(Number),
  }));
}
