import { type Exact, exact } from '../../quantity';
import { ourChoice, type Sheet } from '../../working';
import { readMeasure } from '../fields';
import { HEATS, heatTo, ownCells } from './ages';
import type { Cell } from './read-cells';

/** A cell in which part of the cement is something else, at an age: J/g. */
export interface Blend {
  readonly cell: string;
  /** Part of the binder that is not cement, a fraction. */
  readonly share: number;
  readonly age: number;
  /** To a gram of cement, and to a gram of all of the binder. */
  readonly cement: number;
  readonly binder: number;
  /** What the cement that is left gives off by itself: the cement as it came, diluted. */
  readonly diluted: number;
}

/**
 * The heat of blends to a gram of binder, beside what the cement alone would give off in them.
 * @param from h since the water, from when on heat is added up
 * @returns none while no cell of the cement as it came reaches the age
 * Source: arithmetic; that what lies above is the other solid or what it speeds up is common practice, no source.
 */
export function blendsOf(cells: readonly Cell[], from: number): Blend[] {
  const own = ownCells(cells);
  return cells.flatMap(({ name, row, recipe, curve }): Blend[] => {
    const other = readMeasure(row, 'other')?.value;
    if (!other || !row.otherKind || !recipe || !curve) return [];
    const share = other.div(recipe.cement.plus(other)).toNumber();
    return HEATS.flatMap(([age]): Blend[] => {
      const cement = heatTo(curve, from, age);
      const control = own.map((cell) => heatTo(cell.curve, from, age));
      const known = control.filter((heat) => heat !== undefined);
      if (cement === undefined || known.length === 0 || known.length < control.length) return [];
      const mean = known.reduce((sum, heat) => sum + heat, 0) / known.length;
      return [
        {
          ...{ cell: name, share, age, cement },
          ...{ binder: cement * (1 - share), diluted: mean * (1 - share) },
        },
      ];
    });
  });
}

const told = (value: number): Exact => exact(value.toFixed(4));

/** The working of blends at three days, or at the last age before them that is reached. */
export function blendLines(blends: readonly Blend[], sheet: Sheet): void {
  const cells = [...new Set(blends.map(({ cell }) => cell))];
  for (const [place, cell] of cells.entries()) {
    const last = blends.findLast((each) => each.cell === cell && each.age <= 72);
    if (!last) continue;
    const { age, share, cement, binder, diluted } = last;
    const source = ourChoice('to a gram of all that binds');
    const uses = { r: told(share) };
    sheet.line({
      symbol: `B${place + 1}`,
      name: `Heat of ${cell} to a gram of binder, ${age} h`,
      formula: 'Q * (1 - r)',
      uses: { Q: told(cement), ...uses },
      unit: 'J/g',
      source,
      show: 1,
    });
    sheet.line({
      symbol: `A${place + 1}`,
      name: `of which above the cement diluted, ${age} h`,
      formula: 'B - D',
      uses: { B: told(binder), D: told(diluted) },
      unit: 'J/g',
      source,
      show: 1,
    });
  }
}
