'use client';
import {
  Box,
  Checkbox,
  FormControlLabel,
  MenuItem,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { groupBy } from '@/core/group-by';
import {
  CHARTS,
  type ChartRules,
  chartsOf,
  firstSignals,
  type SeriesCharts,
  withStep,
} from '@/core/uniformity';
import { Facts } from '../parts/Card';
import { TextLink } from '../parts/LinkButton';
import { DecideSource } from './DecideSource';
import { DRAWN, type DrawnChart, SourceChart, type SourcePoint } from './SourceChart';

/** A series of one source as it is shown. */
export interface SourceShown {
  readonly name: string;
  readonly points: readonly SourcePoint[];
  readonly charts: SeriesCharts | null;
  readonly facts: readonly (readonly [string, string])[];
  readonly remarks: readonly string[];
  readonly expected: readonly {
    readonly sampleId: string;
    readonly label: string;
    readonly words: string;
    readonly look: boolean;
  }[];
}

/** Steps that are tried, in deviations of the baseline. */
const STEPS = [0.5, 1, 1.5, 2, 3];
/** Results after the baseline from which a step can be tried. */
const AFTER = 3;

/** Series of sources: one at a time, by one of its charts, with its scatter and every result. */
export function Sources({
  sources,
  unit,
  places,
  rules,
  canDecide,
}: {
  sources: readonly SourceShown[];
  unit: string;
  /** Decimals of a strength. */
  places: number;
  rules: ChartRules;
  canDecide: boolean;
}) {
  const [at, setAt] = useState(0);
  const [drawn, setDrawn] = useState<DrawnChart>('weighted');
  const [step, setStep] = useState<number | null>(null);
  const series = sources[at] ?? sources[0];
  if (!series) return null;
  const { points, charts } = series;
  const values = points.map(({ value }) => value);
  const out = new Set(points.flatMap(({ left }, place) => (left ? [place] : [])));
  const from = charts ? charts.until + 1 : 0;
  const canTry = charts !== null && points.length >= from + AFTER;
  const tried =
    step !== null && canTry && charts ? chartsOf(withStep(values, from, step, charts), rules, out) : null;
  const shown = tried ?? charts;
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
        <TextField
          select
          size="small"
          label="Source"
          value={at}
          onChange={(event) => setAt(Number(event.target.value))}
          sx={{ minWidth: 280 }}
        >
          {sources.map(({ name }, place) => (
            <MenuItem key={name} value={place}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label="Chart"
          value={drawn}
          onChange={(event) => setDrawn(event.target.value as DrawnChart)}
          sx={{ minWidth: 200 }}
        >
          {(Object.keys(DRAWN) as DrawnChart[]).map((id) => (
            <MenuItem key={id} value={id}>
              {DRAWN[id]}
            </MenuItem>
          ))}
        </TextField>
        {canTry ? (
          <FormControlLabel
            control={<Checkbox checked={step !== null} onChange={(_, on) => setStep(on ? 1.5 : null)} />}
            label="Learn: add a step"
          />
        ) : null}
        {step !== null && canTry ? (
          <TextField
            select
            size="small"
            label="Step, deviations"
            value={step}
            onChange={(event) => setStep(Number(event.target.value))}
            sx={{ minWidth: 130 }}
          >
            {STEPS.map((size) => (
              <MenuItem key={size} value={size}>
                {size}
              </MenuItem>
            ))}
          </TextField>
        ) : null}
      </Box>
      {tried && step !== null ? (
        <Typography role="status" sx={{ mb: 1, fontWeight: 700 }}>
          {seenWords(tried, from, step, points[from]?.label ?? '')}
        </Typography>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 320px' },
        }}
      >
        {shown ? (
          <SourceChart charts={shown} points={points} drawn={drawn} sum={rules.sum} unit={unit} />
        ) : (
          <Typography>
            {`${points.length - out.size} of the ${rules.baseline} results that make a baseline. Its charts begin with the last of them; until then each result stands in the table.`}
          </Typography>
        )}
        <Box>
          <Facts pairs={series.facts} />
          {series.remarks.map((words) => (
            <Typography key={words} variant="body2" sx={{ mt: 1 }}>
              {words}
            </Typography>
          ))}
        </Box>
      </Box>
      {series.expected.map(({ sampleId, label, words, look }) => (
        <Typography key={sampleId} sx={{ mt: 1, fontWeight: look ? 700 : 400 }}>
          <TextLink href={`/samples/${sampleId}`}>{label}</TextLink>
          {` ${words}${look ? ' Beyond the chart: look into it now.' : ''}`}
        </Typography>
      ))}
      <Box sx={{ overflowX: 'auto', mt: 1, maxHeight: 420 }}>
        <Table size="small" stickyHeader>
          <TableHead>
            <TableRow>
              {[
                'Sample',
                'Taken',
                unit,
                'Beyond the limits of',
                'Otherwise than the one before',
                'Decided',
              ].map((word) => (
                <TableCell key={word}>{word}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {points
              .map((point, place) => ({ point, beyond: charts?.points[place]?.beyond ?? [] }))
              .toReversed()
              .map(({ point, beyond }) => (
                <TableRow key={point.sampleId}>
                  <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                    <TextLink href={`/samples/${point.sampleId}`}>{point.label}</TextLink>
                  </TableCell>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>{point.day}</TableCell>
                  <TableCell className="mono">
                    {point.value.toLocaleString('en-US', { minimumFractionDigits: places })}
                    {point.left ? ', not in the baseline' : ''}
                  </TableCell>
                  <TableCell sx={{ color: beyond.length > 0 ? 'error.main' : undefined }}>
                    {beyond.map((id) => CHARTS[id]).join(', ')}
                  </TableCell>
                  <TableCell>{point.changed.join('; ')}</TableCell>
                  <TableCell>
                    {point.decisions.map((words) => (
                      <Typography key={words} variant="body2">
                        {words}
                      </Typography>
                    ))}
                    {canDecide ? <DecideSource sampleId={point.sampleId} label={point.label} /> : null}
                  </TableCell>
                </TableRow>
              ))}
          </TableBody>
        </Table>
      </Box>
    </Box>
  );
}

/** Which chart sees a step that was put in, and how soon. */
function seenWords(charts: SeriesCharts, from: number, step: number, label: string): string {
  const byPlace = groupBy(firstSignals(charts, from), ([, place]) => place);
  const seen = [...byPlace]
    .toSorted(([a], [b]) => a - b)
    .map(([place, ids]) => `at result ${place - from + 1} by ${ids.map(([id]) => CHARTS[id]).join(', ')}`);
  const put = `A step of ${step} deviations from ${label} on`;
  return seen.length === 0
    ? `${put} is not seen by any chart in the ${charts.points.length - from} results since.`
    : `${put} is seen ${seen.join('; ')}. The results themselves are not changed.`;
}
