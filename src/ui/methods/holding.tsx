'use client';
import { createContext, type PropsWithChildren, useContext } from 'react';
import { complete } from '@/core/methods/complete';
import type { MethodFolder } from './kit';

const FolderContext = createContext<MethodFolder | null>(null);

/** The folder of a method as views take it: the method with all that holds for every test. */
export function wholeFolder(folder: MethodFolder): MethodFolder {
  return { ...folder, method: complete(folder.method) };
}

/** Gives a folder to the views that stand in it. */
export function InFolder({ folder, children }: PropsWithChildren<{ folder: MethodFolder }>) {
  return <FolderContext value={folder}>{children}</FolderContext>;
}

/** The folder of the method that a view stands in. @throws Error outside of one */
export function useMethodFolder(): MethodFolder {
  const folder = useContext(FolderContext);
  if (!folder) throw new Error('a view of a run stands in the folder of its method');
  return folder;
}
