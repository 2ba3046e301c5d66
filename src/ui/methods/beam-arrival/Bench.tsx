'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { FACES, type Face, SEEN, type Seen } from '@/core/methods/beam-arrival/input';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';

const [LEFT, WIDE, HIGH] = [128, 440, 46];
const NAMES = Object.keys(FACES) as Face[];

/** The four faces of the beam laid out, with what was seen where it was seen. */
export function BeamArrivalBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const length = Number(values.length) || 21;
  const depth = Number(values.depth) || 6;
  const x = (place: number): number => LEFT + Math.min(1, Math.max(0, place / length)) * WIDE;
  const colours: Readonly<Record<Seen, string>> = {
    void: palette.text.secondary,
    honeycomb: palette.warning.main,
    crack: palette.error.main,
    edge: palette.error.main,
    steel: palette.primary.main,
    leak: palette.text.secondary,
  };
  const seen = pairsIn(values.seen).map(([face, text], order) => {
    const [what = 'void', from = '0', along = '0', across = ''] = text.split('/');
    return {
      key: `${face} ${order}`,
      face,
      what: what as Seen,
      from: Number(from),
      along: Number(along),
      across: Number(across || along),
    };
  });
  return (
    <Box>
      <svg
        viewBox={`0 0 600 ${4 * HIGH + 40}`}
        width="100%"
        style={{ maxWidth: 640 }}
        role="img"
        aria-label="The four faces of the beam"
      >
        {NAMES.map((face, row) => {
          const y = 8 + row * HIGH;
          return (
            <g key={face}>
              <rect
                x={LEFT}
                y={y}
                width={WIDE}
                height={HIGH - 2}
                fill={palette.divider}
                stroke={palette.text.primary}
              />
              <text
                x={LEFT - 8}
                y={y + HIGH / 2 + 4}
                textAnchor="end"
                fontSize={12}
                fill={palette.text.primary}
              >
                {FACES[face]}
              </text>
              {seen
                .filter((each) => each.face === face)
                .map((each, index) => (
                  <rect
                    key={each.key}
                    x={x(each.from)}
                    y={y + 6 + ((index * 11) % 22)}
                    width={Math.max(3, x(each.from + each.along) - x(each.from))}
                    height={
                      each.what === 'crack'
                        ? 3
                        : Math.max(4, Math.min(HIGH - 16, (each.across / depth) * HIGH))
                    }
                    fill={colours[each.what] ?? palette.text.secondary}
                    opacity={0.85}
                  />
                ))}
            </g>
          );
        })}
        <path
          d={`M${x(length / 3)} 2V${4 * HIGH + 10}M${x((2 * length) / 3)} 2V${4 * HIGH + 10}`}
          stroke={palette.text.secondary}
          strokeDasharray="4 4"
        />
        <text x={LEFT} y={4 * HIGH + 26} fontSize={11} className="mono" fill={palette.text.secondary}>
          marked end
        </text>
        <text
          x={LEFT + WIDE}
          y={4 * HIGH + 26}
          textAnchor="end"
          fontSize={11}
          className="mono"
          fill={palette.text.secondary}
        >
          {`${length} ${values.unit}`}
        </text>
      </svg>
      <Typography variant="body2" color="text.secondary">
        {seen.length === 0
          ? 'Nothing is marked: between the dashed lines is its middle third, where it should break.'
          : [...new Set(seen.map(({ what }) => SEEN[what] ?? ''))].filter(Boolean).join(', ')}
      </Typography>
    </Box>
  );
}
