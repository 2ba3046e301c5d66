'use client';
import { Box, IconButton, Stack, useTheme } from '@mui/material';
import { select } from 'd3-selection';
import { zoom, zoomIdentity } from 'd3-zoom';
import { type PointerEvent, useEffect, useRef } from 'react';
import { type FloorPlan, markOf, type Outline, type PointView, type Spot, sidesOf } from '@/core/plan';

/** A point as it is drawn: where, and how it stands. */
export interface DrawnPoint extends PointView {
  readonly at: Spot;
  readonly moved: boolean;
}

export interface CanvasProps {
  readonly plan: FloorPlan;
  readonly pictureId: string | null;
  readonly names: ReadonlyMap<string, string>;
  readonly points: readonly DrawnPoint[];
  readonly selected: string | null;
  /** Corners of what is being drawn. */
  readonly draft: Outline;
  /** The zone whose walls are chosen. */
  readonly walls: string | null;
  readonly onSpot: (at: Spot) => void;
  readonly onPoint: (id: string) => void;
  readonly onDrag?: (id: string, at: Spot, done: boolean) => void;
  readonly onWall: (sampleId: string, side: number) => void;
}

const KEY = {
  width: 44,
  height: 44,
  bgcolor: 'background.paper',
  border: 1,
  borderColor: 'divider',
} as const;

