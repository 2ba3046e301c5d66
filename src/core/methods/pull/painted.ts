import { type Face, faceOf, inSteps, PLANE_IDS, type Plane } from './faces';

/** Cells across the face: some 1,250 lie on it, a tenth of a percent each. Our choice. */
const ACROSS = 40;

/** A cell of the face, by its place in the list; the face is a circle of radius 1 about 0, 0. */
export interface Cell {
  readonly x: number;
  readonly y: number;
}

/** The cells whose middle lies on the face, row by row. */
export const CELLS: readonly Cell[] = Array.from({ length: ACROSS * ACROSS }, (_, index) => ({
  x: ((index % ACROSS) + 0.5) / (ACROSS / 2) - 1,
  y: (Math.floor(index / ACROSS) + 0.5) / (ACROSS / 2) - 1,
})).filter(({ x, y }) => x * x + y * y <= 1);
/** How wide a cell is, of the radius. */
export const CELL = 2 / ACROSS;

/** What each cell parted in, by its place in the list; null where nothing was painted yet. */
export type Painting = readonly (Plane | null)[];
export const BLANK: Painting = CELLS.map(() => null);

/** Paints, or with null rubs out, what lies under a brush. @param at,radius of the face's radius */
export function brushed(painting: Painting, at: Cell, radius: number, plane: Plane | null): Painting {
  return painting.map((now, place) => {
    const cell = CELLS[place];
    return cell && Math.hypot(cell.x - at.x, cell.y - at.y) <= radius ? plane : now;
  });
}

/** Everything that was not painted yet, in one plane. */
export function filled(painting: Painting, plane: Plane): Painting {
  return painting.map((now) => now ?? plane);
}

/** Share of each plane of what is painted, to one percent where all of it is, and the share that is still blank. */
export function sharesOf(painting: Painting): { readonly face: Face; readonly blank: number } {
  const count = new Map<Plane, number>();
  for (const plane of painting) if (plane) count.set(plane, (count.get(plane) ?? 0) + 1);
  const face = faceOf([...count].map(([plane, cells]) => [plane, (100 * cells) / painting.length]));
  const blank = (100 * painting.filter((plane) => plane === null).length) / painting.length;
  return { face: blank === 0 ? inSteps(face, 1).filter(([, share]) => share > 0) : face, blank };
}

const LETTERS = 'abcdefghij';

/** A painting as it is kept: a letter for each plane, `.` for what is blank, each with how many follow one another. */
export function paintingText(painting: Painting): string {
  let text = '';
  for (let place = 0; place < painting.length; ) {
    const plane = painting[place] ?? null;
    let next = place;
    while (next < painting.length && (painting[next] ?? null) === plane) next += 1;
    text += `${plane ? LETTERS[PLANE_IDS.indexOf(plane)] : '.'}${next - place}`;
    place = next;
  }
  return text;
}

/** The painting that a text keeps; undefined where it keeps none. */
export function readPainting(text: string): Painting | undefined {
  if (!/^(?:[a-j.]\d{1,4})+$/u.test(text)) return undefined;
  const painting = [...text.matchAll(/([a-j.])(\d+)/gu)].flatMap(([, letter = '.', count = '0']) =>
    Array.from({ length: Number(count) }, () => PLANE_IDS[LETTERS.indexOf(letter)] ?? null),
  );
  return painting.length === CELLS.length ? painting : undefined;
}

/** Where the face lies on a picture: its middle, and two points of its rim at right angles on the face itself. */
export interface OnPicture {
  readonly middle: Cell;
  readonly right: Cell;
  readonly up: Cell;
}

/**
 * The place on the face that a place on the picture shows. A picture taken aslant draws the circle as an ellipse; seen from
 * not too near, every share of its area stays what it was.
 * @returns undefined where the rim is no ellipse: the three points in a line
 */
export function onFace({ middle, right, up }: OnPicture, { x, y }: Cell): Cell | undefined {
  const [ax, ay] = [right.x - middle.x, right.y - middle.y];
  const [bx, by] = [up.x - middle.x, up.y - middle.y];
  const size = ax * by - ay * bx;
  if (Math.abs(size) < 1e-9) return undefined;
  const [dx, dy] = [x - middle.x, y - middle.y];
  return { x: (dx * by - dy * bx) / size, y: -(ax * dy - ay * dx) / size };
}
