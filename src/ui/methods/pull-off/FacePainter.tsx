'use client';
import {
  Box,
  Button,
  MenuItem,
  Slider,
  Stack,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
  useTheme,
} from '@mui/material';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { newRowName, pathOf } from '@/core/methods';
import { PLANES, type Plane } from '@/core/methods/pull/faces';
import {
  BLANK,
  brushed,
  CELL,
  CELLS,
  type Cell,
  filled,
  type OnPicture,
  onFace,
  type Painting,
  paintingText,
  readPainting,
  sharesOf,
} from '@/core/methods/pull/painted';
import { timeNow } from '../../clock';
import { Photos } from '../../runsheet/Photos';
import { begunRows } from '../../runsheet/run';
import type { InstrumentProps } from '../kit';
import { PlanePatterns, planeFill, planeName } from './planes';

const SIDE = 600;
const PLAIN: OnPicture = { middle: { x: 0.5, y: 0.5 }, right: { x: 0.92, y: 0.5 }, up: { x: 0.5, y: 0.08 } };
const NEAR = 0.035;
const OFFERED = PLANES.map(({ value }) => value);

/** The face painted with finger or pointer, over its photograph or on a plain disk: the shares, live, taken into the table. */
export function FacePainter({ run, data, readOnly }: InstrumentProps) {
  const { palette } = useTheme();
  const kept = run.readings.values.painted;
  const [painting, setPainting] = useState<Painting>(() => (kept && readPainting(kept)) || BLANK);
  const [before, setBefore] = useState<readonly Painting[]>([]);
  const [plane, setPlane] = useState<Plane | null>('A');
  const [size, setSize] = useState(0.16);
  const [photo, setPhoto] = useState('');
  const [rim, setRim] = useState<OnPicture>(PLAIN);
  const [held, setHeld] = useState<keyof OnPicture | null>(null);
  const [at, setAt] = useState<Cell>({ x: 0, y: 0 });
  if (readOnly) return null;
  const own = data.photos.find(({ id }) => id === photo);
  const where = own ? rim : PLAIN;
  const { face, blank } = sharesOf(painting);
  const change = (next: Painting): void => {
    setBefore((list) => [...list.slice(-30), painting]);
    setPainting(next);
  };
  const pointOf = (event: PointerEvent<SVGSVGElement>): Cell => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  const paint = (to: Cell, first: boolean): void => {
    const cell = onFace(where, to);
    if (!cell || Math.hypot(cell.x, cell.y) > 1 + size) return;
    const next = brushed(painting, cell, size, plane);
    // One stroke is one step back.
    if (first) change(next);
    else setPainting(next);
  };
  const press = (event: PointerEvent<SVGSVGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const to = pointOf(event);
    const handle = own
      ? (['middle', 'right', 'up'] as const).find(
          (name) => Math.hypot(rim[name].x - to.x, rim[name].y - to.y) < NEAR,
        )
      : undefined;
    if (handle) setHeld(handle);
    else paint(to, true);
  };
  const move = (event: PointerEvent<SVGSVGElement>): void => {
    const to = pointOf(event);
    if (held) {
      const by = { x: to.x - rim[held].x, y: to.y - rim[held].y };
      const moved = (point: Cell): Cell => ({ x: point.x + by.x, y: point.y + by.y });
      setRim(
        held === 'middle'
          ? { middle: to, right: moved(rim.right), up: moved(rim.up) }
          : { ...rim, [held]: to },
      );
    } else if (event.buttons === 1) paint(to, false);
  };
  const key = (event: KeyboardEvent): void => {
    const step = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] }[event.key];
    const number = /^[0-9]$/u.test(event.key) ? OFFERED[(Number(event.key) + 9) % 10] : undefined;
    if (!step && event.key !== ' ' && !number) return;
    event.preventDefault();
    event.stopPropagation();
    if (number) setPlane(number);
    else if (step)
      setAt(({ x, y }) => ({
        x: Math.max(-1, Math.min(1, x + 2 * CELL * (step[0] ?? 0))),
        y: Math.max(-1, Math.min(1, y + 2 * CELL * (step[1] ?? 0))),
      }));
    else change(brushed(painting, at, size, plane));
  };
  const take = (): void => {
    for (const row of begunRows(run, 'face'))
      for (const column of ['plane', 'share']) run.readings.save(pathOf('face', row, column), '');
    for (const [order, [each, share]] of face.entries()) {
      const row = newRowName(timeNow(), Math.random(), order);
      run.readings.save(pathOf('face', row, 'plane'), each);
      run.readings.save(pathOf('face', row, 'share'), String(share));
    }
    run.readings.save('painted', paintingText(painting));
  };
  const undo = (): void => {
    const last = before.at(-1);
    if (!last) return;
    setPainting(last);
    setBefore((list) => list.slice(0, -1));
  };
  const drawn = { x: where.middle.x * SIDE, y: where.middle.y * SIDE };
  const [ax, ay] = [(where.right.x - where.middle.x) * SIDE, (where.right.y - where.middle.y) * SIDE];
  const [bx, by] = [(where.middle.x - where.up.x) * SIDE, (where.middle.y - where.up.y) * SIDE];
  const said =
    face.map(([each, share]) => `${planeName(each)} ${share.toFixed(0)} %`).join(', ') || 'nothing yet';
  return (
    <Stack spacing={1.5} sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Typography variant="h3">Paint the face</Typography>
      {data.photos.length > 0 ? (
        <TextField
          select
          label="Over"
          value={own?.id ?? ''}
          onChange={(event) => setPhoto(event.target.value)}
          sx={{ maxWidth: 260 }}
        >
          <MenuItem value="">a plain disk</MenuItem>
          {data.photos.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      <ToggleButtonGroup
        exclusive
        value={plane ?? 'rub'}
        onChange={(_, next: Plane | 'rub' | null) => next && setPlane(next === 'rub' ? null : next)}
        aria-label="Paint with"
        sx={{ flexWrap: 'wrap' }}
      >
        {PLANES.map(({ value, label }) => (
          <ToggleButton key={value} value={value} title={label} sx={{ minWidth: 56, minHeight: 48 }}>
            {planeName(value)}
          </ToggleButton>
        ))}
        <ToggleButton value="rub" sx={{ minHeight: 48 }}>
          Rub out
        </ToggleButton>
      </ToggleButtonGroup>
      <Typography variant="body2" color="text.secondary">
        {plane ? PLANES.find(({ value }) => value === plane)?.label : 'Takes the paint off again.'}
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', maxWidth: 420 }}>
        <Typography id="brush-size">Brush</Typography>
        <Slider
          aria-labelledby="brush-size"
          min={0.05}
          max={0.5}
          step={0.01}
          value={size}
          onChange={(_, next) => setSize(next)}
        />
      </Box>
      <svg
        viewBox={`0 0 ${SIDE} ${SIDE}`}
        width="100%"
        style={{ maxWidth: 520, touchAction: 'none', cursor: 'crosshair' }}
        role="application"
        aria-label={`Face of the dolly: ${said}`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the face is painted by its own keys
        tabIndex={0}
        onKeyDown={key}
        onPointerDown={press}
        onPointerMove={move}
        onPointerUp={() => setHeld(null)}
      >
        <PlanePatterns prefix="paint" />
        {own ? (
          <image href={`/api/attachments/${own.id}`} width={SIDE} height={SIDE} preserveAspectRatio="none" />
        ) : null}
        <g transform={`matrix(${ax} ${ay} ${bx} ${by} ${drawn.x} ${drawn.y})`}>
          {own ? null : <circle r={1} fill={palette.background.paper} />}
          {CELLS.map(({ x, y }, place) => {
            const each = painting[place];
            return each ? (
              <rect
                key={`${x} ${y}`}
                x={x - CELL / 2}
                y={y - CELL / 2}
                width={CELL * 1.02}
                height={CELL * 1.02}
                fill={planeFill(each, 'paint')}
                fillOpacity={own ? 0.6 : 1}
              />
            ) : null;
          })}
          <circle r={1} fill="none" stroke={palette.warning.main} strokeWidth={0.012} />
          <circle
            cx={at.x}
            cy={at.y}
            r={size}
            fill="none"
            stroke={palette.primary.main}
            strokeWidth={0.008}
            strokeDasharray="0.03 0.03"
          />
        </g>
        {own
          ? (['middle', 'right', 'up'] as const).map((name) => (
              <rect
                key={name}
                x={rim[name].x * SIDE - 9}
                y={rim[name].y * SIDE - 9}
                width={18}
                height={18}
                fill={palette.warning.main}
                stroke={palette.background.paper}
              />
            ))
          : null}
      </svg>
      <Typography variant="body2" color="text.secondary">
        {own
          ? 'Drag the three handles to the middle and the rim of the dolly: seen aslant its rim is an ellipse, and shares stay what they are. '
          : ''}
        With the keys: arrows move the brush, space paints, 1 to 9 and 0 choose the plane.
      </Typography>
      <Typography role="status">
        {`${said}${blank > 0 ? `; ${Math.max(1, Math.round(blank))} % still blank` : ''}.`}
      </Typography>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={take} disabled={blank > 0}>
          Take these shares
        </Button>
        <Button
          variant="outlined"
          onClick={() => plane && change(filled(painting, plane))}
          disabled={plane === null || blank === 0}
        >
          {`The rest is ${plane ? planeName(plane) : '…'}`}
        </Button>
        <Button variant="outlined" onClick={undo} disabled={before.length === 0}>
          One step back
        </Button>
        <Button onClick={() => change(BLANK)}>Begin anew</Button>
      </Stack>
      <Photos data={data} />
    </Stack>
  );
}