/** The floor from above: zones, walls, corridors, points with what was read there. Drawn in metres, moved as one. */
export function PlanCanvas(props: CanvasProps) {
  const { plan, pictureId, names, points, selected, draft, walls, onSpot, onPoint, onDrag, onWall } = props;
  const { palette } = useTheme();
  const svg = useRef<SVGSVGElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const moved = useRef<HTMLDivElement>(null);
  const zoomed = useRef<((by: number | null) => void) | null>(null);
  useEffect(() => {
    const box = frame.current;
    const inner = moved.current;
    if (!box || !inner) return;
    const behaviour = zoom<HTMLDivElement, unknown>()
      .scaleExtent([0.5, 16])
      // What is taken hold of on the plan is moved by itself.
      .filter((event: Event) => !(event.target as Element | null)?.closest('.point'))
      .on('zoom', ({ transform: { x, y, k } }) => {
        // Not by a state of the page: a plan of hundreds of points follows the finger.
        inner.style.transform = `translate(${x}px, ${y}px) scale(${k})`;
      });
    const area = select(box).call(behaviour).on('dblclick.zoom', null);
    zoomed.current = (by) => {
      if (by === null) area.call(behaviour.transform, zoomIdentity);
      else area.call(behaviour.scaleBy, by);
    };
    return () => {
      area.on('.zoom', null);
    };
  }, []);
  const held = useRef<{ id: string; from: Spot; moved: boolean } | null>(null);
  const pressed = useRef<Spot | null>(null);
  const unit = Math.max(plan.width, plan.height) / 100;
  const spotOf = (event: { clientX: number; clientY: number }): Spot => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return { x: 0, y: 0 };
    return {
      x: ((event.clientX - box.left) / box.width) * plan.width,
      y: ((event.clientY - box.top) / box.height) * plan.height,
    };
  };
  const path = (outline: Outline): string => outline.map(({ x, y }) => `${x},${y}`).join(' ');
  const far = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
    Math.hypot(a.x - b.x, a.y - b.y);
  const press = (event: PointerEvent): void => {
    pressed.current = { x: event.clientX, y: event.clientY };
  };
  const letGo = (event: PointerEvent): void => {
    const from = pressed.current;
    pressed.current = null;
    // A press that was moved pans the plan.
    if (from && far(from, { x: event.clientX, y: event.clientY }) < 6) onSpot(spotOf(event));
  };
  return (
    <>
      <Box
        ref={frame}
        sx={{
          position: 'relative',
          overflow: 'hidden',
          border: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
          touchAction: 'none',
          // A browser draws its outline in the units of the drawing, which are metres: ours is drawn with the point.
          '& .point:focus-visible': { outline: 'none' },
          '& .point:focus-visible > .focus': { stroke: palette.text.primary },
          '& line.point:focus-visible': { strokeOpacity: 0.8 },
        }}
      >
        <div ref={moved} style={{ transformOrigin: '0 0', willChange: 'transform' }}>
          <svg
            ref={svg}
            viewBox={`0 0 ${plan.width} ${plan.height}`}
            style={{ width: '100%', display: 'block', maxHeight: '72vh' }}
            role="application"
            aria-label="Plan of the floor"
            data-testid="plan"
            onPointerDown={press}
            onPointerUp={letGo}
          >
            <rect width={plan.width} height={plan.height} fill={palette.background.paper} />
            {pictureId ? (
              <image
                href={`/api/plan-pictures/${pictureId}`}
                width={plan.width}
                height={plan.height}
                preserveAspectRatio="none"
                opacity={0.75}
              />
            ) : null}
            <rect
              width={plan.width}
              height={plan.height}
              fill="none"
              stroke={palette.text.primary}
              strokeWidth={unit * 0.2}
            />
            {plan.zones.map(({ sampleId, outline, walls: exterior }) => (
              <g key={sampleId}>
                <polygon
                  points={path(outline)}
                  fill={palette.primary.main}
                  fillOpacity={0.07}
                  stroke={palette.primary.main}
                  strokeWidth={unit * 0.2}
                />
                {sidesOf(outline).map(([a, b], side) => (
                  <line
                    key={`${a.x} ${a.y} ${b.x} ${b.y}`}
                    x1={a.x}
                    y1={a.y}
                    x2={b.x}
                    y2={b.y}
                    stroke={exterior.includes(side) ? palette.text.primary : palette.primary.main}
                    strokeWidth={exterior.includes(side) ? unit * 0.8 : unit * 0.2}
                  />
                ))}
                {walls === sampleId
                  ? sidesOf(outline).map(([a, b], side) => (
                      // biome-ignore lint/a11y/useSemanticElements: a side of a drawing
                      <line
                        key={`press ${a.x} ${a.y} ${b.x} ${b.y}`}
                        className="point"
                        role="button"
                        tabIndex={0}
                        aria-pressed={exterior.includes(side)}
                        aria-label={`Side ${side + 1}: exterior wall`}
                        x1={a.x}
                        y1={a.y}
                        x2={b.x}
                        y2={b.y}
                        stroke={palette.warning.main}
                        strokeOpacity={0.35}
                        strokeWidth={unit * 2.4}
                        style={{ cursor: 'pointer' }}
                        onPointerDown={(event) => event.stopPropagation()}
                        onPointerUp={(event) => {
                          event.stopPropagation();
                          onWall(sampleId, side);
                        }}
                        onKeyDown={(event) => {
                          if (event.key === 'Enter' || event.key === ' ') onWall(sampleId, side);
                        }}
                      />
                    ))
                  : null}
                <text
                  x={(outline[0]?.x ?? 0) + unit}
                  y={(outline[0]?.y ?? 0) + unit * 2.4}
                  fontSize={unit * 1.9}
                  fill={palette.primary.main}
                >
                  {names.get(sampleId) ?? ''}
                </text>
              </g>
            ))}
            {plan.corridors.map(({ what, outline }) => (
              <g key={`${what} ${path(outline)}`}>
                <polygon
                  points={path(outline)}
                  fill={palette.error.main}
                  fillOpacity={0.16}
                  stroke={palette.error.main}
                  strokeWidth={unit * 0.2}
                  strokeDasharray={`${unit} ${unit * 0.6}`}
                />
                <text
                  x={(outline[0]?.x ?? 0) + unit * 0.4}
                  y={(outline[0]?.y ?? 0) + unit * 1.9}
                  fontSize={unit * 1.5}
                  fill={palette.error.main}
                >
                  {`${what}: no hole`}
                </text>
              </g>
            ))}
            {(plan.flags ?? []).map(({ what, at }) => (
              <g key={`${what} ${at.x} ${at.y}`} transform={`translate(${at.x} ${at.y})`}>
                <path
                  d={`M0 0V${-unit * 3.2}L${-unit * 2} ${-unit * 2.4}L0 ${-unit * 1.6}`}
                  fill={palette.warning.main}
                  stroke={palette.warning.main}
                  strokeWidth={unit * 0.25}
                />
                {/* To the left: the point that is set at it has its number on the right. */}
                <text
                  x={-unit * 1.6}
                  y={unit * 0.5}
                  fontSize={unit * 1.5}
                  textAnchor="end"
                  fill={palette.warning.main}
                >
                  {what}
                </text>
              </g>
            ))}
            {draft.length > 0 ? (
              <g>
                <polyline
                  points={path(draft)}
                  fill="none"
                  stroke={palette.warning.main}
                  strokeWidth={unit * 0.4}
                />
                {draft.map(({ x, y }) => (
                  <circle key={`${x} ${y}`} cx={x} cy={y} r={unit * 0.8} fill={palette.warning.main} />
                ))}
              </g>
            ) : null}
            {points.map((point) => (
              <Point
                key={point.id}
                point={point}
                unit={unit}
                selected={selected === point.id}
                onDown={(event) => {
                  event.stopPropagation();
                  event.currentTarget.setPointerCapture(event.pointerId);
                  held.current = { id: point.id, from: { x: event.clientX, y: event.clientY }, moved: false };
                }}
                onMove={(event) => {
                  const now = held.current;
                  if (now?.id !== point.id || !onDrag || point.begun) return;
                  if (!now.moved && far(now.from, { x: event.clientX, y: event.clientY }) < 4) return;
                  now.moved = true;
                  onDrag(point.id, spotOf(event), false);
                }}
                onUp={(event) => {
                  event.stopPropagation();
                  const now = held.current;
                  held.current = null;
                  if (now?.moved && onDrag) onDrag(point.id, spotOf(event), true);
                  else onPoint(point.id);
                }}
                onKey={() => onPoint(point.id)}
              />
            ))}
          </svg>
        </div>
      </Box>
      <Stack direction="row" spacing={0.5} sx={{ justifyContent: 'flex-end' }}>
        <IconButton aria-label="Nearer" onClick={() => zoomed.current?.(1.5)} sx={KEY}>
          +
        </IconButton>
        <IconButton aria-label="Farther" onClick={() => zoomed.current?.(1 / 1.5)} sx={KEY}>
          −
        </IconButton>
        <IconButton aria-label="All of it" onClick={() => zoomed.current?.(null)} sx={KEY}>
          ▢
        </IconButton>
      </Stack>
    </>
  );
}

