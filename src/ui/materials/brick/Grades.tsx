'use client';
import { Box, FormControlLabel, Switch, Typography, useTheme } from '@mui/material';
import { useState } from 'react';
import { ALTERNATES, type Alternate, WAIVES } from '@/core/materials/brick/alternates';
import { figure, type GradeTable, judge, rowWords } from '@/core/materials/brick/grades';
import type { Picture } from '@/core/methods';
import { listed } from '../../methods/listed';

const WIDTH = 260;

/** Every limit of every grade beside what was found, and what an alternate would change. */
export function Grades({ picture: { values } }: { picture: Picture }) {
  const tables = JSON.parse(String(values.tables)) as GradeTable[];
  const possible = new Set(listed(values.possible));
  const asked = listed(values.used) as Alternate[];
  const [used, setUsed] = useState<readonly Alternate[]>(asked);
  const { grade, why, governs, missing } = judge(tables, used);
  const waived = new Set(used.flatMap((each) => WAIVES[each]));
  const names = [...new Set(tables.flatMap((each) => each.rows.map(({ row }) => row)))];
  const changed = used.length !== asked.length || used.some((each) => !asked.includes(each));
  return (
    <Box>
      <Typography sx={{ fontSize: '1.5rem' }} role="status">
        {grade === undefined
          ? `Not known: no result of ${missing.join(', ').toLowerCase()}`
          : grade === null
            ? 'No grade'
            : `Grade ${grade}`}
        {changed ? ' with these alternates' : ''}
        {values.asked ? `, ${values.asked} is asked for` : ''}
      </Typography>
      {changed && grade !== undefined && why.length > 0 ? (
        <Typography color="error">{`Not ${grade === null ? 'the last one' : 'the next one'}: ${why.map(rowWords).join('; ')}.`}</Typography>
      ) : null}
      {changed && governs && grade ? (
        <Typography color="text.secondary">{`Least margin: ${governs.name.toLowerCase()}, ${governs.margin?.toFixed(1)} %.`}</Typography>
      ) : null}
      <Box sx={{ mt: 1, display: 'grid', gap: 0.75, maxWidth: 900 }}>
        {names.map((name) => (
          <Bar
            key={name}
            row={name}
            tables={tables}
            waived={waived.has(name)}
            governs={governs?.row === name}
          />
        ))}
      </Box>
      {(Object.keys(ALTERNATES) as Alternate[]).map((each) => (
        <FormControlLabel
          key={each}
          sx={{ display: 'flex' }}
          disabled={!possible.has(each)}
          label={`${ALTERNATES[each]}${possible.has(each) ? '' : ' (no evidence for it here)'}`}
          control={
            <Switch
              checked={used.includes(each)}
              onChange={(_, on) => setUsed(on ? [...used, each] : used.filter((one) => one !== each))}
            />
          }
        />
      ))}
      <Typography variant="body2" color="text.secondary">
        Switches show what an alternate would change. What counts is what the specification of this job says.
      </Typography>
    </Box>
  );
}

/** One property: the value as a mark on a line, and the limit of each grade. */
function Bar({
  row,
  tables,
  waived,
  governs,
}: {
  row: string;
  tables: readonly GradeTable[];
  waived: boolean;
  governs: boolean;
}) {
  const { palette } = useTheme();
  const all = tables.flatMap(({ grade, rows }) =>
    rows.filter((each) => each.row === row).map((each) => ({ grade, ...each })),
  );
  const [first] = all;
  if (!first) return null;
  const { value, unit, holds, name } = first;
  const most = Math.max(value ?? 0, ...all.map(({ limit }) => limit)) * 1.12;
  const x = (at: number): number => (at / most) * WIDTH;
  const found = value === null ? 'no result' : `${figure(value, first)} ${unit}`.trim();
  const limits = all.map((each) => `${each.grade} ${figure(each.limit, each)}`).join(', ');
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '230px 260px 90px 1fr' },
        columnGap: 1.5,
        alignItems: 'center',
        opacity: waived ? 0.45 : 1,
      }}
    >
      <Typography sx={{ fontWeight: governs ? 700 : 400 }}>
        {governs ? '▸ ' : ''}
        {name}
        {waived ? ', waived' : ''}
      </Typography>
      <svg
        viewBox={`0 0 ${WIDTH} 26`}
        width="100%"
        style={{ maxWidth: WIDTH }}
        role="img"
        aria-label={`${name}: ${found}; ${holds} ${limits}`}
      >
        <rect x={0} y={8} width={WIDTH} height={10} fill={palette.action.hover} />
        {value === null ? null : (
          <rect
            x={0}
            y={8}
            width={x(value)}
            height={10}
            fill={all[0]?.good ? palette.success.main : palette.warning.main}
          />
        )}
        {all.map(({ grade, limit, good }) => (
          <path
            key={grade}
            d={`M${x(limit)} 2v22`}
            stroke={good === false ? palette.error.main : palette.text.primary}
            strokeWidth={2.5}
          />
        ))}
      </svg>
      <Typography className="mono">{found}</Typography>
      <Typography variant="body2" color="text.secondary">
        {`${holds} ${limits}`}
      </Typography>
    </Box>
  );
}
