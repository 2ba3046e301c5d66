'use client';
import {
  Box,
  Button,
  FormControlLabel,
  Radio,
  RadioGroup,
  TextField,
  Typography,
  useTheme,
} from '@mui/material';
import { type PointerEvent, useState } from 'react';
import { dialOf, FORCE_UNIT } from '@/core/methods/press';
import { countedBothWays, type Dial, loadAtTurn, readDial } from '@/core/press';
import { plainOf, unitLabel } from '@/core/quantity';
import type { InstrumentProps } from '../methods/registry';
import { machineOf } from './machine-of';
import { TapRate } from './TapRate';

/** Where the scale begins, degrees clockwise from the top, and how far round it goes. */
const BEGIN = -150;
const SWEEP = 300;
const RADIUS = 150;

function point(degrees: number, radius: number): { x: number; y: number } {
  const turned = ((degrees - 90) * Math.PI) / 180;
  return { x: 180 + radius * Math.cos(turned), y: 180 + radius * Math.sin(turned) };
}

/**
 * The dial of the machine, drawn from its own marks: the two hands are set by dragging, or said in words as they are
 * counted, and the load follows.
 */
export function DialReader({ run, data, readOnly }: InstrumentProps) {
  const use = run.method.press;
  const machine = machineOf(run, data);
  const dial = dialOf(machine, data.system);
  const [words, setWords] = useState('');
  const [hand, setHand] = useState<'peak' | 'live'>('peak');
  const [turned, setTurned] = useState({ peak: 0, live: 0 });
  if (!dial || !use || readOnly) return null;
  const unit = FORCE_UNIT[data.system];
  const test = use.test(run.live.input, data.setup);
  const rateField = use.fields.rate;
  const typed = words.trim() === '' ? null : readDial(words, dial);
  const peak = typed?.ok ? typed.load : loadAtTurn(turned.peak, dial);
  const live = loadAtTurn(turned.live, dial);
  const both = countedBothWays(peak, dial);
  const drag = (share: number): void => {
    setWords('');
    // The live hand pushes the peak hand before it, never back.
    setTurned((now) =>
      hand === 'peak' ? { ...now, peak: share } : { live: share, peak: Math.max(now.peak, share) },
    );
  };
  const offZero = live.greaterThan(0) && run.readings.values[use.fields.load] !== undefined;
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Typography variant="h3">{`Dial of ${machine?.number}`}</Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <DialFace
          dial={dial}
          peak={peak.div(dial.fullScale).toNumber()}
          live={turned.live}
          unit={unitLabel(unit)}
          drag={drag}
        />
        <Box sx={{ flex: 1, minWidth: 200 }}>
          <Typography className="mono" sx={{ fontSize: '2.4rem', lineHeight: 1.1 }} aria-live="polite">
            {plainOf(peak, unit)}
          </Typography>
          <Typography color="text.secondary" sx={{ mb: 1 }}>
            {both.up === both.down ? 'On the numbered mark.' : `${both.up}; ${both.down}.`}
          </Typography>
          <TextField
            label="The peak hand in words"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            error={typed !== null && !typed.ok}
            helperText={
              typed && !typed.ok ? typed.message : 'As counted: 7 past 60, 2 short of 80, or the load.'
            }
            fullWidth
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || !typed?.ok) return;
              event.preventDefault();
              run.readings.save(use.fields.load, peak.toFixed());
            }}
          />
          <RadioGroup row value={hand} onChange={(_, value) => setHand(value as 'peak' | 'live')}>
            <FormControlLabel value="peak" control={<Radio size="small" />} label="Drag the peak hand" />
            <FormControlLabel value="live" control={<Radio size="small" />} label="the live hand" />
          </RadioGroup>
          <Button
            variant="contained"
            disabled={peak.isZero()}
            onClick={() => run.readings.save(use.fields.load, peak.toFixed())}
          >
            {`Take ${plainOf(peak, unit)} as the maximum load`}
          </Button>
          <Typography variant="body2" sx={{ mt: 1 }} color={offZero ? 'error' : 'text.secondary'}>
            {offZero
              ? `The live hand stands at ${plainOf(live, unit)}, not at zero: say so under “Zero after the test”.`
              : 'Read square to the face, before anything is reset. The peak hand must have stood below the expected load before the test.'}
          </Typography>
        </Box>
      </Box>
      {test && rateField ? (
        <TapRate
          test={test}
          major={dial.major.toNumber()}
          system={data.system}
          take={(text) => run.readings.save(rateField, text)}
        />
      ) : null}
    </Box>
  );
}

