'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { readRows } from '@/core/methods/picture-rows';
import { pipeJoint } from '@/core/methods/pipe-joint';
import { Line } from '../../charts/Line';
import { curve, limitLine, useChartSetup } from '../../charts/setup';
import { timeNow } from '../../clock';
import { useNow } from '../../use-now';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

/** The pressure over time against what is asked, the clock that begins anew where it falls, and where water was seen. */
function PipeJointBench({ picture: { values } }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const now = useNow(timeNow(), 1000);
  const read = readRows(values.read).map(([at, pressure]) => ({
    at: Number(at),
    pressure: Number(pressure),
  }));
  const [asked, hold] = [Number(values.asked), Number(values.hold)];
  const start = read[0]?.at;
  if (start === undefined || !asked)
    return (
      <Typography color="text.secondary">
        Its pressure over time stands here from the first reading on. The plan says the thrust on a bulkhead:
        read it before anything is filled.
      </Typography>
    );
  const since = typeof values.since === 'number' ? values.since : null;
  const until = typeof values.ended === 'number' ? values.ended : now;
  const minutes = since === null ? 0 : Math.max(0, (until - since) / 60_000);
  const leaks = readRows(values.leaks);
  const points = read.map(({ at, pressure }) => ({ x: (at - start) / 60_000, y: pressure }));
  return (
    <Box>
      <Box sx={{ height: 200 }}>
        <Line
          role="img"
          aria-label={`Pressure over time: ${points.length} readings, ${asked} ${String(values.unit)} asked for`}
          data={{ datasets: [curve('pressure', points, palette.primary.main)] }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: { ...base.scales.x, type: 'linear', min: 0, title: { display: true, text: 'min' } },
              y: {
                ...base.scales.y,
                min: 0,
                suggestedMax: 1.25 * asked,
                title: { display: true, text: String(values.unit) },
              },
            },
            plugins: {
              ...base.plugins,
              annotation: {
                annotations: {
                  asked: limitLine(asked, 'asked for', palette.error.main, palette.background.paper),
                },
              },
            },
          }}
        />
      </Box>
      <Typography
        role="status"
        sx={{
          fontWeight: 700,
          color: since === null ? 'error.main' : minutes >= hold ? 'success.main' : 'text.primary',
        }}
      >
        {since === null
          ? 'Below what is asked for: the clock begins anew when it is there again.'
          : minutes >= hold
            ? `${Math.floor(minutes)} min without a break: long enough.`
            : `${Math.floor(minutes)} of ${hold} min without a break.`}
      </Typography>
      {leaks.map(([where, what], place) => (
        <Typography
          key={`${where}${String(place)}`}
          sx={{ color: what === 'runs' ? 'error.main' : 'text.secondary' }}
        >
          {`${what === 'runs' ? '✕ It runs' : '· Beads that stick'}: ${where}`}
        </Typography>
      ))}
    </Box>
  );
}

const FOLDER = wholeFolder({ method: pipeJoint, Bench: PipeJointBench, benchStays: true });

export function InPipeJoint({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
