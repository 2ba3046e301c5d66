'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { beamUnder } from '@/core/statics';
import { DIAGRAMS_HEIGHT, Diagrams } from '../../beam/Diagrams';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';
import { TensionFace } from './TensionFace';

const [WIDTH, LEFT, RIGHT] = [560, 70, 490];
const ROLLER = 7;

/** The beam between its rollers with shear and moment below, and its face in tension with the break as it was measured. */
export function BeamBench({ picture: { values }, take }: BenchProps) {
  const { palette } = useTheme();
  const span = Number(values.span) || 18;
  const depth = Number(values.depth) || span / 3;
  const scale = (RIGHT - LEFT) / span;
  const over = (own: unknown): number =>
    Math.min((typeof own === 'number' ? own : span / 15) * scale, LEFT - 20);
  const [left, right] = [over(values.left), over(values.right)];
  const high = Math.min(depth * scale, 64);
  const [top, foot] = [52, 52 + high];
  const third = values.loading === 'third';
  const loads = String(values.loads).split(',').map(Number);
  const x = (share: number): number => LEFT + share * (RIGHT - LEFT);
  const gaps = pairsIn(values.gaps);
  const colour = (gap: string): string =>
    gap === ''
      ? palette.text.primary
      : gap === 'none'
        ? palette.success.main
        : /open|wide/u.test(gap)
          ? palette.error.main
          : palette.warning.main;
  const places = [0, ...loads, 1];
  const a = typeof values.a === 'number' ? values.a : null;
  const beam = beamUnder(third ? 'third' : 'centre', 1, { span, plate: 0, at: 0 });
  const bottom = foot + 30;
  // How it is loaded until it is broken, then where it broke.
  const looked =
    values.broken === true || a !== null || String(values.places ?? '').replaceAll(',', '') !== '';
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${bottom + (looked ? 0 : DIAGRAMS_HEIGHT)}`}
        width="100%"
        style={{ maxWidth: 620 }}
        role="img"
        aria-label={`The beam ${third ? 'under two loads at its third points' : 'under one load in the middle'}, with shear and moment`}
      >
        {third ? (
          <path d={`M${x(1 / 3)} 8H${x(2 / 3)}V20H${x(1 / 3)}Z`} fill={palette.text.primary} />
        ) : (
          <path d={`M${x(0.5) - 26} 8h52v12h-52z`} fill={palette.text.primary} />
        )}
        {loads.map((share, index) => (
          <g key={share}>
            <path d={`M${x(share)} 20V${top - 2 * ROLLER}`} stroke={palette.text.primary} strokeWidth={9} />
            <circle
              cx={x(share)}
              cy={top - ROLLER}
              r={ROLLER}
              fill={colour(gaps[index + 1]?.[1] ?? '')}
              stroke={palette.text.primary}
            />
          </g>
        ))}
        <rect
          x={LEFT - left}
          y={top}
          width={RIGHT - LEFT + left + right}
          height={high}
          fill={palette.divider}
          stroke={palette.text.primary}
          strokeWidth={1.5}
        />
        {values.side === 'top' ? (
          <path
            d={`M${LEFT - left} ${top + 2}H${RIGHT + right}`}
            stroke={palette.warning.main}
            strokeWidth={4}
            strokeDasharray="3 2"
          />
        ) : null}
        {third ? (
          <path
            d={`M${x(1 / 3)} ${top}V${foot}M${x(2 / 3)} ${top}V${foot}`}
            stroke={palette.text.secondary}
            strokeDasharray="5 4"
          />
        ) : null}
        {([0, places.length - 1] as const).map((index) => (
          <g key={index}>
            <circle
              cx={x(places[index] ?? 0)}
              cy={foot + ROLLER}
              r={ROLLER}
              fill={colour(gaps[index]?.[1] ?? '')}
              stroke={palette.text.primary}
            />
            <path
              d={`M${x(places[index] ?? 0) - 22} ${foot + 2 * ROLLER}h44v8h-44z`}
              fill={palette.text.primary}
            />
          </g>
        ))}
        {a === null ? null : (
          <path
            d={`M${LEFT + a * scale} ${foot}l5 ${-high * 0.3}l-7 ${-high * 0.35}l4 ${-high * 0.35}`}
            fill="none"
            stroke={palette.error.main}
            strokeWidth={2.5}
          />
        )}
        {looked ? null : <Diagrams beam={beam} from={LEFT} to={RIGHT} top={bottom - 6} />}
      </svg>
      {looked ? <TensionFace values={values} take={take} /> : null}
      <Typography variant="body2" color="text.secondary">
        {third
          ? 'Between the two loads the moment is the same everywhere: there it should break.'
          : 'The moment is largest under the load only: one section carries it.'}
        {gaps.some(([, gap]) => gap !== '')
          ? ' Rollers: green bears, ochre with a remedy, red does not bear.'
          : ''}
      </Typography>
    </Box>
  );
}
