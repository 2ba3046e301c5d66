'use client';
import {
  Box,
  Button,
  MenuItem,
  Stack,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
  useTheme,
} from '@mui/material';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { ACROSS, type Corner, countsOf, GRID, onPicture } from '@/core/methods/beam-section/count-grid';
import { Photos } from '../../runsheet/Photos';
import type { InstrumentProps } from '../kit';

const SIDE = 600;
/** How near a press has to be to a point, of the picture: half of the way to its neighbour. */
const NEAR = 0.035;
const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'] as const;
const WHOLE = [
  { x: 0.04, y: 0.04 },
  { x: 0.96, y: 0.04 },
  { x: 0.96, y: 0.96 },
  { x: 0.04, y: 0.96 },
] as const;
type Corners = readonly [Corner, Corner, Corner, Corner];
type Tool = 'stone' | 'paste' | 'unseen';
const TOOLS: readonly (readonly [Tool, string])[] = [
  ['stone', 'On stone (S)'],
  ['paste', 'Beside it (P)'],
  ['unseen', 'Nothing to see (N)'],
];
const KEYS: Readonly<Record<string, Tool>> = { s: 'stone', p: 'paste', n: 'unseen' };

/** Points of a grid tapped on the photograph of the broken face: the counts of both thirds, live, taken into the readings. */
export function CountStones({ run, data, readOnly }: InstrumentProps) {
  const { palette } = useTheme();
  const [photo, setPhoto] = useState('');
  const [corners, setCorners] = useState<Corners>(WHOLE);
  const [held, setHeld] = useState<number | null>(null);
  const [tool, setTool] = useState<Tool>('stone');
  const [stones, setStones] = useState<ReadonlySet<string>>(new Set());
  const [unseen, setUnseen] = useState<ReadonlySet<string>>(new Set());
  const [at, setAt] = useState(0);
  const own = data.photos.find(({ id }) => id === photo) ?? data.photos.at(-1);
  if (readOnly) return null;
  const placed = GRID.map((point) => ({ ...point, ...onPicture(point, corners) }));
  const counts = countsOf(stones, unseen);
  const mark = (id: string, as: Tool): void => {
    const change = (set: ReadonlySet<string>, on: boolean): ReadonlySet<string> => {
      const next = new Set(set);
      if (on) next.add(id);
      else next.delete(id);
      return next;
    };
    setStones((set) => change(set, as === 'stone'));
    setUnseen((set) => change(set, as === 'unseen'));
  };
  const shareOf = (event: PointerEvent<SVGSVGElement>): Corner => {
    const box = event.currentTarget.getBoundingClientRect();
    const inside = (share: number): number => Math.min(1, Math.max(0, share));
    return {
      x: inside((event.clientX - box.left) / box.width),
      y: inside((event.clientY - box.top) / box.height),
    };
  };
  const nearest = (to: Corner): number | null => {
    let [best, least] = [null as number | null, NEAR];
    placed.forEach(({ x, y }, place) => {
      const far = Math.hypot(x - to.x, y - to.y);
      if (far < least) [best, least] = [place, far];
    });
    return best;
  };
  const press = (event: PointerEvent<SVGSVGElement>): void => {
    const to = shareOf(event);
    const far = ({ x, y }: Corner): number => Math.hypot(x - to.x, y - to.y);
    const place = nearest(to);
    const point = place === null ? undefined : placed[place];
    // A point beside a corner is nearer to where it was pressed.
    const corner = corners.findIndex((each) => far(each) < Math.min(NEAR, point ? far(point) : NEAR));
    if (corner >= 0) setHeld(corner);
    else if (place !== null && point) {
      const { id } = point;
      setAt(place);
      // The same press again takes it back.
      mark(id, tool === 'stone' && stones.has(id) ? 'paste' : tool);
    }
  };
  const move = (event: PointerEvent<SVGSVGElement>): void => {
    if (held !== null) {
      const to = shareOf(event);
      setCorners((now) => now.map((each, place) => (place === held ? to : each)) as unknown as Corners);
      return;
    }
    // Drawn over several with the finger down, each takes the mark.
    if (event.buttons !== 1) return;
    const place = nearest(shareOf(event));
    if (place !== null && place !== at) {
      setAt(place);
      mark(GRID[place]?.id ?? '', tool);
    }
  };
  const key = (event: KeyboardEvent): void => {
    const as = KEYS[event.key.toLowerCase()];
    const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: ACROSS, ArrowUp: -ACROSS }[event.key];
    if (!as && step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    if (as) mark(GRID[at]?.id ?? '', as);
    setAt((now) => Math.min(GRID.length - 1, Math.max(0, now + (step ?? 1))));
  };
  const take = (): void => {
    for (const [field, count] of [
      ['topStone', counts.top.stone],
      ['topPoints', counts.top.all],
      ['bottomStone', counts.bottom.stone],
      ['bottomPoints', counts.bottom.all],
    ] as const)
      run.readings.save(field, String(count));
  };
  const said = (third: 'top' | 'bottom'): string => {
    const { stone, all } = counts[third];
    return `${stone} of ${all}${all > 0 ? `, ${((100 * stone) / all).toFixed(0)} %` : ''}`;
  };
  return (
    <Stack spacing={1.5} sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Typography variant="h3">Count on the photograph</Typography>
      {own ? (
        <>
          <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
            {data.photos.length > 1 ? (
              <TextField
                select
                label="Photograph"
                value={own.id}
                onChange={(event) => setPhoto(event.target.value)}
                sx={{ minWidth: 180 }}
              >
                {data.photos.map(({ id, name }) => (
                  <MenuItem key={id} value={id}>
                    {name}
                  </MenuItem>
                ))}
              </TextField>
            ) : null}
            <ToggleButtonGroup
              exclusive
              value={tool}
              onChange={(_, next: Tool | null) => next && setTool(next)}
              aria-label="A point that is pressed is"
            >
              {TOOLS.map(([value, word]) => (
                <ToggleButton key={value} value={value}>
                  {word}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Box>
          <Typography variant="body2" color="text.secondary">
            Drag the four corners to the face, up as cast; then press every point that lies on a stone. With
            the keys: arrows go from point to point, S, P and N mark one and go on.
          </Typography>
          <svg
            viewBox={`0 0 ${SIDE} ${SIDE}`}
            width="100%"
            style={{ maxWidth: 640, touchAction: 'none', cursor: 'crosshair' }}
            role="application"
            aria-label={`Grid over the face: upper third ${said('top')}, lower third ${said('bottom')} on stone`}
            // biome-ignore lint/a11y/noNoninteractiveTabindex: the grid is worked by its own keys
            tabIndex={0}
            onKeyDown={key}
            onPointerDown={press}
            onPointerMove={move}
            onPointerUp={() => setHeld(null)}
            onPointerLeave={() => setHeld(null)}
          >
            <image
              href={`/api/attachments/${own.id}`}
              width={SIDE}
              height={SIDE}
              preserveAspectRatio="none"
            />
            <polygon
              points={corners.map(({ x, y }) => `${x * SIDE},${y * SIDE}`).join(' ')}
              fill="none"
              stroke={palette.warning.main}
              strokeWidth={2}
            />
            {placed.map(({ id, x, y }, place) => (
              <circle
                key={id}
                cx={x * SIDE}
                cy={y * SIDE}
                r={stones.has(id) ? 6 : 4}
                fill={
                  stones.has(id)
                    ? palette.error.main
                    : unseen.has(id)
                      ? palette.text.secondary
                      : palette.background.paper
                }
                fillOpacity={stones.has(id) || unseen.has(id) ? 1 : 0.7}
                stroke={place === at ? palette.primary.main : palette.text.primary}
                strokeWidth={place === at ? 3 : 1.5}
              />
            ))}
            {corners.map(({ x, y }, place) => (
              <rect
                key={CORNER_NAMES[place]}
                x={x * SIDE - 9}
                y={y * SIDE - 9}
                width={18}
                height={18}
                fill={palette.warning.main}
                stroke={palette.background.paper}
              />
            ))}
          </svg>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
            <Typography role="status">
              {`Upper third ${said('top')} on stone; lower third ${said('bottom')}.`}
            </Typography>
            <Button variant="contained" onClick={take} disabled={stones.size === 0}>
              Take the counts
            </Button>
          </Box>
        </>
      ) : (
        <Typography color="text.secondary">
          Photograph the face at a right angle first, up as cast: a grid of 300 points is laid over the
          picture and counted by pressing.
        </Typography>
      )}
      {own ? null : <Photos data={data} />}
    </Stack>
  );
}
