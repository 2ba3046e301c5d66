import { findMethod } from '@/core/methods/registry';
import { Refused } from './errors';
import { type Actor, BENCH } from './use-case';

/** Whether a person makes tests by this method: on specimens and batches of them only the laboratory, but where the lot lies. */
export function makes({ role }: Pick<Actor, 'role'>, methodId: string): boolean {
  const method = findMethod(methodId);
  const bench = method?.onSite !== true && (method?.runOn === 'specimen' || method?.runOn === 'batch');
  return role !== 'client' && (!bench || BENCH.includes(role));
}

/** @throws Refused for who works in the field only, of a test that is made in the laboratory */
export function refuseOffBench(actor: Pick<Actor, 'role'>, methodId: string): void {
  if (!makes(actor, methodId)) throw new Refused();
}
