'use client';
import { Alert, Box, MenuItem, Stack, TextField, Typography, useTheme } from '@mui/material';
import { useMemo } from 'react';
import { BINDERS, type Binder, COVERS, type Cover, coolEnough, memberHeat } from '@/core/member-heat';
import { convert, exact } from '@/core/quantity';
import { Line } from '../charts/Line';
import { curve, limitLine, useChartSetup } from '../charts/setup';
import { Card } from '../parts/Card';
import { KnobList, KnobPage, UnitsSwitch } from '../parts/Knobs';
import { type KnobSpec, useKnobs } from '../parts/knobs';
import { Figures } from '../press/Figures';

/** What can be moved: m, kg/m³, °C, hours. */
const KNOBS = {
  thickness: { words: 'Thickness', from: 0.15, to: 4, step: 0.05, start: 1.4 },
  cement: { words: 'Binder', from: 150, to: 600, step: 10, start: 390 },
  placed: { words: 'Placed at', from: 5, to: 35, step: 1, start: 18 },
  air: { words: 'Air, mean', from: -10, to: 40, step: 1, start: 12 },
  swing: { words: 'Air, up and down in a day', from: 0, to: 15, step: 1, start: 5 },
  off: { words: 'Cover off after', from: 12, to: 336, step: 12, start: 168 },
} as const satisfies Readonly<Record<string, KnobSpec>>;
type KnobName = keyof typeof KNOBS;

const BINDER_WORDS: Readonly<Record<Binder, string>> = {
  rapid: 'Rapid cement',
  ordinary: 'Ordinary cement',
  ash: 'A third of fly ash',
  slag: 'Half of slag',
};
const COVER_WORDS: Readonly<Record<Cover, string>> = {
  bare: 'Bare, some wind',
  plywood: 'Plywood form',
  blanket: 'Insulating blanket',
  thick: 'Thick insulation',
};
const FACES = { two: 'Two faces in the air', one: 'One face on the ground' } as const;
const USUAL = { binder: 'ordinary', cover: 'plywood', faces: 'two' } as const;
const ALLOWED = {
  binder: Object.keys(BINDERS),
  cover: Object.keys(COVERS),
  faces: Object.keys(FACES),
};
const DAYS = 14;

/** What a project asks, °C: highest, core over surface, core over air when its cover comes off. */
export interface MassLimits {
  readonly highest: number;
  readonly difference: number;
  readonly toAir: number;
}

