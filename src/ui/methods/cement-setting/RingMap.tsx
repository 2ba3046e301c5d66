'use client';
import { useTheme } from '@mui/material';
import type { MouseEvent } from 'react';
import type { SettingPicture } from './picture';

/** Half of the picture, mm: the ring with a rim about it. */
const HALF = 34;

/**
 * The face of the ring with its holes, in mm: those that count, those that do not, and where the next one goes.
 * @param pick takes a place, to a hundredth of a mm
 */
export function RingMap({
  picture,
  place,
  pick,
}: {
  readonly picture: SettingPicture;
  readonly place: { readonly x: number; readonly y: number } | null;
  readonly pick?: ((x: number, y: number) => void) | undefined;
}) {
  const { palette } = useTheme();
  const { radius, wall, space, falls } = picture;
  const onClick = (event: MouseEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const mm = (share: number): number => Number((share * 2 * HALF - HALF).toFixed(1));
    pick?.(mm((event.clientX - box.left) / box.width), -mm((event.clientY - box.top) / box.height));
  };
  const bad = falls.filter(({ why }) => why !== '').length;
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: every place can be typed in the table below it
    <svg
      viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
      width="100%"
      style={{ maxWidth: 300, ...(pick ? { cursor: 'crosshair' } : {}) }}
      role="img"
      aria-label={`Ring with ${falls.length} ${falls.length === 1 ? 'hole' : 'holes'}${bad ? `, ${bad} of them count for nothing` : ''}${place ? '; the next place is marked' : '; it is full'}`}
      onClick={pick ? onClick : undefined}
    >
      <circle r={radius + 2.5} fill={palette.divider} />
      <circle r={radius} fill={palette.background.paper} stroke={palette.text.primary} strokeWidth={0.4} />
      <circle
        r={radius - wall}
        fill="none"
        stroke={palette.text.secondary}
        strokeWidth={0.3}
        strokeDasharray="1.2 1"
      />
      {falls.map(({ x, y, why, depth, minutes }) =>
        x === null || y === null ? null : (
          <g key={minutes} transform={`translate(${x} ${-y})`}>
            <circle r={space / 2} fill={palette.text.secondary} opacity={0.08} />
            {why ? (
              <path
                d="M -1.3 -1.3 l 2.6 2.6 m 0 -2.6 l -2.6 2.6"
                stroke={palette.error.main}
                strokeWidth={0.7}
              />
            ) : (
              <circle r={1.1} fill={palette.text.primary} />
            )}
            <text y={-1.8} fontSize={2.2} textAnchor="middle" fill={palette.text.secondary} className="mono">
              {depth}
            </text>
          </g>
        ),
      )}
      {place ? (
        <g transform={`translate(${place.x} ${-place.y})`}>
          <circle r={space / 2} fill={palette.primary.main} opacity={0.18} />
          <circle r={1.6} fill="none" stroke={palette.primary.main} strokeWidth={0.7} />
          <path d="M -3 0 h 6 M 0 -3 v 6" stroke={palette.primary.main} strokeWidth={0.35} />
        </g>
      ) : null}
    </svg>
  );
}
