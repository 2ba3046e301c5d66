import type { ReactNode } from 'react';
import type { RunSheetData } from '../runsheet/types';

/** What a view of a run at its machine is given. */
export interface LiveProps {
  readonly data: RunSheetData;
  readonly now: number;
  readonly title: ReactNode;
  /** The record that is open for this run, when there is one: a page opened again goes on where it was. */
  readonly follow: { readonly feedId: string; readonly fromSeq: number } | null;
  readonly back: string;
}
