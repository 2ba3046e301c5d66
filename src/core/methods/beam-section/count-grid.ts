/** Points of a grid over a third of a face: 150 of them, as many as a share needs to mean something. Our choice. */
export const ACROSS = 15;
export const DOWN = 10;

export type Third = 'top' | 'bottom';

/** A point of the grid, as shares of the face from its upper left corner as cast. */
export interface GridPoint {
  readonly id: string;
  readonly third: Third;
  readonly x: number;
  readonly y: number;
}

/** The grid over the upper and over the lower third of a face as it was cast, row by row; nothing lies on an edge. */
export const GRID: readonly GridPoint[] = (['top', 'bottom'] as const).flatMap((third) =>
  Array.from({ length: ACROSS * DOWN }, (_, index) => {
    const [column, row] = [index % ACROSS, Math.floor(index / ACROSS)];
    return {
      id: `${third}${index}`,
      third,
      x: (column + 0.5) / ACROSS,
      y: (third === 'top' ? 0 : 2 / 3) + (row + 0.5) / DOWN / 3,
    };
  }),
);

/** A corner of the face on a picture, as shares of the picture. */
export interface Corner {
  readonly x: number;
  readonly y: number;
}

/**
 * Where a point of the face lies on its picture, by the four corners of the face: a picture taken a little aslant is drawn
 * straight enough by the sides.
 * @param corners upper left, upper right, lower right, lower left as cast
 * Source: bilinear map of a quadrilateral.
 */
export function onPicture({ x, y }: Corner, corners: readonly [Corner, Corner, Corner, Corner]): Corner {
  const [a, b, c, d] = corners;
  const along = (one: Corner, two: Corner, share: number): Corner => ({
    x: one.x + share * (two.x - one.x),
    y: one.y + share * (two.y - one.y),
  });
  return along(along(a, b, x), along(d, c, x), y);
}

/** What was counted: points on stone and all points of each third; points that show nothing are left out of both. */
export function countsOf(
  stones: ReadonlySet<string>,
  unseen: ReadonlySet<string>,
): Readonly<Record<Third, { readonly stone: number; readonly all: number }>> {
  const of = (third: Third) => {
    const seen = GRID.filter((point) => point.third === third && !unseen.has(point.id));
    return { stone: seen.filter(({ id }) => stones.has(id)).length, all: seen.length };
  };
  return { top: of('top'), bottom: of('bottom') };
}