/** The face with its marks to scale and two hands; a press anywhere on it turns the chosen hand there. */
function DialFace({
  dial,
  peak,
  live,
  unit,
  drag,
}: {
  dial: Dial;
  peak: number;
  live: number;
  unit: string;
  drag: (share: number) => void;
}) {
  const { palette } = useTheme();
  const marks = Math.round(dial.fullScale.div(dial.minor).toNumber());
  const each = Math.round(dial.major.div(dial.minor).toNumber());
  const majors = Math.floor(marks / each);
  // Numbers stand at every mark that leaves room for them.
  const every = Math.max(1, Math.ceil(majors / 13));
  const thousands = dial.fullScale.greaterThan(5000);
  const turn = (event: PointerEvent<SVGSVGElement>): void => {
    if (event.buttons === 0 && event.type === 'pointermove') return;
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2];
    const degrees = (Math.atan2(x, -y) * 180) / Math.PI;
    drag(Math.min(1, Math.max(0, (degrees - BEGIN) / SWEEP)));
  };
  const hand = (share: number, colour: string, width: number, length: number) => {
    const end = point(BEGIN + SWEEP * share, length);
    const tail = point(BEGIN + SWEEP * share, -24);
    return <line x1={tail.x} y1={tail.y} x2={end.x} y2={end.y} stroke={colour} strokeWidth={width} />;
  };
  return (
    <svg
      viewBox="0 0 360 360"
      width={300}
      height={300}
      role="img"
      aria-label={`Dial to ${dial.fullScale.toFixed()} ${unit}`}
      style={{ touchAction: 'none', cursor: 'pointer' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        turn(event);
      }}
      onPointerMove={turn}
    >
      <circle
        cx={180}
        cy={180}
        r={174}
        fill={palette.background.paper}
        stroke={palette.text.primary}
        strokeWidth={3}
      />
      {Array.from({ length: marks + 1 }, (_, mark) => {
        const degrees = BEGIN + (SWEEP * mark) / marks;
        const major = mark % each === 0;
        const [from, to] = [point(degrees, RADIUS + 16), point(degrees, RADIUS + (major ? 0 : 8))];
        return (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: a mark has no other name than its place
            key={mark}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            stroke={palette.text.primary}
            strokeWidth={major ? 2 : 0.7}
          />
        );
      })}
      {Array.from({ length: majors + 1 }, (_, major) => major)
        .filter((major) => major % every === 0)
        .map((major) => {
          const at = point(BEGIN + (SWEEP * major * each) / marks, RADIUS - 16);
          const value = dial.major.times(major).div(thousands ? 1000 : 1);
          return (
            <text
              key={major}
              x={at.x}
              y={at.y + 5}
              fontSize={14}
              textAnchor="middle"
              fill={palette.text.primary}
              className="mono"
            >
              {value.toFixed()}
            </text>
          );
        })}
      <text x={180} y={262} fontSize={13} textAnchor="middle" fill={palette.text.secondary}>
        {thousands ? `× 1,000 ${unit}` : unit}
      </text>
      {hand(peak, palette.error.main, 3, RADIUS + 4)}
      {hand(live, palette.text.primary, 5, RADIUS - 34)}
      <circle cx={180} cy={180} r={8} fill={palette.text.primary} />
    </svg>
  );
}
