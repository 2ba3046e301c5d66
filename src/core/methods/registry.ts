import { concreteTemperature } from './concrete-temperature';
import type { Method } from './contract';
import { cylinderCompression } from './cylinder-compression';
import { slump } from './slump';

/** Every test method by its id, in the order of the work. One entry here makes a method known everywhere. */
const REGISTRY = {
  slump,
  'concrete-temperature': concreteTemperature,
  'cylinder-compression': cylinderCompression,
} as const satisfies Record<string, Method>;

export type MethodId = keyof typeof REGISTRY;

export const METHODS: readonly Method[] = Object.values(REGISTRY);

/** The method of an id; undefined when there is none. */
export function findMethod(id: string): Method | undefined {
  return Object.hasOwn(REGISTRY, id) ? REGISTRY[id as MethodId] : undefined;
}
