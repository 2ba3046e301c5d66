import type { Weighing } from '@/core/balance';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import type { TableField } from './use-rows';

/** What the views of a table of rows are given. */
export interface RowsProps {
  readonly run: Run;
  readonly data: RunSheetData;
  readonly field: TableField;
  readonly readOnly: boolean;
  /** What is wrong with the table as a whole. */
  readonly error: string | undefined;
  /** What is still missing is said at its cell. */
  readonly showMissing: boolean;
  readonly onNext: (step: 1 | -1) => void;
  readonly register: (element: HTMLElement | null) => void;
}

/** What a balance gives to the views of a table. */
export interface WeighedProps {
  /** What may be put into an empty cell of a mass now; null while the balance does not stand still. */
  readonly weighed: Weighing | null;
  /** Something lies on it that may not be taken yet: it still moves, or was taken for another specimen. */
  readonly waits: boolean;
  /** It was put there. */
  readonly taken: () => void;
  /** The row that somebody works in. */
  readonly at: { current: string | null };
}
