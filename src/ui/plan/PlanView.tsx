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
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { type KeyboardEvent, useCallback, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import {
  emptyPlan,
  type FloorPlan,
  type Outline,
  type PlanPage,
  proposePoints,
  type Spot,
  sizeBy,
} from '@/core/plan';
import { perform } from '../api';
import { RunHolder } from '../field/RunHolder';
import { newId } from '../ids';
import { InMethodFolder } from '../methods/registry';
import { Empty } from '../parts/Card';
import { useNotice } from '../parts/Notice';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { BeginPlan } from './BeginPlan';
import { Drawn } from './Drawn';
import { lengthText, metresOf } from './lengths';
import { PictureButton } from './PictureButton';
import { type DrawnPoint, PlanCanvas } from './PlanCanvas';
import { PlanSide } from './PlanSide';
import { usePlaces } from './use-places';

type Tool = 'points' | 'zone' | 'walls' | 'corridor' | 'flag' | 'scale';
const TOOLS: readonly (readonly [Tool, string])[] = [
  ['points', 'Points'],
  ['zone', 'Zones'],
  ['walls', 'Walls'],
  ['corridor', 'No drilling'],
  ['flag', 'Test here'],
  ['scale', 'Scale'],
];
const SAYS: Readonly<Record<Tool, string>> = {
  points:
    'Press a point to see it, drag it to move it, or choose one that is not placed and press where it lies.',
  zone: 'Press the corners of the zone one after the other, then close it.',
  walls: 'Press the sides that are exterior walls: each wants a point within reach.',
  corridor: 'Press the corners of what may not be drilled: tendons, tubes, heating. Then say what it is.',
  flag: 'Say why a test is wanted there, then press the place: a low spot, the last pour, where water stood.',
  scale: 'Press two places that are a known way apart, then say how far.',
};
/** One press of an arrow key, m: a foot, or a quarter of a metre. */
const STEP = { US: 0.3048, SI: 0.25 } as const;

/** The plan of a floor, drawn and worked with: zones, walls, corridors, points and the round that is due. */
export function PlanView({
  page,
  sheets = [],
  canWrite,
}: {
  readonly page: PlanPage;
  /** The run sheets that are open at its points. */
  readonly sheets?: readonly RunSheetData[];
  readonly canWrite: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const { lotId, system, wants, rules } = page;
  const [plan, setPlan] = useState<FloorPlan | null>(page.plan);
  const [pictureId, setPictureId] = useState(page.pictureId);
  const [before, setBefore] = useState<readonly FloorPlan[]>([]);
  const [tool, setTool] = useState<Tool>('points');
  const [zone, setZone] = useState(wants[0]?.sampleId ?? '');
  const [draft, setDraft] = useState<Outline>([]);
  const [what, setWhat] = useState('');
  const [distance, setDistance] = useState('');
  const [selected, setSelected] = useState<string | null>(null);
  const [dragged, setDragged] = useState<{ id: string; at: Spot } | null>(null);
  const refresh = useCallback(() => router.refresh(), [router]);
  const { waiting, refused, offline, put } = usePlaces(lotId, refresh);
  const [held, setHeld] = useState<ReadonlyMap<string, Run>>(new Map());
  const hold = useCallback((runId: string, run: Run) => setHeld((all) => new Map(all).set(runId, run)), []);
  const names = useMemo(() => new Map(wants.map(({ sampleId, name }) => [sampleId, name])), [wants]);
  const points = useMemo(
    (): DrawnPoint[] =>
      plan
        ? page.points.flatMap((point) => {
            const place = waiting[point.id] ?? point.place;
            const at =
              dragged?.id === point.id
                ? dragged.at
                : place && { x: place.x * plan.width, y: place.y * plan.height };
            return at ? [{ ...point, at, moved: point.id in waiting || dragged?.id === point.id }] : [];
          })
        : [],
    [page.points, plan, waiting, dragged],
  );
  const unplaced = page.points.filter(({ id, place }) => !place && !(id in waiting));
  // By what it says: the page brings a new one of the same words with each reading that was sent.
  const changed = JSON.stringify(plan) !== JSON.stringify(page.plan) || pictureId !== page.pictureId;
  if (!plan)
    return canWrite ? (
      <BeginPlan
        system={system}
        lotId={lotId}
        begin={(width, height, picture) => {
          setPlan(emptyPlan(width, height));
          setPictureId(picture);
          setTool(picture ? 'scale' : 'zone');
        }}
      />
    ) : (
      <Empty>This floor has no plan yet.</Empty>
    );
  const { flags = [] } = plan;
  const change = (next: FloorPlan): void => {
    setBefore((list) => [...list.slice(-30), plan]);
    setPlan(next);
  };
  const save = async (next: FloorPlan = plan): Promise<void> => {
    const { width, height, zones, corridors, flags = [], locked } = next;
    const reply = await perform('draw-plan', {
      id: newId(),
      lotId,
      ...(pictureId ? { pictureId } : {}),
      ...(page.planId ? { basedOn: page.planId } : {}),
      ...{ width, height, zones, corridors, flags, locked },
    });
    notice(reply.ok ? 'The plan is kept.' : reply.message, reply.ok ? 'success' : 'error');
    if (reply.ok) refresh();
  };
  const place = (id: string, at: Spot): void => {
    const inside = (value: number, most: number): number => Math.min(1, Math.max(0, value / most));
    put({ [id]: { x: inside(at.x, plan.width), y: inside(at.y, plan.height) } });
  };
  const close = (): void => {
    if (draft.length < 3) return;
    if (tool === 'zone')
      change({
        ...plan,
        zones: [
          ...plan.zones.filter(({ sampleId }) => sampleId !== zone),
          { sampleId: zone, outline: draft, walls: [] },
        ],
      });
    else
      change({
        ...plan,
        corridors: [...plan.corridors, { what: what.trim() || 'not to be drilled', outline: draft }],
      });
    setDraft([]);
  };
  const pressed = (at: Spot): void => {
    if (!canWrite || plan.locked) return;
    if (tool === 'points') {
      const own = unplaced.find(({ id }) => id === selected);
      if (own) {
        place(own.id, at);
        setSelected(unplaced.find(({ id }) => id !== own.id)?.id ?? null);
      }
    } else if (tool === 'flag') {
      if (what.trim()) change({ ...plan, flags: [...flags, { what: what.trim(), at }] });
      else notice('Say first why a test is wanted there.', 'error');
    } else if (tool === 'scale') setDraft((list) => (list.length >= 2 ? [at] : [...list, at]));
    else if (tool !== 'walls') setDraft((list) => [...list, at]);
  };
  const rescale = (): void => {
    const read = metresOf(distance, system);
    const [one, other] = draft;
    if ('why' in read) {
      notice(read.why, 'error');
      return;
    }
    const share = (spot: Spot): Spot => ({ x: spot.x / plan.width, y: spot.y / plan.height });
    const size = one && other && sizeBy(share(one), share(other), read.metres, plan.width / plan.height);
    if (!size) {
      notice('Press two places that lie apart, then say how far.', 'error');
      return;
    }
    const by = size.width / plan.width;
    const larger = (outline: Outline): Outline => outline.map(({ x, y }) => ({ x: x * by, y: y * by }));
    change({
      ...plan,
      ...size,
      zones: plan.zones.map((each) => ({ ...each, outline: larger(each.outline) })),
      corridors: plan.corridors.map((each) => ({ ...each, outline: larger(each.outline) })),
      flags: flags.map(({ what: why, at: { x, y } }) => ({ what: why, at: { x: x * by, y: y * by } })),
    });
    setDraft([]);
    setDistance('');
  };
  const propose = (): void => {
    const places: Record<string, { x: number; y: number }> = {};
    for (const { sampleId, outline, walls } of plan.zones)
      for (const form of new Set(page.points.map((point) => point.form))) {
        const free = unplaced.filter((point) => point.sampleId === sampleId && point.form === form);
        const taken = points.filter((point) => point.form === form).map(({ at }) => at);
        const found = proposePoints({ outline, walls }, free.length, {
          corridors: plan.corridors,
          flags,
          taken,
          rules,
        });
        for (const [order, { at }] of found.entries()) {
          const point = free[order];
          if (point) places[point.id] = { x: at.x / plan.width, y: at.y / plan.height };
        }
      }
    if (Object.keys(places).length > 0) put(places);
    else notice('Nothing to place: outline the zones, and mark their points first.', 'error');
  };
  const key = (event: KeyboardEvent): void => {
    if ((event.target as Element).closest('input, textarea, [role=combobox]')) return;
    if (event.key === 'Enter' && draft.length >= 3) close();
    else if (event.key === 'Backspace' && draft.length > 0) setDraft(draft.slice(0, -1));
    else if (event.key === 'Escape') setDraft([]);
    const step = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] }[event.key];
    const own = points.find(({ id }) => id === selected);
    if (!step || !own || own.begun || !canWrite || plan.locked) return;
    event.preventDefault();
    const [dx = 0, dy = 0] = step;
    place(own.id, { x: own.at.x + dx * STEP[system], y: own.at.y + dy * STEP[system] });
  };
  return (
    <Box
      onKeyDown={key}
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: '1fr', md: '2.2fr 1fr' },
        alignItems: 'start',
      }}
    >
      <Stack spacing={1} sx={{ position: { md: 'sticky' }, top: { md: 72 } }}>
        {canWrite ? (
          <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'center' }}>
            <ToggleButtonGroup
              exclusive
              size="small"
              value={tool}
              disabled={plan.locked}
              onChange={(_, next: Tool | null) => {
                if (next) setTool(next);
                setDraft([]);
              }}
              aria-label="What is drawn"
            >
              {TOOLS.map(([value, word]) => (
                <ToggleButton key={value} value={value} sx={{ minHeight: 44 }}>
                  {word}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            {tool === 'zone' || tool === 'walls' ? (
              <TextField
                select
                size="small"
                label="Zone"
                value={zone}
                onChange={(event) => setZone(event.target.value)}
                sx={{ minWidth: 160 }}
              >
                {wants.map(({ sampleId, name }) => (
                  <MenuItem key={sampleId} value={sampleId}>
                    {name}
                  </MenuItem>
                ))}
              </TextField>
            ) : null}
            {tool === 'corridor' || tool === 'flag' ? (
              <TextField
                size="small"
                label={tool === 'flag' ? 'Why a test is wanted there' : 'What lies there'}
                value={what}
                onChange={(event) => setWhat(event.target.value)}
              />
            ) : null}
            {tool === 'zone' || tool === 'corridor' ? (
              <Button variant="outlined" onClick={close} disabled={draft.length < 3}>
                Close the outline
              </Button>
            ) : null}
            {tool === 'scale' ? (
              <>
                <TextField
                  size="small"
                  label="How far apart"
                  value={distance}
                  onChange={(event) => setDistance(event.target.value)}
                  helperText={system === 'US' ? 'As 24 ft or 12\' 6"' : 'As 7.3 m'}
                />
                <Button variant="outlined" onClick={rescale} disabled={draft.length < 2}>
                  Set the scale
                </Button>
                <PictureButton
                  lotId={lotId}
                  done={(id, aspect) => {
                    setPictureId(id);
                    change({ ...plan, width: plan.height * aspect });
                  }}
                />
              </>
            ) : null}
            {tool === 'points' ? (
              <Button variant="outlined" onClick={propose} disabled={plan.locked || unplaced.length === 0}>
                Propose places
              </Button>
            ) : null}
            <Button
              onClick={() => {
                const last = before.at(-1);
                if (last) setPlan(last);
                setBefore((list) => list.slice(0, -1));
              }}
              disabled={before.length === 0}
            >
              One step back
            </Button>
            <Button variant="contained" onClick={() => void save()} disabled={!changed}>
              Keep the plan
            </Button>
            <Button onClick={() => void save({ ...plan, locked: !plan.locked })} disabled={changed}>
              {plan.locked ? 'Unlock it' : 'Lock it'}
            </Button>
          </Stack>
        ) : null}
        {canWrite && !plan.locked ? (
          <Drawn
            items={tool === 'corridor' ? plan.corridors : tool === 'flag' ? flags : []}
            remove={(place) => {
              const without = <T,>(list: readonly T[]): T[] => list.filter((_, order) => order !== place);
              change(
                tool === 'flag'
                  ? { ...plan, flags: without(flags) }
                  : { ...plan, corridors: without(plan.corridors) },
              );
            }}
          />
        ) : null}
        {canWrite ? (
          <Typography variant="body2" color="text.secondary">
            {plan.locked ? 'The plan is locked: nothing of it is moved.' : SAYS[tool]}
          </Typography>
        ) : null}
        <PlanCanvas
          plan={plan}
          pictureId={pictureId}
          names={names}
          points={points}
          selected={selected}
          draft={draft}
          walls={tool === 'walls' && canWrite && !plan.locked ? zone : null}
          onSpot={pressed}
          onPoint={setSelected}
          onWall={(sampleId, side) =>
            change({
              ...plan,
              zones: plan.zones.map((each) =>
                each.sampleId === sampleId
                  ? {
                      ...each,
                      walls: each.walls.includes(side)
                        ? each.walls.filter((wall) => wall !== side)
                        : [...each.walls, side],
                    }
                  : each,
              ),
            })
          }
          {...(canWrite && !plan.locked
            ? {
                onDrag: (id: string, at: Spot, done: boolean) => {
                  setSelected(id);
                  setDragged(done ? null : { id, at });
                  if (done) place(id, at);
                },
              }
            : {})}
        />
        <Typography variant="body2" color="text.secondary">
          {`${lengthText(plan.width, system)} by ${lengthText(plan.height, system)}. Numbers stand at their points; what lies between them is not known.`}
        </Typography>
        <Typography role="status" color={refused ? 'error' : 'text.secondary'} variant="body2">
          {refused ||
            (offline
              ? `No network: ${Object.keys(waiting).length} ${Object.keys(waiting).length === 1 ? 'place is' : 'places are'} kept on this device and sent later.`
              : '')}
        </Typography>
      </Stack>
      {sheets.map((data) => (
        // A sheet whose part of the application is not on this device must not take the plan with it.
        <ErrorBoundary key={data.runId} fallback={null}>
          <InMethodFolder id={data.method}>
            <RunHolder data={data} now={page.now} onRun={hold} />
          </InMethodFolder>
        </ErrorBoundary>
      ))}
      <PlanSide
        page={page}
        sheets={sheets}
        held={held}
        canWrite={canWrite}
        plan={plan}
        points={points}
        unplaced={canWrite ? unplaced : []}
        names={names}
        selected={selected}
        select={(id) => {
          if (unplaced.some((each) => each.id === id)) setTool('points');
          setSelected(id);
        }}
      />
    </Box>
  );
}
