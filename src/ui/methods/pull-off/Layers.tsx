'use client';
import { useTheme } from '@mui/material';
import { type Face, PLANE_IDS, type Plane } from '@/core/methods/pull/faces';
import { PlanePatterns, planeFill, planeName } from './planes';

const WIDE = 300;
/** What lies over one another, from the dolly down to the metal or concrete, with how high it is drawn. */
const STACK = [
  ['Z', 'dolly', 34],
  ['Y', 'glue', 16],
  ['D', 'third coat', 18],
  ['C', 'second coat', 18],
  ['B', 'first coat', 18],
  ['A', '', 48],
] as const;

/** The cut through dolly, glue and coats, with the planes that it parted in, each as long as its share. */
export function Layers({
  face,
  concrete,
  coats = 3,
  words = {},
}: {
  readonly face: Face;
  readonly concrete: boolean;
  readonly coats?: number;
  /** What its layers are called, by letter, where they are no coats. */
  readonly words?: Readonly<Record<string, string>>;
}) {
  const { palette } = useTheme();
  const used = face.map(([plane]) => plane);
  const has = (letter: string): boolean => used.some((plane) => plane.split('/').includes(letter));
  const layers = STACK.filter(
    ([letter]) =>
      'ZYA'.includes(letter) ||
      letter === 'B' ||
      (letter === 'C' && (coats > 1 || has('C') || has('D'))) ||
      (letter === 'D' && (coats > 2 || has('D'))),
  );
  let y = 8;
  const at = new Map(
    layers.map(([letter, word, high]) => {
      const top = y;
      y += high;
      return [
        letter as string,
        { top, high, word: words[letter] ?? (letter === 'A' ? (concrete ? 'concrete' : 'metal') : word) },
      ];
    }),
  );
  const place = (plane: Plane): number => {
    const [one = '', two] = plane.split('/');
    // Between two it lies on the upper side of the lower one; in one, in its middle.
    if (plane === '-/Y') return (at.get('Y')?.top ?? 0) + (at.get('Y')?.high ?? 0);
    if (two) return at.get(one)?.top ?? 0;
    const own = at.get(one);
    return (own?.top ?? 0) + (own?.high ?? 0) / 2;
  };
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${y + 8}`}
      width="100%"
      style={{ maxWidth: 340 }}
      role="img"
      aria-label={`Parted in ${face.map(([plane, share]) => `${planeName(plane)} ${share} %`).join(', ') || 'nothing yet'}`}
    >
      <PlanePatterns prefix="layer" />
      {[...at].map(([letter, { top, high, word }]) => (
        <g key={letter}>
          <rect
            x={letter === 'A' ? 4 : 30}
            y={top}
            width={letter === 'A' ? 186 : 134}
            height={high}
            fill={letter === 'Z' ? palette.divider : palette.background.paper}
            stroke={palette.text.primary}
          />
          <text x={196} y={top + high / 2 + 4} fontSize={12} fill={palette.text.primary}>
            {`${letter} ${word}`}
          </text>
        </g>
      ))}
      {face
        .toSorted(([a], [b]) => PLANE_IDS.indexOf(a) - PLANE_IDS.indexOf(b))
        .map(([plane, share]) => (
          <g key={plane}>
            <rect
              x={30}
              y={place(plane) - 4}
              width={Math.max(3, 1.34 * share)}
              height={8}
              fill={planeFill(plane, 'layer')}
              stroke={palette.text.primary}
            />
          </g>
        ))}
    </svg>
  );
}
