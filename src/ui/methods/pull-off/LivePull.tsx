'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { useRef, useState } from 'react';
import { factMeasure, limitsOf, readMeasure } from '@/core/methods';
import { pulledOf } from '@/core/methods/pull/pull-rate';
import { ruleOf } from '@/core/methods/pull/standards';
import { loadIn, PULL_PUMP, type PumpView, strokesTo } from '@/core/press';
import { convert, exact } from '@/core/quantity';
import { timeNow } from '../../clock';
import { Figure } from '../../parts/Figure';
import { KnobList } from '../../parts/Knobs';
import { OverTime } from '../../press/OverTime';
import { PumpButtons } from '../../press/PumpButtons';
import { useHandPump } from '../../press/use-hand-pump';
import type { InstrumentProps } from '../kit';

const LEAST_KN = 0.02;
/** How far apart the readings are that are kept, s, and the longest time that the rate is told over. */
const KEPT_S = 0.1;
const OVER_S = 1;

const KNOBS = {
  seconds: { words: 'Seconds a stroke', from: 0.5, to: 20, step: 0.5, start: 4 },
  part: { words: 'Part of a stroke', from: 0.1, to: 1, step: 0.05, start: 1 },
} as const;

type Point = readonly [seconds: number, stress: number];

/** The pull as it is pumped: stress, rate in its corridor, peak; the break by itself, with what it took. */
export function LivePull({ run, data, readOnly }: InstrumentProps) {
  const tester = data.setup.equipment?.find(({ number }) => number === run.readings.values.tester);
  if (readOnly || !tester?.live) return null;
  return <Follow run={run} data={data} readOnly={readOnly} tester={tester.number} key={tester.number} />;
}

