'use client';
import { useTheme } from '@mui/material';
import { PLANE_IDS, type Plane } from '@/core/methods/pull/faces';

/** A colour for each plane, light enough that a letter stands on it; hatched too, so that colour alone tells nothing. */
const TINTS: Readonly<Record<Plane, string>> = {
  A: '#9C9286',
  'A/B': '#C7694B',
  B: '#C99A3C',
  'B/C': '#8FA348',
  C: '#4F9384',
  'C/D': '#4E7FA6',
  D: '#7A6FA8',
  '-/Y': '#B05C86',
  Y: '#D9C06A',
  'Y/Z': '#8B5A4A',
};
/** Degrees that the lines of its hatch lean, and how far they stand apart. */
const HATCH: Readonly<Record<Plane, readonly [turn: number, apart: number]>> = {
  A: [0, 5],
  'A/B': [45, 5],
  B: [90, 5],
  'B/C': [135, 5],
  C: [0, 9],
  'C/D': [45, 9],
  D: [90, 9],
  '-/Y': [135, 9],
  Y: [22, 7],
  'Y/Z': [112, 7],
};

/** The name of a plane in the pictures: a minus that is one. */
export function planeName(plane: Plane): string {
  return plane.replace('-', '−');
}

/** How a plane is filled in a picture that has `PlanePatterns`. */
export function planeFill(plane: Plane, prefix: string): string {
  return `url(#${prefix}-${PLANE_IDS.indexOf(plane)})`;
}

/** The fills of all planes. @param prefix of their names, its own for each picture on the page */
export function PlanePatterns({ prefix }: { readonly prefix: string }) {
  const { palette } = useTheme();
  return (
    <defs>
      {PLANE_IDS.map((plane, place) => {
        const [turn, apart] = HATCH[plane];
        return (
          <pattern
            key={plane}
            id={`${prefix}-${place}`}
            width={apart}
            height={apart}
            patternUnits="userSpaceOnUse"
            patternTransform={`rotate(${turn})`}
          >
            <rect width={apart} height={apart} fill={TINTS[plane]} />
            <line
              x1={0}
              x2={0}
              y1={0}
              y2={apart}
              stroke={palette.common.black}
              strokeWidth={1}
              opacity={0.45}
            />
          </pattern>
        );
      })}
    </defs>
  );
}
