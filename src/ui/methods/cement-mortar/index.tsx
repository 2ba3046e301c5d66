'use client';
import { Button, Stack, Typography, useTheme } from '@mui/material';
import { type PropsWithChildren, useState } from 'react';
import { limitsOf, pathOf } from '@/core/methods';
import { cementMortar } from '@/core/methods/cement-mortar';
import { readRows } from '@/core/methods/picture-rows';
import { MixBeats } from '../../cement/MixBeats';
import { Figure } from '../../parts/Figure';
import { newRow } from '../../rows/use-rows';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps, InstrumentProps } from '../kit';

const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);

/** The mortar spread on its table, as the last batch was measured, with the ring that is asked for; and its water. */
function FlowOnTable({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const batches = readRows(values.batches);
  const [place = '', grams = '', flow = '', across = ''] = batches.at(-1) ?? [];
  const base = number(values.base) ?? 100;
  const [low, high, next, ratio] = [values.low, values.high, values.next, values.ratio].map(number);
  const decides = values.rule === 'flow';
  // The table is two and a half times as wide as the base of the mould.
  const scale = 80 / (base * 1.25);
  const radii = across
    .split(' ')
    .filter(Boolean)
    .map((each) => (Number(each) / 2) * scale);
  const at = (percent: number): number => (base / 2) * (1 + percent / 100) * scale;
  return (
    <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox="-90 -90 180 180"
        width={220}
        height={220}
        role="img"
        aria-label={
          batches.length === 0
            ? 'Flow table, nothing on it yet'
            : `Batch ${place} spread by ${flow} % of its base`
        }
      >
        <circle r={84} fill={palette.divider} />
        <circle r={82} fill={palette.background.default} stroke={palette.text.secondary} />
        {decides && low !== null && low !== undefined && high !== null && high !== undefined ? (
          <path
            d={`M ${at(high)} 0 A ${at(high)} ${at(high)} 0 1 0 ${-at(high)} 0 A ${at(high)} ${at(high)} 0 1 0 ${at(high)} 0 M ${at(low)} 0 A ${at(low)} ${at(low)} 0 1 1 ${-at(low)} 0 A ${at(low)} ${at(low)} 0 1 1 ${at(low)} 0`}
            fill={palette.success.main}
            opacity={0.25}
          />
        ) : null}
        {radii.length === 4 ? (
          <circle
            r={radii.reduce((all, each) => all + each, 0) / 4}
            fill={palette.text.secondary}
            opacity={0.35}
          />
        ) : null}
        {radii.map((radius, line) => (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: four diameters in their order
            key={line}
            x1={-radius}
            x2={radius}
            y1={0}
            y2={0}
            transform={`rotate(${line * 45})`}
            stroke={palette.primary.main}
            strokeWidth={1.5}
          />
        ))}
        <circle r={(base / 2) * scale} fill="none" stroke={palette.text.primary} strokeDasharray="3 3" />
      </svg>
      <Stack spacing={1} sx={{ flex: 1, minWidth: 200 }}>
        {batches.map(([each = '', water = '', spread = '', , why = '']) => (
          <Typography key={each} className="mono" color={why ? 'error.main' : 'text.primary'}>
            {`${each}: ${water} g, flow ${Number(spread).toFixed(0)} %${why ? `, ${why}` : ''}`}
          </Typography>
        ))}
        {grams && ratio !== null && ratio !== undefined ? (
          <Typography variant="body2" color="text.secondary">
            {`Water to cement ${ratio}. It is not that of a concrete: one sand, no stone, no admixture; a cement that asks for more water is weaker here and need not be so in concrete.`}
          </Typography>
        ) : null}
        {next === null || next === undefined ? null : (
          <Typography role="status" sx={{ fontWeight: 700, fontSize: '1.2rem' }}>
            {`Next batch: ${next.toFixed(1)} g of water.`}
          </Typography>
        )}
      </Stack>
    </Stack>
  );
}

/** The beats of the mortar, then the minute to the lift and the drops by sound. */
function MixAndFlow({ run, data, readOnly }: InstrumentProps) {
  const [row, setRow] = useState<string | null>(null);
  const [lifted, setLifted] = useState<number | null>(null);
  if (readOnly) return null;
  const limits = limitsOf(data.setup);
  const lift = limits.of('flow-table.lift', data.system).low?.toNumber() ?? 55;
  const mould = limits.of('cement-mortar.mould', data.system).high?.toNumber() ?? 150;
  const begun = (at: string): void => {
    const fresh = newRow();
    setRow(fresh);
    setLifted(null);
    run.readings.save(pathOf('batches', fresh, 'contactAt'), at);
    run.readings.save(
      pathOf('batches', fresh, 'drops'),
      limits.number('flow-table.drops', data.system).toFixed(),
    );
  };
  return (
    <MixBeats
      mixed="mortar"
      school={limits.profile}
      begun={begun}
      after={(seconds) => (
        <Stack direction="row" spacing={3} useFlexGap sx={{ alignItems: 'center', flexWrap: 'wrap' }}>
          <Figure label="Since it was mixed, s" text={String(Math.floor(seconds))} />
          {lifted === null ? (
            <>
              <Button
                variant="contained"
                sx={{ minHeight: 56 }}
                onClick={() => {
                  setLifted(seconds);
                  if (row) run.readings.save(pathOf('batches', row, 'lifted'), String(Math.round(seconds)));
                }}
              >
                Mould lifted
              </Button>
              <Typography sx={{ fontWeight: 700 }}>
                {seconds < lift ? `Lift in ${Math.ceil(lift + 5 - seconds)} s` : 'Lift it now'}
              </Typography>
            </>
          ) : (
            <Typography sx={{ fontWeight: 700 }}>
              {seconds < mould
                ? `25 drops in 15 s, four diameters; back into the bowl. Tamp within ${Math.ceil(mould - seconds)} s.`
                : 'The time to the first tamping is over.'}
            </Typography>
          )}
        </Stack>
      )}
    />
  );
}

const FOLDER = wholeFolder({
  method: cementMortar,
  Bench: FlowOnTable,
  leads: { mix: MixAndFlow },
  benchStays: true,
});

export function InCementMortar({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