function Follow({ run, data, tester }: InstrumentProps & { readonly tester: string }) {
  const us = data.system === 'US';
  const unit = us ? 'psi' : 'MPa';
  const rule = ruleOf(data.setup);
  const limits = limitsOf(data.setup);
  const band = limits.of(rule.rate, data.system);
  const [most, least] = [band.high?.toNumber() ?? 0, band.low?.toNumber()];
  const of = (name: string): number | undefined => readMeasure(run.live.input, name)?.value.toNumber();
  const [d1, d2] = [of('core1'), of('core2')];
  const across = rule.cored && d1 && d2 ? (d1 + d2) / 2 : of('dolly');
  const area = across ? (Math.PI / 4) * across ** 2 : null;
  const mm2 = area === null ? null : us ? convert(exact(area), 'in2', 'mm2').toNumber() : area;
  const record = useRef<Point[]>([]);
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [knobs, setKnobs] = useState({
    seconds: KNOBS.seconds.start as number,
    part: KNOBS.part.start as number,
  });
  const ownStress = (mpa: number): number => (us ? convert(exact(mpa), 'MPa', 'psi').toNumber() : mpa);
  const stressOf = (kN: number): number => (mm2 ? ownStress((kN * 1000) / mm2) : 0);
  const shown = (stress: number): string => stress.toFixed(us ? 0 : 2);
  const pump = useHandPump(tester, 'kN', LEAST_KN, ({ t, load: kN }, now, broke) => {
    const last = record.current.at(-1);
    if (!last || t - last[0] >= KEPT_S || broke) {
      record.current = [...record.current.slice(-3000), [t, stressOf(kN)]];
      setPoints(record.current);
    }
    if (broke) take(now);
  });
  const { view, state, down } = pump;
  const take = ({ peak }: PumpView): void => {
    const began = record.current.findIndex(([, stress]) => stress > 0.02 * stressOf(peak));
    const from = Math.max(0, began - 5);
    const zero = record.current[from]?.[0] ?? 0;
    // What lets go falls at once: its last reading is the peak that was held.
    const rows = record.current.slice(from, -1).map(([at, stress]) => [at - zero, Math.max(0, stress)]);
    const end = (record.current.at(-1)?.[0] ?? 0) - zero;
    const trace = [...rows, [end, stressOf(peak)]]
      .map(([at = 0, stress = 0]) => `${at.toFixed(2)} ${stress.toFixed(us ? 1 : 4)}`)
      .join('\n');
    const force = us ? loadIn(peak, 'kN', 'lbf') : peak * 1000;
    const found: Record<string, string> = {
      shows: 'force',
      force: force.toFixed(us ? 1 : 0),
      ended: 'broke',
      trace,
      pulledAt: new Date(timeNow()).toISOString(),
    };
    // What somebody read off stands: only what is empty is filled in, but for what it shows.
    for (const [field, text] of Object.entries(found))
      if (!run.readings.values[field] || field === 'shows') run.readings.save(field, text);
  };
  const anew = (): void => {
    record.current = [];
    setPoints([]);
    pump.anew();
  };
  const rate = rateNow(points);
  const load = stressOf(pump.load);
  const peak = stressOf(view.peak);
  const fast = most > 0 && rate > most;
  const words = down
    ? 'The line to the tester is down: what stands here is old.'
    : area === null
      ? 'Its dolly, or its core, first: without its area there is no stress.'
      : view.phase === 'waiting'
        ? `Following ${tester}. Nought, valve shut, then full strokes.`
        : view.phase === 'broken'
          ? `It let go at ${shown(peak)} ${unit}. Look at both faces.`
          : fast
            ? 'Too fast: slower strokes. So it reads high.'
            : least !== undefined && rate < least
              ? 'Too slow: keep the strokes following one another.'
              : 'In its corridor.';
  // Half as much again as is asked for is what a sound one bears.
  const expected = 1.5 * (factMeasure(data.setup, 'pullOffLeast', 'stress', 'MPa')?.toNumber() ?? 0);
  const plan =
    mm2 && expected && most
      ? strokesTo(PULL_PUMP, {
          stress: expected,
          face: mm2,
          most: us ? convert(exact(most), 'psi', 'MPa').toNumber() : most,
        })
      : null;
  const whole = pulledOf(
    { seconds: points.map(([at]) => at), stress: points.map(([, stress]) => stress) },
    limits.number('pull.start', data.system).div(100).toNumber(),
  );
  return (
    <Box
      component="section"
      aria-label={`${tester} live`}
      sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Figure label={`Stress, ${unit}`} text={shown(load)} />
        <Figure label="Peak held" text={shown(peak)} />
        <Figure label={`Rate, ${unit}/s`} text={view.phase === 'loading' ? rate.toFixed(us ? 1 : 2) : '…'} />
        <Figure label="Seconds" text={view.seconds.toFixed(1)} />
      </Box>
      <RateBar rate={view.phase === 'loading' ? rate : 0} least={least ?? 0} most={most} />
      <Typography
        aria-live="polite"
        sx={{ fontWeight: 700, my: 1, color: down || fast ? 'error.main' : 'success.main' }}
      >
        {words}
      </Typography>
      <OverTime
        label={`stress, ${unit}`}
        points={points.map(([x, y]) => ({ x, y }))}
        says={`Stress against time, now ${shown(load)} ${unit}`}
      />
      {view.phase === 'broken' && whole ? (
        <Typography>
          {`${whole.rate.toFixed(us ? 1 : 2)} ${unit}/s from a tenth of it on, ${whole.steepest.toFixed(us ? 1 : 2)} at its steepest, ${whole.seconds.toFixed(0)} s.`}
        </Typography>
      ) : null}
      {state.simulated ? (
        <>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', mt: 1 }}>
            <KnobList
              knobs={KNOBS}
              values={knobs}
              words={{ seconds: (value) => `${value} s`, part: (value) => value.toFixed(2) }}
              turn={(name, value) => setKnobs((now) => ({ ...now, [name]: value }))}
            />
          </Box>
          {plan ? (
            <Typography variant="body2" color="text.secondary">
              {`For a break at ${shown(ownStress(expected))} ${unit} in the middle of a stroke: ${plan.first.toFixed(2)} of a stroke first, then whole ones, ${plan.strokes.toFixed(1)} in all, each no quicker than ${plan.seconds.toFixed(1)} s.`}
            </Typography>
          ) : null}
        </>
      ) : null}
      <PumpButtons
        runId={data.runId}
        simulated={state.simulated}
        anew={anew}
        place="Hook on the dolly"
        about="A stand-in tester: what it pulls on is made up."
        stroke={knobs}
      />
    </Box>
  );
}

/** Rise over the last second. */
function rateNow(points: readonly Point[]): number {
  const last = points.at(-1);
  if (!last) return 0;
  const back = points.findLast(([at]) => last[0] - at >= OVER_S) ?? points[0];
  return back && last[0] > back[0] ? Math.max(0, (last[1] - back[1]) / (last[0] - back[0])) : 0;
}

/** The rate in its corridor. */
function RateBar({
  rate,
  least,
  most,
}: {
  readonly rate: number;
  readonly least: number;
  readonly most: number;
}) {
  const { palette } = useTheme();
  const x = (value: number): number => 10 + (480 * Math.min(2 * most, value)) / (2 * most || 1);
  return (
    <svg
      viewBox="0 0 500 34"
      width="100%"
      style={{ maxWidth: 560 }}
      role="img"
      aria-label={`Rate ${rate.toFixed(2)}, ${least} to ${most} allowed`}
    >
      <rect
        x={x(least)}
        y={6}
        width={x(most) - x(least)}
        height={14}
        fill={palette.success.main}
        opacity={0.25}
      />
      <line x1={10} x2={490} y1={20} y2={20} stroke={palette.text.primary} />
      <rect
        x={x(rate) - 3}
        y={2}
        width={6}
        height={22}
        fill={rate > most ? palette.error.main : palette.primary.main}
      />
      <text x={x(most)} y={33} fontSize={12} textAnchor="middle" fill={palette.text.secondary}>
        {most}
      </text>
    </svg>
  );
}
