import { concreteTemperature } from './concrete-temperature';
import type { Method } from './contract';
import { cylinderCompression } from './cylinder-compression';
import { slump } from './slump';

/** Every test method, in the order of the work. One entry here makes a method known to the whole application. */
export const METHODS = [slump, concreteTemperature, cylinderCompression] as const satisfies readonly Method[];

export type MethodId = (typeof METHODS)[number]['id'];

/** The method of an id; undefined when there is none. */
export function findMethod(id: string): Method | undefined {
  return (METHODS as readonly Method[]).find((method) => method.id === id);
}
