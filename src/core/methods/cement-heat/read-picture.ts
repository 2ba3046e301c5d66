import { COMPARED_AT, type LaidCurve } from '../../calorimetry';
import type { Picture } from '../contract';
import { readRows } from '../picture-rows';
import type { Blend } from './blends';
import { MARKS, type MarkName } from './input';

/** A mark on a curve, where it stands; `was`, where it was found, `why` it was put elsewhere. */
export interface DrawnMark {
  readonly mark: MarkName;
  readonly at: number;
  readonly power: number;
  readonly was: number | undefined;
  readonly why: string;
}

/** A cell as it is drawn. */
export interface DrawnCell {
  readonly name: string;
  readonly what: string;
  readonly grams: number | undefined;
  readonly sulfate: number | undefined;
  readonly plain: boolean;
  /** Hours and mW/g. */
  readonly points: readonly (readonly [hours: number, power: number])[];
  readonly marks: readonly DrawnMark[];
  /** J/g in 24, 48, 72 and 168 h from where it is trusted on; undefined where it does not reach. */
  readonly told: readonly (number | undefined)[];
  /** It as it is laid over others: heat from one hour on. */
  readonly laid: LaidCurve;
}

export interface DrawnHeat {
  readonly from: number;
  readonly bath: number | undefined;
  readonly cells: readonly DrawnCell[];
  readonly references: readonly (readonly [
    name: string,
    capacity: number,
    water: number,
    sand: number,
    beside: number | undefined,
    weighed: number | undefined,
  ])[];
  readonly doses: readonly {
    readonly cell: string;
    readonly sulfate: number;
    readonly heat: number | undefined;
    readonly share: number | undefined;
    readonly apart: number | undefined;
    readonly heatHolds: boolean;
    readonly apartHolds: boolean;
  }[];
  readonly chosen: string | undefined;
  /** Hours at which part of the maximum, and of the rise to it, is reached. */
  readonly sets: readonly {
    readonly cell: string;
    readonly share: number;
    readonly max: number | undefined;
    readonly rise: number | undefined;
  }[];
  readonly blends: readonly Blend[];
}

const maybe = (text: string | undefined): number | undefined => (text ? Number(text) : undefined);
const isMark = (text: string | undefined): text is MarkName => MARKS.some((mark) => mark === text);

/** A picture of a test of heat, unpacked. */
export function readHeatPicture({ values }: Picture): DrawnHeat {
  const heats = new Map(readRows(values.heats).map(([name = '', ...rest]) => [name, rest]));
  const marks = readRows(values.marks);
  return {
    from: Number(values.from ?? 0),
    bath: typeof values.bath === 'number' ? values.bath : undefined,
    cells: readRows(values.cells).map(([name = '', what = '', grams, sulfate, plain], place): DrawnCell => {
      const points = readRows(values[`curve${place}`]).map(
        ([at, power]) => [Number(at), Number(power)] as const,
      );
      const own = marks.flatMap(([cell, mark, at, power, was, why = '']) =>
        cell === name && isMark(mark)
          ? [{ mark, at: Number(at), power: Number(power), was: maybe(was), why }]
          : [],
      );
      const told = heats.get(name) ?? [];
      const compared = told.slice(4, 8).map(maybe);
      return {
        ...{ name, what, points, marks: own },
        grams: maybe(grams),
        sulfate: maybe(sulfate),
        plain: plain === 'plain',
        told: told.slice(0, 4).map(maybe),
        laid: {
          hours: points.map(([at]) => at),
          power: points.map(([, power]) => power),
          peak: own.find(({ mark }) => mark === 'main')?.power,
          half: own.find(({ mark }) => mark === 'half')?.at,
          slope: maybe(told[8]),
          heat: new Map(
            COMPARED_AT.flatMap((age, index) => {
              const heat = compared[index];
              return heat === undefined ? [] : [[age, heat] as const];
            }),
          ),
        },
      };
    }),
    references: readRows(values.references).map(([name = '', capacity, water, sand, beside, weighed]) => [
      ...([name, Number(capacity), Number(water), Number(sand)] as const),
      ...([maybe(beside), maybe(weighed)] as const),
    ]),
    doses: readRows(values.doses).map(([cell = '', sulfate, heat, share, apart, heatHolds, apartHolds]) => ({
      ...{ cell, sulfate: Number(sulfate), heat: maybe(heat), share: maybe(share), apart: maybe(apart) },
      ...{ heatHolds: heatHolds === 'yes', apartHolds: apartHolds === 'yes' },
    })),
    sets: readRows(values.sets).map(([cell = '', share, max, rise]) => ({
      ...{ cell, share: Number(share), max: maybe(max), rise: maybe(rise) },
    })),
    blends: readRows(values.blends).map(([cell = '', ...rest]) => {
      const [share = 0, age = 0, cement = 0, binder = 0, diluted = 0] = rest.map(Number);
      return { cell, share, age, cement, binder, diluted };
    }),
    chosen: typeof values.chosen === 'string' ? values.chosen : undefined,
  };
}
