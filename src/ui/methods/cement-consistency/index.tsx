'use client';
import { Button, Stack, Typography, useTheme } from '@mui/material';
import { type PropsWithChildren, useState } from 'react';
import { limitsOf, pathOf } from '@/core/methods';
import { cementConsistency } from '@/core/methods/cement-consistency';
import { readRows } from '@/core/methods/picture-rows';
import { MixBeats } from '../../cement/MixBeats';
import { Figure } from '../../parts/Figure';
import { newRow } from '../../rows/use-rows';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps, InstrumentProps } from '../kit';

const WIDE = 460;
const HIGH = 240;
const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);

/** Water over how far the plunger went in, with the band and where the next paste is tried. */
function Ladder({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const tried = readRows(values.tried).map(([place = '', grams = '', share = '', depth = '', why = '']) => ({
    ...{ place, grams, why },
    share: Number(share),
    depth: Number(depth),
  }));
  const [low, high, next] = [number(values.low) ?? 9, number(values.high) ?? 11, number(values.next)];
  const shares = tried.map(({ share }) => share);
  const [from, to] = shares.length > 0 ? [Math.min(...shares) - 1, Math.max(...shares) + 1] : [24, 30];
  const x = (share: number): number => 44 + ((share - from) / (to - from)) * (WIDE - 60);
  const most = Math.max(high * 1.5, ...tried.map(({ depth }) => depth + 2));
  const y = (depth: number): number => HIGH - 34 - (depth / most) * (HIGH - 50);
  return (
    <>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        style={{ maxWidth: 620 }}
        role="img"
        aria-label={`${tried.length} pastes; the plunger has to go in ${low} to ${high} mm`}
      >
        <rect
          x={44}
          y={y(high)}
          width={WIDE - 60}
          height={y(low) - y(high)}
          fill={palette.success.main}
          opacity={0.18}
        />
        <text x={WIDE - 20} y={y(high) - 5} fontSize={11} textAnchor="end" fill={palette.success.main}>
          {`${low} to ${high} mm`}
        </text>
        <path d={`M 44 8 V ${y(0)} H ${WIDE - 16}`} fill="none" stroke={palette.text.secondary} />
        {[0, Math.round(most / 2), Math.round(most)].map((depth) => (
          <text
            key={depth}
            x={38}
            y={y(depth) + 4}
            fontSize={11}
            textAnchor="end"
            fill={palette.text.secondary}
          >
            {depth}
          </text>
        ))}
        <text x={44} y={HIGH - 4} fontSize={11} fill={palette.text.secondary}>
          mm over water, percent of the cement
        </text>
        {tried.map(({ place, share, depth, why }) => (
          <g key={place}>
            {why ? (
              <path
                d={`M ${x(share) - 5} ${y(depth) - 5} l 10 10 m 0 -10 l -10 10`}
                stroke={palette.error.main}
                strokeWidth={2}
              />
            ) : (
              <circle cx={x(share)} cy={y(depth)} r={6} fill={palette.primary.main} />
            )}
            <text
              x={x(share)}
              y={y(depth) - 10}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.primary}
            >
              {`${depth} mm`}
            </text>
            <text
              x={x(share)}
              y={y(0) + 14}
              fontSize={11}
              textAnchor="middle"
              fill={palette.text.secondary}
              className="mono"
            >
              {share.toFixed(1)}
            </text>
          </g>
        ))}
      </svg>
      {next === null ? null : (
        <Typography role="status" sx={{ fontWeight: 700, fontSize: '1.2rem' }}>
          {`Next paste: ${next.toFixed(1)} g of water.`}
        </Typography>
      )}
    </>
  );
}

/** A paste from its water to its reading: mixed by the beats, released by a press, read half a minute later. */
function MixAndRelease({ run, data, readOnly }: InstrumentProps) {
  const [row, setRow] = useState<string | null>(null);
  const [released, setReleased] = useState<number | null>(null);
  if (readOnly) return null;
  const limits = limitsOf(data.setup);
  const most = limits.of('consistency.release', data.system).high?.toNumber() ?? 30;
  const read = limits.of('consistency.read', data.system).low?.toNumber() ?? 30;
  const next = number(run.live.outcome.picture.values.next);
  const begun = (at: string): void => {
    const fresh = newRow();
    setRow(fresh);
    setReleased(null);
    run.readings.save(pathOf('pastes', fresh, 'contactAt'), at);
    if (next !== null) run.readings.save(pathOf('pastes', fresh, 'water'), next.toFixed(1));
    run.readings.save(pathOf('pastes', fresh, 'paste'), 'fresh');
  };
  return (
    <MixBeats
      mixed="paste"
      school={limits.profile}
      begun={begun}
      after={(seconds) =>
        released === null ? (
          <Stack direction="row" spacing={3} sx={{ alignItems: 'center' }}>
            <Figure label={`Since it was mixed, s (release by ${most})`} text={String(Math.floor(seconds))} />
            <Button
              variant="contained"
              sx={{ minHeight: 56 }}
              onClick={() => {
                setReleased(seconds);
                if (row) run.readings.save(pathOf('pastes', row, 'released'), String(Math.round(seconds)));
              }}
            >
              Plunger released
            </Button>
            <Typography sx={{ fontWeight: 700, color: seconds > most ? 'error.main' : 'text.primary' }}>
              {seconds > most ? 'Too late: a fresh paste.' : ''}
            </Typography>
          </Stack>
        ) : (
          <Typography sx={{ fontWeight: 700, fontSize: '1.6rem' }}>
            {seconds - released < read
              ? `Read in ${Math.ceil(read + 1 - (seconds - released))} s; nobody leans on the bench.`
              : 'Read it now, and type it below.'}
          </Typography>
        )
      }
    />
  );
}

const FOLDER = wholeFolder({
  method: cementConsistency,
  Bench: Ladder,
  leads: { pastes: MixAndRelease },
  benchStays: true,
});

export function InCementConsistency({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
