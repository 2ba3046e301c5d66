'use client';
import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Stack,
  TextField,
  Typography,
  useTheme,
} from '@mui/material';
import { useMemo, useState } from 'react';
import { readForecast } from '@/core/interchange';
import { type LimitChanges, Limits, type Profile } from '@/core/limits';
import { measureIn, parseMeasure, type System, unitLabel } from '@/core/quantity';
import { Line } from '../charts/Line';
import { limitLine, useChartSetup } from '../charts/setup';
import { FileButton } from '../parts/FileButton';
import { dayTime } from '../time';

interface Props {
  readonly system: System;
  readonly zone: string;
  readonly profile: Profile;
  readonly limitChanges: LimitChanges;
  readonly bleedsLittle: boolean;
  /** Expected temperature of the concrete, to begin with. */
  readonly concrete: string;
}

/** What a forecast means for the slab: the evaporation rate hour by hour, before anything is ordered. */
export function ForecastDialog(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>From a forecast</Button>
      {open ? <OpenForecast {...props} close={() => setOpen(false)} /> : null}
    </>
  );
}

function OpenForecast({ close, ...props }: Props & { close: () => void }) {
  const { system, zone } = props;
  const us = system === 'US';
  const [text, setText] = useState('');
  const [concrete, setConcrete] = useState(props.concrete);
  const [station, setStation] = useState(true);
  const limits = useMemo(
    () => new Limits(props.limitChanges, 0, props.profile),
    [props.limitChanges, props.profile],
  );
  const parsed = parseMeasure(concrete, 'temperature', us ? 'degF' : 'degC');
  const forecast = useMemo(() => {
    const measure = parseMeasure(concrete, 'temperature', us ? 'degF' : 'degC');
    if (text.trim() === '' || !measure.ok) return null;
    const at = measureIn(measure.measure, us ? 'degF' : 'degC').value;
    return readForecast(text, at, system, zone, limits, { station, bleedsLittle: props.bleedsLittle });
  }, [text, concrete, station, us, system, zone, limits, props.bleedsLittle]);
  const choose = async (file: File): Promise<void> => setText(await file.text());
  return (
    <Dialog open onClose={close} fullWidth maxWidth="md" aria-label="Evaporation from a forecast">
      <DialogTitle>Evaporation from a forecast</DialogTitle>
      <DialogContent>
        <Stack spacing={2} sx={{ pt: 1 }}>
          <Typography variant="body2" color="text.secondary">
            {`Columns time, air, humidity, wind; in ${us ? '°F and mph' : '°C and km/h'} unless the heading says otherwise (air_c, air_f, wind_kmh, wind_mph, wind_ms). A plan, not a reading: on the day measure at the slab.`}
          </Typography>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
            <FileButton variant="outlined" accept=".csv,.txt,text/csv,text/plain" take={choose}>
              Choose a file
            </FileButton>
            <TextField
              label="Concrete as it will come"
              value={concrete}
              onChange={(event) => setConcrete(event.target.value)}
              error={!parsed.ok}
              helperText={parsed.ok ? '' : parsed.message}
            />
            <FormControlLabel
              control={<Checkbox checked={station} onChange={(_, on) => setStation(on)} />}
              label="Wind of a station 33 ft [10 m] up: two thirds count"
            />
          </Box>
          <TextField
            label="or paste the rows"
            value={text}
            onChange={(event) => setText(event.target.value)}
            multiline
            minRows={3}
            maxRows={6}
            slotProps={{ htmlInput: { className: 'mono', style: { fontSize: '0.85rem' } } }}
          />
          {forecast?.problems.slice(0, 5).map((problem) => (
            <Alert key={problem} severity="error">
              {problem}
            </Alert>
          ))}
          {forecast && forecast.points.length > 0 ? (
            <Curve forecast={forecast} limits={limits} {...props} />
          ) : null}
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function Curve({
  forecast,
  limits,
  system,
  zone,
  bleedsLittle,
}: Props & { forecast: ReturnType<typeof readForecast>; limits: Limits }) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const unit = unitLabel(system === 'US' ? 'lb/ft2/h' : 'kg/m2/h');
  const { points } = forecast;
  const protect = limits.number(bleedsLittle ? 'evaporation.low-bleed' : 'evaporation.protect', system);
  const colour = { low: palette.success.main, caution: palette.warning.main, protect: palette.error.main };
  const [worst] = points.toSorted((a, b) => Number(b.rate) - Number(a.rate));
  const first = points.find(({ state }) => state === 'protect');
  return (
    <Box>
      <Typography sx={{ fontWeight: 700 }} role="status">
        {first
          ? `Protection is called for from ${dayTime(first.at, zone)}; the most is ${worst?.rate} ${unit} at ${worst ? dayTime(worst.at, zone) : ''}.`
          : `No hour calls for protection; the most is ${worst?.rate} ${unit} at ${worst ? dayTime(worst.at, zone) : ''}.`}
      </Typography>
      <Box sx={{ height: 240 }}>
        <Line
          role="img"
          aria-label={`Evaporation rate by hour, ${unit}`}
          data={{
            labels: points.map(({ at }) => dayTime(at, zone)),
            datasets: [
              {
                label: `Evaporation rate, ${unit}`,
                data: points.map(({ rate }) => Number(rate)),
                borderColor: palette.primary.main,
                pointBackgroundColor: points.map(({ state }) => colour[state]),
                pointBorderColor: points.map(({ state }) => colour[state]),
                pointStyle: points.map(({ state }) =>
                  state === 'protect' ? 'rectRot' : state === 'caution' ? 'triangle' : 'circle',
                ),
                pointRadius: 5,
              },
            ],
          }}
          options={{
            ...base,
            scales: { x: base.scales.x, y: { ...base.scales.y, beginAtZero: true } },
            plugins: {
              ...base.plugins,
              annotation: {
                annotations: {
                  protect: limitLine(
                    protect.toNumber(),
                    `protect from ${protect}`,
                    palette.error.main,
                    palette.background.paper,
                  ),
                },
              },
            },
          }}
        />
      </Box>
    </Box>
  );
}