/** A member as it hardens, before it is placed: core, face and air over two weeks, against what mass concrete is held to. */
export function MemberHeat({
  given,
  limits: allowed,
}: {
  readonly given: Readonly<Record<string, string>>;
  /** As each system writes them. */
  readonly limits: Readonly<Record<'US' | 'SI', MassLimits>>;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { values, chosen, system, turn, choose, say } = useKnobs(
    KNOBS,
    given,
    USUAL as Readonly<Record<keyof typeof USUAL, string>>,
    ALLOWED,
  );
  const limits = allowed[system];
  const { thickness, cement, placed, air, swing, off } = values;
  const { binder, cover, faces } = chosen;
  const found = useMemo(
    () =>
      memberHeat(
        {
          thickness,
          cement,
          binder: binder as Binder,
          placed,
          air,
          swing,
          cover: cover as Cover,
          coverOff: off < KNOBS.off.to ? off : null,
          onGround: faces === 'one',
        },
        DAYS,
      ),
    [thickness, cement, placed, air, swing, off, binder, cover, faces],
  );
  const us = system === 'US';
  const shown = (celsius: number): number => (us ? celsius * 1.8 + 32 : celsius);
  const degrees = (celsius: number): string => `${shown(celsius).toFixed(0)} ${us ? '°F' : '°C'}`;
  const apart = (celsius: number): string =>
    us ? `${(celsius * 1.8).toFixed(0)} °F` : `${celsius.toFixed(0)} °C`;
  const days = (hours: number): string =>
    hours < 48 ? `${hours.toFixed(0)} h` : `${(hours / 24).toFixed(1)} d`;
  const pounds = (kg: number): string => convert(exact(kg), 'kg/m3', 'lb/yd3').toFixed(0);
  const words: Readonly<Record<KnobName, (value: number) => string>> = {
    thickness: (m) => (us ? `${(m / 0.3048).toFixed(1)} ft` : `${m.toFixed(2)} m`),
    cement: (kg) => (us ? `${pounds(kg)} lb/yd³` : `${kg} kg/m³`),
    placed: degrees,
    air: degrees,
    swing: (celsius) => `± ${apart(celsius)}`,
    off: (hours) => (hours >= KNOBS.off.to ? 'it stays' : days(hours)),
  };
  const free = coolEnough(found, limits.toAir);
  const over = found.highest.celsius > limits.highest;
  const parts = found.greatest.celsius > limits.difference;
  const said = over
    ? `Too warm: ${degrees(found.highest.celsius)} inside after ${days(found.highest.at)}.`
    : parts
      ? `Likely to crack: its core gets ${apart(found.greatest.celsius)} warmer than its face, ${apart(limits.difference)} is allowed.`
      : `It stays inside: ${degrees(found.highest.celsius)} at the most, ${apart(found.greatest.celsius)} between core and face.`;
  const drawn = (temperatures: readonly number[]) =>
    found.hours.map((hour, place) => ({ x: hour / 24, y: shown(temperatures[place] ?? 0) }));
  const pick = (name: keyof typeof USUAL, label: string, of: Readonly<Record<string, string>>) => (
    <TextField
      select
      label={label}
      value={chosen[name]}
      onChange={(event) => choose(name, event.target.value)}
      fullWidth
    >
      {Object.entries(of).map(([value, word]) => (
        <MenuItem key={value} value={value}>
          {word}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <KnobPage>
      <Card title="The member and its weather">
        <Stack spacing={1.25}>
          <UnitsSwitch system={system} words={{ US: '°F, ft', SI: '°C, m' }} say={say} />
          {pick('faces', 'It stands', FACES)}
          {pick('binder', 'Binder is', BINDER_WORDS)}
          {pick('cover', 'Covered by', COVER_WORDS)}
          <KnobList knobs={KNOBS} values={values} words={words} turn={turn} />
        </Stack>
      </Card>
      <Card title="Core, face and air">
        <Typography
          role="status"
          sx={{
            fontSize: '1.25rem',
            fontWeight: 700,
            mb: 1,
            color: over || parts ? 'error.main' : 'success.main',
          }}
        >
          {said}
        </Typography>
        <Box sx={{ height: 330 }}>
          <Line
            role="img"
            aria-label={`Temperatures over two weeks: core ${degrees(found.highest.celsius)} at the most`}
            data={{
              datasets: [
                curve('core', drawn(found.core), palette.error.main),
                curve('2 in [50 mm] below its face', drawn(found.surface), palette.primary.main),
                curve('air', drawn(found.air), palette.text.secondary, [2, 3]),
              ],
            }}
            options={{
              ...base,
              parsing: false,
              scales: {
                x: {
                  ...base.scales.x,
                  type: 'linear',
                  max: DAYS,
                  title: { display: true, text: 'days after placing' },
                },
                y: { ...base.scales.y, title: { display: true, text: us ? '°F' : '°C' } },
              },
              plugins: {
                ...base.plugins,
                annotation: {
                  annotations: {
                    highest: limitLine(
                      shown(limits.highest),
                      'highest allowed',
                      palette.error.main,
                      palette.background.paper,
                    ),
                  },
                },
              },
            }}
          />
        </Box>
        <Figures
          figures={[
            ['Highest inside', `${degrees(found.highest.celsius)} after ${days(found.highest.at)}`],
            ['Core over face', `${apart(found.greatest.celsius)} after ${days(found.greatest.at)}`],
            ['If nothing were given off', degrees(found.adiabatic)],
            [
              'Cover may come off',
              free === null ? 'not within two weeks' : `from ${days(free)} on, by the core over the air`,
            ],
          ]}
        />
        <Alert severity="info" sx={{ mt: 1 }}>
          A model to plan by: heat in one direction, usual constants, the heat of a usual binder. It decides
          nothing: sensors in core and face do, and the engineer’s thermal plan. Limits are those of the
          register.
        </Alert>
      </Card>
    </KnobPage>
  );
}
