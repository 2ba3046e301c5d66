'use client';
import { Box, Button, FormControlLabel, Switch, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import type { PressTest } from '@/core/methods';
import { loadBand } from '@/core/methods/press';
import { tapRates } from '@/core/press';
import { convert, exact, roundedText, type System, unitLabel, unitOf } from '@/core/quantity';
import { signal } from '../field/alarm';
import { isTyping } from '../keys';

/** Older taps than this belong to another test. */
const FORGET_S = 120;

/**
 * The rate without any cable: a tap (or the space bar) whenever the hand passes the next numbered mark, held against
 * the band at once.
 */
export function TapRate({
  test,
  major,
  system,
  take,
}: {
  test: PressTest;
  major: number;
  system: System;
  /** Takes the mean rate, with its unit. */
  take: ((text: string) => void) | undefined;
}) {
  const [taps, setTaps] = useState<readonly number[]>([]);
  const band = loadBand(test, system);
  const { each, mean } = tapRates(taps, major);
  const last = each.at(-1);
  const stressed = unitOf(test.band.unit).dimension === 'stressRate';
  const shown = (rate: number): string => {
    if (!stressed) return `${rate.toFixed(0)} ${unitLabel(test.band.unit)}`;
    const stress = exact(rate).times(test.factor).div(test.area);
    return `${roundedText(
      convert(stress, system === 'US' ? 'psi/s' : 'MPa/s', test.band.unit),
      system === 'US' ? '0.1' : '0.001',
    )} ${unitLabel(test.band.unit)}`;
  };
  const tap = (): void => {
    const now = performance.now() / 1000;
    setTaps((all) => (now - (all.at(-1) ?? now) > FORGET_S ? [now] : [...all, now]));
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || isTyping(event.target) || (event.target as HTMLElement).closest('button'))
        return;
      event.preventDefault();
      tap();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const [fast, slow] = [band.high, band.low].map((rate) => major / Math.max(rate.toNumber(), 1e-9));
  const beat = useBeat(major / Math.max(band.target.toNumber(), 1e-9), taps.at(-1));
  const off = last === undefined ? 0 : last > band.high.toNumber() ? 1 : last < band.low.toNumber() ? -1 : 0;
  return (
    <Box sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="outlined" size="large" onClick={tap}>
          Numbered mark passed
        </Button>
        <FormControlLabel
          control={<Switch checked={beat.on} onChange={(_, on) => beat.turn(on)} />}
          label={`Beat every ${(major / Math.max(band.target.toNumber(), 1e-9)).toFixed(1)} s`}
        />
        <Box
          aria-hidden="true"
          sx={{
            width: 22,
            height: 22,
            borderRadius: '50%',
            border: 2,
            borderColor: 'primary.main',
            bgcolor: beat.lit ? 'primary.main' : 'transparent',
          }}
        />
        {taps.length > 0 ? (
          <Button size="small" color="secondary" onClick={() => setTaps([])}>
            Begin anew
          </Button>
        ) : null}
        {mean !== null && take ? (
          <Button
            variant="contained"
            onClick={() => take(shown(mean))}
          >{`Take ${shown(mean)} as the rate`}</Button>
        ) : null}
      </Box>
      <Typography
        aria-live="polite"
        sx={{ mt: 0.5, color: last === undefined || off === 0 ? 'text.secondary' : 'error.main' }}
      >
        {last === undefined
          ? `Tap, or press space, at each numbered mark in the second half: one every ${fast?.toFixed(1)} to ${slow?.toFixed(1)} s.`
          : `${shown(last)} since the mark before: ${off > 0 ? 'too fast, close the knob a little' : off < 0 ? 'too slow, open the knob a little' : 'in the band'}. ${taps.length < 3 ? 'Three taps make a record.' : ''}`}
      </Typography>
    </Box>
  );
}

/** How long the light of a beat stays on. */
const LIT_MS = 180;

/**
 * A beat, heard and seen, whenever the hand should pass the next numbered mark; a tap begins it anew.
 * @param seconds between two beats
 * @param from the last tap: the hand was at a mark then
 */
function useBeat(
  seconds: number,
  from: number | undefined,
): { on: boolean; lit: boolean; turn: (on: boolean) => void } {
  const [on, turn] = useState(false);
  const [lit, setLit] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new tap begins the beat anew
  useEffect(() => {
    if (!on || !Number.isFinite(seconds) || seconds <= 0) return;
    let dark: ReturnType<typeof setTimeout> | undefined;
    const timer = setInterval(() => {
      signal(660, 0.06);
      setLit(true);
      dark = setTimeout(() => setLit(false), LIT_MS);
    }, seconds * 1000);
    return () => {
      clearInterval(timer);
      clearTimeout(dark);
      setLit(false);
    };
  }, [on, seconds, from]);
  return { on, lit, turn };
}
