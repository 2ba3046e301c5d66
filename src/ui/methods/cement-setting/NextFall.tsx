'use client';
import { Box, Button, Stack, TextField, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { fieldsOf, limitsOf, pathOf } from '@/core/methods';
import { FallRow } from '@/core/methods/cement-setting/input';
import { perform } from '../../api';
import { timeNow } from '../../clock';
import { alarmWanted, signal } from '../../field/alarm';
import { Figure } from '../../parts/Figure';
import { newRow } from '../../rows/use-rows';
import { useNow } from '../../use-now';
import type { InstrumentProps } from '../kit';
import { settingPicture } from './picture';
import { RingMap } from './RingMap';
import { useNeedle } from './use-needle';

const OPTIONS = (name: string) =>
  fieldsOf(FallRow).flatMap((field) => (field.kind === 'choice' && field.name === name ? field.options : []));
const WRONG = OPTIONS('wrong');
const CIRCLE = OPTIONS('circle');
/** From this depth on a circle is looked for, mm. */
const NEAR_FINAL = 2;

/** Minutes and seconds of a time that is left, or over. */
function clock(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** A place on the face, as it is told to somebody who looks at it. */
function placeWords({ x, y }: { readonly x: number; readonly y: number }): string {
  const far = (mm: number, [plus, minus]: readonly [string, string]): string[] =>
    Math.abs(mm) < 0.05 ? [] : [`${Math.abs(mm).toFixed(1)} mm ${mm > 0 ? plus : minus}`];
  const words = [...far(x, ['right', 'left']), ...far(y, ['up', 'down'])];
  return words.length > 0 ? words.join(', ') : 'in the middle';
}

interface Begun {
  readonly row: string;
  readonly at: number;
}

/** One fall after the other: when it is due, where it goes, how far it went in, whether it left a circle. */
export function NextFall({ run, data, readOnly }: InstrumentProps) {
  const picture = settingPicture(run.live.outcome.picture);
  const now = useNow(picture.contact ?? 0, 500);
  const [begun, setBegun] = useState<Begun | null>(null);
  const [own, setOwn] = useState<{ x: number; y: number } | null>(null);
  const [depth, setDepth] = useState('');
  const [circle, setCircle] = useState('');
  const [wrong, setWrong] = useState('nothing');
  const { contact, nextAt, next, confirm, more, within } = picture;
  const number = run.readings.values.vicat;
  const live = (data.setup.equipment ?? []).find((each) => each.number === number && each.live)?.number;
  const needle = useNeedle(readOnly ? undefined : live);
  const [trouble, setTrouble] = useState('');
  const reads = begun && needle.last && needle.last.at >= begun.at ? needle.last : null;
  // What stands still after its 30 s is the reading; it is kept only when the person says so.
  useEffect(() => {
    if (reads?.settled) setDepth(String(reads.depth));
  }, [reads?.settled, reads?.depth]);
  const settle = limitsOf(data.setup).of('setting.settle', data.system).low?.toNumber() ?? 30;
  const waited = begun ? (now - begun.at) / 1000 : 0;
  const ready = begun !== null && waited >= settle + 2;
  useEffect(() => {
    if (ready && alarmWanted()) signal(990, 0.3);
  }, [ready]);
  if (readOnly) return null;
  if (contact === null || (nextAt === null && picture.final === null))
    return (
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        The first fall is due half an hour after moulding: stamp the water and the moulding first.
      </Typography>
    );
  const place = own ?? next;
  const save = (row: string, cells: Readonly<Record<string, string>>): void => {
    for (const [column, text] of Object.entries(cells)) run.readings.save(pathOf('falls', row, column), text);
  };
  const release = (): void => {
    const at = timeNow();
    setBegun({ row: newRow(), at });
    if (needle.simulated) void work({ what: 'drop' });
  };
  const work = async (what: object): Promise<void> => {
    const reply = await perform('work-needle', { runId: data.runId, ...what });
    setTrouble(reply.ok ? '' : reply.message);
  };
  const keep = (): void => {
    if (!begun || depth.trim() === '') return;
    save(begun.row, {
      at: new Date(begun.at).toISOString(),
      depth: depth.trim(),
      wrong,
      ...(place ? { x: String(place.x), y: String(place.y) } : {}),
      ...(circle ? { circle } : {}),
    });
    setBegun(null);
    setOwn(null);
    setDepth('');
    setCircle('');
    setWrong('nothing');
  };
  const left = nextAt === null ? null : nextAt - now;
  const leftToConfirm = confirm === null ? null : contact + confirm * 60_000 + within * 1000 - now;
  return (
    <Box
      component="section"
      aria-label="Next fall"
      sx={{
        mb: 2,
        borderBottom: 1,
        borderColor: 'divider',
        pb: 1.5,
        display: 'flex',
        gap: 2,
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ width: 260, flexShrink: 0 }}>
        <RingMap picture={picture} place={place} pick={(x, y) => setOwn({ x, y })} />
        <Typography variant="body2" color="text.secondary">
          {place
            ? `Next place ${placeWords(place)}${own ? ', as you chose' : ''}. A tap chooses another.`
            : 'The ring is full: go on with another.'}
        </Typography>
      </Box>
      <Box sx={{ flex: 1, minWidth: 260 }}>
        <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
          <Figure label="Since the water, min" text={((now - contact) / 60_000).toFixed(1)} />
          {left === null ? null : (
            <Figure label={left >= 0 ? 'Next fall in' : 'Next fall is due since'} text={clock(left)} />
          )}
          {picture.likelyInitial !== null && picture.initial === null ? (
            <Figure label="Initial set about, min" text={picture.likelyInitial.toFixed(0)} />
          ) : null}
          {picture.likelyFinal !== null && picture.initial !== null && picture.final === null ? (
            <Figure label="Final set about, min" text={picture.likelyFinal.toFixed(0)} />
          ) : null}
        </Stack>
        {confirm !== null && more !== null && leftToConfirm !== null && picture.final === null ? (
          <Typography role="status" sx={{ fontWeight: 700, color: 'warning.main', my: 1 }}>
            {leftToConfirm >= 0
              ? `No circle: ${more} more ${more === 1 ? 'fall' : 'falls'} at other places within ${clock(leftToConfirm)}.`
              : 'The time for the two others is over: all three again, now.'}
          </Typography>
        ) : null}
        {picture.final === null ? null : (
          <Typography role="status" sx={{ fontWeight: 700, my: 1 }}>
            {`It has set: final at ${picture.final.toFixed(0)} min. Finish below.`}
          </Typography>
        )}
        {begun === null ? (
          <Button variant="contained" onClick={release} sx={{ minHeight: 56, minWidth: 220, mt: 1 }}>
            Needle released
          </Button>
        ) : (
          <Stack spacing={1} sx={{ mt: 1 }}>
            <Typography role="status" sx={{ fontWeight: 700, fontSize: '1.4rem' }}>
              {ready ? 'Read it now.' : `Read in ${Math.max(0, Math.ceil(settle + 2 - waited))} s.`}
            </Typography>
            <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'center' }}>
              <TextField
                label="Went in, mm"
                value={depth}
                onChange={({ target }) => setDepth(target.value)}
                onKeyDown={({ key }) => key === 'Enter' && keep()}
                autoFocus
                slotProps={{ htmlInput: { inputMode: 'decimal' } }}
                sx={{ width: 140 }}
              />
              <Button
                variant="contained"
                onClick={keep}
                disabled={depth.trim() === ''}
                sx={{ minHeight: 56 }}
              >
                Keep it
              </Button>
              <Button onClick={() => setBegun(null)}>Not this one</Button>
            </Stack>
            {depth.trim() !== '' && Number(depth) <= NEAR_FINAL ? (
              <ToggleButtonGroup
                exclusive
                size="small"
                value={circle}
                onChange={(_, value: string | null) => setCircle(value ?? '')}
                aria-label="Circle"
              >
                {CIRCLE.map(({ value, label }) => (
                  <ToggleButton key={value} value={value}>
                    {label}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            ) : null}
            <ToggleButtonGroup
              exclusive
              size="small"
              value={wrong}
              onChange={(_, value: string | null) => setWrong(value ?? 'nothing')}
              aria-label="What was wrong"
              sx={{ flexWrap: 'wrap' }}
            >
              {WRONG.map(({ value, label }) => (
                <ToggleButton key={value} value={value}>
                  {label}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Stack>
        )}
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          Wipe the needle clean and dry; ring back into the cabinet.
        </Typography>
        {live ? (
          <Typography role="status" variant="body2" color={needle.up === false ? 'error' : 'text.secondary'}>
            {needle.up === false
              ? `No line to ${live}: read its scale.`
              : reads
                ? `${live}: ${reads.depth.toFixed(1)} mm${reads.settled ? ', stands' : ''}`
                : `${live} reads over its line${needle.simulated ? ', a stand-in' : ''}.`}
          </Typography>
        ) : null}
        {needle.simulated && begun === null ? (
          <Button
            size="small"
            onClick={() => void work({ what: 'ring', minutes: (timeNow() - contact) / 60_000 })}
          >
            Put this ring under the stand-in
          </Button>
        ) : null}
        {trouble ? (
          <Typography color="error" role="alert">
            {trouble}
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}
