'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../kit';

const WIDE = 560;
const HIGH = 124;
const LEFT = 10;
const MONTHS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'] as const;
const SHAPE: Readonly<Record<string, string>> = { meets: '✓', fails: '✕', again: '↻', open: '…' };
const WORDS: Readonly<Record<string, string>> = {
  meets: 'bears what is asked',
  fails: 'fails',
  again: 'loaded too fast, proves nothing',
  open: 'not decided',
};

/** The year of one size and class: its tests on a line of months, from when they are called for, and what is owed. */
export function PipeYearBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const year = Number(values.year);
  if (!year)
    return (
      <Typography color="text.secondary">
        Type how many pipes were made: what the year owes in tests follows.
      </Typography>
    );
  const tests = readRows(values.tests).map(([day = '', mark = '', said = '', retestOf = '', whole = '']) => ({
    ...{ day, mark, said, retestOf, whole },
  }));
  const from = Date.UTC(year, 0, 1);
  const to = Date.UTC(year + 1, 0, 1);
  const x = (day: string): number => LEFT + ((Date.parse(day) - from) / (to - from)) * (WIDE - 2 * LEFT);
  const month = (WIDE - 2 * LEFT) / 12;
  const own = tests.filter(({ day }) => day.startsWith(`${year}-`));
  const [owed, counted, left, retests] = ['owed', 'counted', 'left', 'retests'].map((name) =>
    Number(values[name]),
  );
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        role="img"
        aria-label={`${year}: ${counted} of ${owed} tests made`}
      >
        <rect
          x={LEFT + 9 * month}
          y={18}
          width={3 * month}
          height={58}
          fill={palette.warning.light}
          opacity={0.5}
        />
        <line x1={LEFT} x2={WIDE - LEFT} y1={76} y2={76} stroke={palette.text.primary} />
        {MONTHS.map((name, place) => (
          <g key={`${name}${String(place)}`}>
            <line
              x1={LEFT + place * month}
              x2={LEFT + place * month}
              y1={70}
              y2={76}
              stroke={palette.text.secondary}
            />
            <text
              x={LEFT + (place + 0.5) * month}
              y={92}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {name}
            </text>
          </g>
        ))}
        <text x={LEFT + 9 * month + 4} y={14} fontSize={11} fill={palette.text.secondary}>
          called for
        </text>
        {own.map(({ day, mark, said, whole, retestOf }, place) => (
          <g key={mark}>
            <text
              x={x(day)}
              y={62}
              fontSize={20}
              textAnchor="middle"
              fill={
                said === 'fails'
                  ? palette.error.main
                  : whole && !retestOf
                    ? palette.success.main
                    : palette.text.secondary
              }
            >
              {SHAPE[said] ?? '·'}
            </text>
            <text
              x={x(day)}
              y={place % 2 === 0 ? 42 : 30}
              fontSize={11}
              textAnchor="middle"
              fill={palette.text.primary}
              className="mono"
            >
              {mark}
            </text>
          </g>
        ))}
        {readRows(values.counts).map(([day = '', made = ''], place) => (
          <text
            key={day}
            x={x(day)}
            y={place % 2 === 0 ? 106 : 118}
            fontSize={11}
            textAnchor="middle"
            fill={palette.text.secondary}
            className="mono"
          >
            {`${made} made`}
          </text>
        ))}
      </svg>
      <Typography
        role="status"
        sx={{ fontWeight: 700, color: (left ?? 0) + (retests ?? 0) > 0 ? 'warning.dark' : 'success.main' }}
      >
        {[
          `${counted} of ${owed} made`,
          ...((left ?? 0) > 0 ? [`${left} still owed by 31 December`] : []),
          ...((retests ?? 0) > 0 ? [`${retests} more for one that failed`] : []),
        ].join(', ')}
      </Typography>
      <Box component="ul" aria-label="Tests" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
        {tests.map(({ day, mark, said, retestOf, whole }) => (
          <Typography component="li" key={mark}>
            <span className="mono">{`${day} ${mark}`}</span>
            {` ${SHAPE[said] ?? ''} ${WORDS[said] ?? said}${retestOf ? `, in place of ${retestOf}` : ''}${whole ? '' : '; not to its end, does not count'}`}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