function Point({
  point,
  unit,
  selected,
  onDown,
  onMove,
  onUp,
  onKey,
}: {
  readonly point: DrawnPoint;
  readonly unit: number;
  readonly selected: boolean;
  readonly onDown: (event: PointerEvent<SVGGElement>) => void;
  readonly onMove: (event: PointerEvent<SVGGElement>) => void;
  readonly onUp: (event: PointerEvent<SVGGElement>) => void;
  readonly onKey: () => void;
}) {
  const { palette } = useTheme();
  const { at, short, value, stands, waits, moved, begun } = point;
  const colour =
    stands === 'does not hold'
      ? palette.error.main
      : stands === 'holds'
        ? palette.success.main
        : palette.text.primary;
  const shape = markOf(short);
  const r = unit * 1.3;
  const said = [
    point.label,
    value ?? 'not read',
    stands === 'does not hold' ? 'does not hold' : '',
    waits[0]?.what ?? '',
    begun ? 'stays where it is' : '',
  ]
    .filter(Boolean)
    .join(', ');
  return (
    // biome-ignore lint/a11y/useSemanticElements: a point of a drawing
    <g
      className="point"
      role="button"
      tabIndex={0}
      aria-label={said}
      aria-pressed={selected}
      transform={`translate(${at.x} ${at.y})`}
      style={{ cursor: begun ? 'pointer' : 'grab', touchAction: 'none' }}
      onPointerDown={onDown}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onKey();
        }
      }}
    >
      <circle className="point focus" r={r * 2.4} fill="transparent" strokeWidth={unit * 0.3} />
      {selected ? (
        <circle
          className="point"
          r={r * 1.9}
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={unit * 0.4}
        />
      ) : null}
      {shape === 'square' || shape === 'diamond' ? (
        <rect
          className="point"
          x={-r}
          y={-r}
          width={2 * r}
          height={2 * r}
          {...(shape === 'diamond' ? { transform: 'rotate(45)' } : {})}
          fill={value ? colour : palette.background.paper}
          stroke={colour}
          strokeWidth={unit * 0.3}
        />
      ) : (
        <circle
          className="point"
          r={r}
          fill={value ? colour : palette.background.paper}
          stroke={colour}
          strokeWidth={shape === 'ring' ? unit * 0.7 : unit * 0.3}
          strokeDasharray={moved ? `${unit * 0.6} ${unit * 0.4}` : undefined}
        />
      )}
      <text className="point" x={r * 1.4} y={-r * 0.5} fontSize={unit * 1.7} fill={palette.text.primary}>
        {short}
      </text>
      {value ? (
        <text
          className="point mono"
          x={r * 1.4}
          y={r * 1.2}
          fontSize={unit * 1.9}
          fontWeight={700}
          fill={colour}
        >
          {`${value}${stands === 'does not hold' ? ' ✕' : ''}`}
        </text>
      ) : null}
      {waits.length > 0 ? (
        <circle className="point" cx={-r * 1.2} cy={-r * 1.2} r={unit * 0.55} fill={palette.warning.main} />
      ) : null}
    </g>
  );
}
