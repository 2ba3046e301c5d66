'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The gauge with its hand, and the valves as they stood. The scale is closer at the high end, as on a real one. */
export function AirPressureBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { reading, factor, air, most, mainValve, petcocks } = picture.values;
  const angle = (percent: number): number => {
    // The released pressure falls as 1 / (1 + 20 a): the marks crowd together where there is much air.
    const share = (1 - 1 / (1 + percent / 5)) / (1 - 1 / (1 + Number(most) / 5));
    return -220 + share * 260;
  };
  const at = (percent: number, radius: number): readonly [number, number] => {
    const radians = (angle(percent) * Math.PI) / 180;
    return [150 + radius * Math.cos(radians), 110 + radius * Math.sin(radians)];
  };
  const marks = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 20].filter((mark) => mark <= Number(most));
  const [x, y] = at(Number(reading ?? 0), 74);
  return (
    <svg
      viewBox="0 0 400 220"
      width="100%"
      height="220"
      role="img"
      aria-label={reading === null ? 'Gauge not read yet' : `Gauge at ${reading} percent`}
    >
      <circle
        cx="150"
        cy="110"
        r="98"
        fill={palette.background.default}
        stroke={palette.text.primary}
        strokeWidth="2.5"
      />
      {marks.map((mark) => {
        const [x1, y1] = at(mark, 92);
        const [x2, y2] = at(mark, 82);
        const [tx, ty] = at(mark, 68);
        return (
          <g key={mark}>
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke={palette.text.primary} />
            <text x={tx} y={ty + 4} fontSize="11" textAnchor="middle" fill={palette.text.secondary}>
              {mark}
            </text>
          </g>
        );
      })}
      {reading === null ? null : (
        <line
          x1="150"
          y1="110"
          x2={x}
          y2={y}
          stroke={palette.error.main}
          strokeWidth="3"
          strokeLinecap="round"
        />
      )}
      <circle cx="150" cy="110" r="5" fill={palette.text.primary} />
      <g fontSize="14" fill={palette.text.primary}>
        <text x="270" y="60">{`main valve ${mainValve ?? '–'}`}</text>
        <text x="270" y="84">{`petcocks ${petcocks ?? '–'}`}</text>
        <text x="270" y="120">
          {reading === null ? 'not read' : `${reading} − ${factor} %`}
        </text>
        {air === null ? null : (
          <text
            x="270"
            y="146"
            fontSize="18"
            fill={palette.primary.main}
          >{`${Number(air).toFixed(1)} %`}</text>
        )}
      </g>
    </svg>
  );
}
