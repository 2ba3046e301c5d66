import { use } from 'react';
import { complete } from '@/core/methods/complete';
import type { MethodId } from '@/core/methods/registry';
import type { MethodFolder } from './kit';

/** The folder of each method, by the method's id: a page fetches those of its own runs and no other. */
const FOLDERS: Readonly<Record<MethodId, () => Promise<{ readonly FOLDER: MethodFolder }>>> = {
  delivery: () => import('./delivery'),
  sampling: () => import('./sampling'),
  slump: () => import('./slump'),
  'slump-flow': () => import('./slump-flow'),
  'air-volumetric': () => import('./air-volumetric'),
  'air-pressure': () => import('./air-pressure'),
  'density-yield': () => import('./density-yield'),
  moulding: () => import('./moulding'),
  'initial-curing': () => import('./initial-curing'),
  evaporation: () => import('./evaporation'),
  'concrete-temperature': () => import('./concrete-temperature'),
  capping: () => import('./capping'),
  'end-grinding': () => import('./end-grinding'),
  'cylinder-compression': () => import('./cylinder-compression'),
  'cube-compression': () => import('./cube-compression'),
  'core-compression': () => import('./core-compression'),
  'grout-prism': () => import('./grout-prism'),
  'mortar-cube': () => import('./mortar-cube'),
  'splitting-tensile': () => import('./splitting-tensile'),
  'static-modulus': () => import('./static-modulus'),
};

const fetched = new Map<MethodId, Promise<MethodFolder>>();

/** The folder of a method, its method with all that holds for every test; fetched once. */
export function methodFolder(id: MethodId): Promise<MethodFolder> {
  const before = fetched.get(id);
  if (before) return before;
  const folder = FOLDERS[id]().then(({ FOLDER }) => ({ ...FOLDER, method: complete(FOLDER.method) }));
  fetched.set(id, folder);
  // What could not be fetched is asked for again the next time.
  folder.catch(() => fetched.delete(id));
  return folder;
}

/** The folder of a method in a view; the nearest Suspense waits while it is being fetched. */
export function useMethodFolder(id: MethodId): MethodFolder {
  return use(methodFolder(id));
}
