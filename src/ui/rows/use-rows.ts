'use client';
import { useState } from 'react';
import { type Weighing, weighedIn } from '@/core/balance';
import { type CellSpec, columnsOfRows, newRowName, pathOf, type RowsSpec } from '@/core/methods';
import type { System } from '@/core/quantity';
import { timeNow } from '../clock';
import { begunRows, type Run } from '../runsheet/run';

export type TableField = RowsSpec & { readonly name: string };

/** A name for a new row of this device; rows made in one go are counted on. */
export function newRow(count = 0): string {
  return newRowName(timeNow(), Math.random(), count);
}

/** A table of a run: its rows in the order they were made, the blank one at the end, and what is done to them. */
export function useRows(
  run: Run,
  field: TableField,
  { showMissing, readOnly }: { readonly showMissing: boolean; readonly readOnly: boolean },
) {
  const { values, save, type, refused } = run.readings;
  const columns = columnsOfRows(field);
  const [blank, setBlank] = useState(newRow);
  // A row that was emptied again while somebody types in it stays until it is taken back.
  const [touched, setTouched] = useState<ReadonlySet<string>>(new Set());
  const [takenBack, setTakenBack] = useState<{ id: string; cells: [string, string][] } | null>(null);
  const filled = begunRows(run, field.name);
  const rows = [...new Set([...filled, ...touched])].toSorted();
  if (rows.includes(blank)) setBlank(newRow());

  const textOf = (row: string, column: string): string => values[pathOf(field.name, row, column)] ?? '';
  const errorOf = (row: string, column: string): string | undefined => {
    const path = pathOf(field.name, row, column);
    const missing = showMissing && filled.has(row) ? run.live.missing[path] : undefined;
    return refused[path] ?? run.live.errors[path] ?? missing;
  };
  const typeCell = (row: string, { name }: CellSpec, text: string): void => {
    if (!touched.has(row)) setTouched(new Set([...touched, row]));
    type(pathOf(field.name, row, name), text);
  };
  /** Takes a cell; the moment of its row stamps itself with the first of them. */
  const saveCell = (row: string, column: CellSpec, text: string): void => {
    const path = pathOf(field.name, row, column.name);
    type(path, text);
    // What the cell itself refuses stays in the cell; everything else is saved, however odd.
    if (column.kind === 'measure' && text.trim() !== '' && run.live.errors[path] !== undefined) return;
    save(path, text);
    if (text.trim() === '') return;
    for (const stamp of columns)
      if (stamp.kind === 'instant' && stamp.stamps && stamp !== column && textOf(row, stamp.name) === '')
        save(pathOf(field.name, row, stamp.name), new Date(timeNow()).toISOString());
  };
  /** Lets go of a row in which nothing was taken yet. */
  const drop = (row: string): void => {
    for (const { name } of columns) type(pathOf(field.name, row, name), '');
    setTouched(new Set([...touched].filter((each) => each !== row)));
  };
  const takeBack = (row: string): void => {
    const cells = columns.flatMap(({ name }): [string, string][] => {
      const text = textOf(row, name);
      return text === '' ? [] : [[name, text]];
    });
    for (const [name] of cells) save(pathOf(field.name, row, name), '');
    setTouched(new Set([...touched].filter((each) => each !== row)));
    setTakenBack(cells.length > 0 ? { id: row, cells } : null);
  };
  const undo = (): void => {
    if (takenBack)
      for (const [name, text] of takenBack.cells) save(pathOf(field.name, takenBack.id, name), text);
    setTakenBack(null);
  };
  /** Adds rows that were read from a paste or a file; their moments are what the text said, and none else. */
  const add = (read: readonly Readonly<Record<string, string>>[]): void => {
    for (const [index, cells] of read.entries()) {
      const row = newRow(index);
      for (const [name, text] of Object.entries(cells))
        if (text !== '') save(pathOf(field.name, row, name), text);
    }
  };
  const isNew = !rows.includes(blank);
  return {
    columns,
    rows,
    blank: isNew ? blank : '',
    /** What is shown: the rows, and below them the blank one where something can be written. */
    shown: isNew && !readOnly ? [...rows, blank] : rows,
    textOf,
    errorOf,
    typeCell,
    saveCell,
    drop,
    takeBack,
    takenBack,
    undo,
    add,
  };
}

export type Rows = ReturnType<typeof useRows>;

/** True for a mass that a balance with a line may put into its cell. */
export function isWeighed(column: CellSpec): boolean {
  return column.kind === 'measure' && column.dimension === 'mass';
}

/** What a balance shows, as it is put into such a cell. */
export function weighedText(weighed: Weighing, column: CellSpec, system: System): string {
  return weighedIn(weighed, column.kind === 'measure' ? column.unit[system] : '');
}

/** True for a column that is asked for: moments stamp themselves, what is seldom read is passed over. */
export function isAskedColumn(column: CellSpec): boolean {
  return !column.rare && !(column.kind === 'instant' && column.stamps);
}
