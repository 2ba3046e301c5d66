'use client';
import { useTheme } from '@mui/material';

const [WIDTH, HEIGHT, LEFT, FOOT] = [360, 184, 52, 46];

/** Which rates break which loads in time: inside it the second half takes the time it is to take. */
export function Wedge({
  expected,
  required,
  rate,
  load,
  times: [least, most],
  force,
}: {
  expected: number | null;
  required: number | null;
  /** Load a second that the plan says. */
  rate: number | null;
  /** The load it broke at. */
  load: number | null;
  /** Seconds that the second half may take, from and to. */
  times: readonly [least: number, most: number];
  force: string;
}) {
  const { palette } = useTheme();
  if (expected === null || rate === null) return null;
  // At a steady rate the second half is half of the load: r = P / (2 t).
  const [fast, slow] = [2 * least, 2 * most];
  const far = Math.max(expected, required ?? 0, load ?? 0) * 1.6;
  const steep = far / fast;
  const x = (at: number): number => LEFT + (at / far) * (WIDTH - LEFT - 6);
  const y = (at: number): number => 6 + (1 - at / steep) * (HEIGHT - FOOT - 6);
  const floor = HEIGHT - FOOT;
  const short = (value: number): string =>
    force === 'kN' ? `${value.toFixed(0)} kN` : `${(value / 1000).toFixed(0)}k`;
  const marks = [
    ...(required === null ? [] : [{ at: required, word: 'required', colour: palette.error.main }]),
    { at: expected, word: 'expected', colour: palette.text.primary },
    ...(load === null ? [] : [{ at: load, word: 'broke', colour: palette.success.main }]),
  ];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: 460 }}
      role="img"
      aria-label="Rates of loading over breaking loads: inside the wedge the second half takes its time"
    >
      <path
        d={`M${x(0)} ${y(0)}L${x(far)} ${y(far / fast)}V${y(far / slow)}Z`}
        fill={palette.success.main}
        opacity={0.18}
      />
      <path
        d={`M${x(0)} ${y(0)}L${x(far)} ${y(far / fast)}M${x(0)} ${y(0)}L${x(far)} ${y(far / slow)}`}
        stroke={palette.success.main}
        fill="none"
      />
      <path d={`M${LEFT} 4V${floor}H${WIDTH}`} stroke={palette.text.primary} fill="none" />
      <path d={`M${LEFT} ${y(rate)}H${WIDTH}`} stroke={palette.primary.main} strokeWidth={2} />
      <path
        d={`M${x(rate * fast)} ${y(rate)}H${x(Math.min(far, rate * slow))}`}
        stroke={palette.primary.main}
        strokeWidth={6}
        opacity={0.5}
      />
      <text x={2} y={y(rate) + 4} fontSize={11} fill={palette.primary.main}>
        {force === 'kN' ? rate.toFixed(2) : rate.toFixed(0)}
      </text>
      <text x={2} y={14} fontSize={11} fill={palette.text.secondary}>{`${force}/s`}</text>
      {marks.map(({ at, word, colour }, place) => (
        <g key={word}>
          <path d={`M${x(at)} 6V${floor}`} stroke={colour} strokeDasharray="4 3" />
          <text x={x(at)} y={floor + 13 + place * 13} fontSize={11} textAnchor="middle" fill={colour}>
            {`${word} ${short(at)}`}
          </text>
        </g>
      ))}
    </svg>
  );
}
