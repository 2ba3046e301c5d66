import type { Spot } from '../plan/geometry';

/** What a line or an area is drawn in; each renderer has its own colours for them. */
export type Ink = 'ink' | 'quiet' | 'rule' | 'line' | 'stop' | 'warn' | 'pass' | 'paper';

/** What is drawn, in the units of its drawing, its height downward. */
export type Shape =
  | {
      readonly kind: 'path';
      readonly through: readonly Spot[];
      /** It goes back to where it began. */
      readonly closed?: true;
      readonly stroke?: Ink;
      readonly width?: number;
      readonly dash?: readonly number[];
      readonly fill?: Ink;
      /** Of the fill, 0 to 1; absent: all of it. */
      readonly opacity?: number;
    }
  | {
      readonly kind: 'circle';
      readonly at: Spot;
      readonly r: number;
      readonly stroke: Ink;
      readonly width: number;
      readonly fill: Ink;
    }
  | {
      readonly kind: 'text';
      readonly at: Spot;
      readonly text: string;
      readonly size: number;
      readonly ink: Ink;
      readonly bold?: true;
      readonly anchor?: 'end' | 'middle';
    };

/** A drawing as data: the page and the PDF draw the same shapes. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
  /** What it shows, for those who do not see it. */
  readonly words: string;
}

/** The path of a shape, as SVG path data. */
export function pathOf({ through, closed }: Extract<Shape, { kind: 'path' }>): string {
  const steps = through.map(({ x, y }, place) => `${place === 0 ? 'M' : 'L'}${tenth(x)} ${tenth(y)}`);
  return `${steps.join('')}${closed ? 'Z' : ''}`;
}

/** To tenths of a unit: nobody sees less, and a signed report keeps every one of them. */
export const tenth = (value: number): number => Number(value.toFixed(1));
