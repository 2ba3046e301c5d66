'use client';
import { Box, Typography } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import { barrelOf } from '@/core/methods/three-edge/barrel';
import type { BenchProps } from '../kit';
import { Barrel } from './Barrel';
import { LoadBoard, type Marks } from './LoadBoard';
import { Section } from './Section';

type Values = BenchProps['picture']['values'];
const number = (value: Values[string] | undefined): number | null =>
  typeof value === 'number' ? value : null;

/** The marks of the load that a picture carries; null while the pipe is not known. */
export function marksOf(values: Values): Marks | null {
  const [turn, design, first, second] = ['turn', 'goal', 'first', 'second'].map((name) =>
    number(values[name]),
  );
  return turn && design && first && second
    ? { turn, design, first, second, ultimate: number(values.ultimate) }
    : null;
}

const SAYS: Readonly<Record<string, string>> = {
  'it is the crack': 'It is the crack',
  'it is not': 'Not the crack',
  'probe on': 'Probe on, where the arrows are',
};

/** A pipe in its press to scale, its load over time as far as it is known, its barrel with what was probed. */
export function ThreeEdgeBench({ picture }: BenchProps) {
  const { values } = picture;
  const marks = marksOf(values);
  const points = readRows(values.log).map(([x, y]) => ({ x: Number(x), y: Number(y) }));
  const barrel = barrelOf(picture);
  const unit = String(values.unit);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
      <Section
        shape={typeof values.shape === 'string' ? values.shape : null}
        span={number(values.span)}
        rise={number(values.rise)}
        wall={number(values.wall)}
        apart={number(values.apart)}
        least={number(values.apartLeast)}
        most={number(values.apartMost)}
        off={number(values.off)}
        beamWide={number(values.beamWide)}
        beamHigh={number(values.beamHigh)}
        unit={unit}
      />
      <Box sx={{ flex: 1, minWidth: 280 }}>
        {marks && points.length > 1 ? (
          <LoadBoard marks={marks} points={points} force={String(values.force)} />
        ) : (
          <Typography color="text.secondary">
            {marks
              ? `First rate up to ${marks.turn.toFixed(0)} ${String(values.force)}, then slower to ${marks.design.toFixed(0)}. Its load over time stands here once it is read.`
              : 'Its loads stand here once class, diameter and joint are in its specification.'}
          </Typography>
        )}
        {barrel && barrel.cracks.length > 0 ? (
          <>
            <Barrel barrel={barrel} />
            <Typography role="status" sx={{ fontWeight: 700 }}>
              {SAYS[String(values.says)] ?? ''}
            </Typography>
          </>
        ) : null}
      </Box>
    </Box>
  );
}
