'use client';
import { Box, Typography } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import { CoreDrawing } from '../../drawings/CoreDrawing';
import type { BenchProps } from '../kit';
import { type Drawn, EndProfile } from './EndProfile';

/** The profiles that a picture carries: the line of each, and its points. */
function profilesOf(packed: unknown): Drawn[] {
  return readRows(packed).map(([scan = '', intercept, slope, points = '']) => ({
    scan,
    intercept: Number(intercept),
    slope: Number(slope),
    points: points.split(' ').map((pair) => {
      const [x, y] = pair.split(',').map(Number);
      return { x: x ?? 0, y: y ?? 0 };
    }),
  }));
}

/** A core as it stands in the press and how it failed; its ends as the dial read them, against what is asked of them. */
export function RockCoreBench({ picture }: BenchProps) {
  const { diameter, length, failure, angle, unit, band, flat, square, parallel } = picture.values;
  const profiles = profilesOf(picture.values.profiles);
  const checks = [
    ['Flat', flat, 4, ` ${unit}`, picture.values.flatBad],
    ['Square', square, 5, ' of the diameter', picture.values.squareBad],
    ['Parallel', parallel, 3, '°', picture.values.parallelBad],
  ] as const;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
      <CoreDrawing
        diameter={Number(diameter) || null}
        length={Number(length) || null}
        failure={typeof failure === 'string' ? failure : null}
        angle={typeof angle === 'number' ? angle : null}
        unit={String(unit)}
      />
      <Box sx={{ flex: 1, minWidth: 280 }}>
        {profiles.length === 0 ? (
          <Typography color="text.secondary">
            Its ends stand here once a diameter of one is read: points, their line, and how far a point may
            lie off it.
          </Typography>
        ) : (
          <>
            <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
              {profiles.map((profile) => (
                <EndProfile key={profile.scan} {...profile} band={Number(band)} unit={String(unit)} />
              ))}
            </Box>
            <Box component="ul" aria-label="Ends" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
              {checks.map(([name, value, places, of, bad]) =>
                typeof value === 'number' ? (
                  <Typography key={name} component="li" sx={{ color: bad ? 'error.main' : 'success.main' }}>
                    {`${bad ? '✕' : '✓'} ${name}: `}
                    <span className="mono">{`${value.toFixed(places)}${of}`}</span>
                  </Typography>
                ) : null,
              )}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}
