'use client';
import { Box, Slider, Typography, useTheme } from '@mui/material';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { evaporationRate, wouldTake } from '@/core/methods/evaporation';
import { exact, plainOf, type System } from '@/core/quantity';

/** What the map is drawn for: °F and mph, or °C and km/h; humidity in percent. */
export interface MapWeather {
  readonly concrete: number;
  readonly air: number;
  readonly humidity: number;
  readonly wind: number;
}

const SIZE = { left: 44, top: 12, width: 344, height: 190 };
/** Winds at which the bounds are worked out. */
const STEPS = 48;

interface Ends {
  readonly wind: readonly [number, number];
  readonly concrete: readonly [number, number];
}
const ENDS: Readonly<Record<System, Ends>> = {
  US: { wind: [0, 30], concrete: [40, 110] },
  SI: { wind: [0, 48], concrete: [5, 43] },
};

/**
 * Wind against concrete temperature, coloured by what evaporates in this air: the point is dragged, or moved with the
 * arrow keys, to see what it would take. It plays with the numbers; the reading stays as it was taken.
 */
export function WeatherMap({
  weather,
  system,
  caution,
  protect,
}: {
  weather: MapWeather;
  system: System;
  caution: number;
  protect: number;
}) {
  const { palette } = useTheme();
  const [point, setPoint] = useState(weather);
  const svg = useRef<SVGSVGElement>(null);
  const ends = ENDS[system];
  const x = (wind: number): number =>
    SIZE.left + ((wind - ends.wind[0]) / (ends.wind[1] - ends.wind[0])) * SIZE.width;
  const y = (concrete: number): number =>
    SIZE.top + SIZE.height * (1 - (concrete - ends.concrete[0]) / (ends.concrete[1] - ends.concrete[0]));
  const rateAt = (wind: number, concrete: number): number =>
    evaporationRate(
      {
        wind: exact(wind),
        concrete: exact(concrete),
        air: exact(point.air),
        humidity: exact(point.humidity).div(100),
      },
      system,
    ).toNumber();
  // Where the rate reaches a limit: for each wind the concrete temperature that does it, kept inside the frame.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the scales and ends follow from the system alone
  const bounds = useMemo(() => {
    const line = (limit: number): string =>
      Array.from({ length: STEPS + 1 }, (_, step) => {
        const wind = ends.wind[0] + (step / STEPS) * (ends.wind[1] - ends.wind[0]);
        const { concrete } = wouldTake(
          exact(limit),
          {
            wind: exact(wind),
            concrete: exact(0),
            air: exact(point.air),
            humidity: exact(point.humidity).div(100),
          },
          system,
        );
        const at = Math.min(
          Math.max(concrete?.toNumber() ?? ends.concrete[1], ends.concrete[0]),
          ends.concrete[1],
        );
        return `${x(wind).toFixed(1)},${y(at).toFixed(1)}`;
      }).join(' ');
    const above = `${SIZE.left + SIZE.width},${SIZE.top} ${SIZE.left},${SIZE.top}`;
    return { caution: `${line(caution)} ${above}`, protect: `${line(protect)} ${above}` };
  }, [point.air, point.humidity, system, caution, protect]);
  const move = (wind: number, concrete: number): void =>
    setPoint((all) => ({
      ...all,
      wind: Math.round(Math.min(Math.max(wind, ends.wind[0]), ends.wind[1]) * 2) / 2,
      concrete: Math.round(Math.min(Math.max(concrete, ends.concrete[0]), ends.concrete[1]) * 2) / 2,
    }));
  const drag = (event: PointerEvent<SVGSVGElement>): void => {
    if (event.buttons === 0 || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const inside = ((event.clientX - box.left) / box.width) * 400;
    const down = ((event.clientY - box.top) / box.height) * 250;
    move(
      ends.wind[0] + ((inside - SIZE.left) / SIZE.width) * (ends.wind[1] - ends.wind[0]),
      ends.concrete[1] - ((down - SIZE.top) / SIZE.height) * (ends.concrete[1] - ends.concrete[0]),
    );
  };
  const keys = (event: KeyboardEvent): void => {
    const step = { ArrowLeft: [-0.5, 0], ArrowRight: [0.5, 0], ArrowUp: [0, 0.5], ArrowDown: [0, -0.5] }[
      event.key
    ];
    if (!step) return;
    event.preventDefault();
    move(point.wind + (step[0] ?? 0), point.concrete + (step[1] ?? 0));
  };
  const rate = Math.max(0, rateAt(point.wind, point.concrete));
  const unit = system === 'US' ? 'lb/ft²/h' : 'kg/m²/h';
  const [degree, speed] = system === 'US' ? (['degF', 'mph'] as const) : (['degC', 'km/h'] as const);
  const takes = wouldTake(
    exact(protect),
    {
      wind: exact(point.wind),
      concrete: exact(point.concrete),
      air: exact(point.air),
      humidity: exact(point.humidity).div(100),
    },
    system,
  );
  const one = (value: NonNullable<typeof takes.wind>): typeof value => value.toDecimalPlaces(1);
  const answers = [
    takes.wind ? `wind at most ${plainOf(one(takes.wind), speed)}` : null,
    takes.concrete ? `concrete at most ${plainOf(one(takes.concrete), degree)}` : null,
    takes.humidity ? `humidity at least ${plainOf(one(takes.humidity.times(100)), 'percent')}` : null,
  ].filter((words) => words !== null);
  const moved = JSON.stringify(point) !== JSON.stringify(weather);
  return (
    <Box className="no-print">
      <svg
        ref={svg}
        viewBox="0 0 400 250"
        width="100%"
        role="application"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the point is moved with the arrow keys
        tabIndex={0}
        aria-label={`Wind ${point.wind} ${speed}, concrete ${point.concrete}: ${rate.toFixed(2)} ${unit}. Arrow keys move the point.`}
        style={{ touchAction: 'none', cursor: 'crosshair', maxWidth: 560 }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag(event);
        }}
        onPointerMove={drag}
        onKeyDown={keys}
      >
        <rect
          x={SIZE.left}
          y={SIZE.top}
          width={SIZE.width}
          height={SIZE.height}
          fill={palette.success.light}
        />
        <polygon points={bounds.caution} fill={palette.warning.light} stroke={palette.warning.main} />
        <polygon points={bounds.protect} fill={palette.error.light} stroke={palette.error.main} />
        <g fontSize="12" fill={palette.text.primary}>
          <text x={SIZE.left + 8} y={SIZE.top + SIZE.height - 8}>
            low
          </text>
          <text x={SIZE.left + SIZE.width - 8} y={SIZE.top + 16} textAnchor="end">
            protect
          </text>
        </g>
        {[0, 0.25, 0.5, 0.75, 1].map((share) => {
          const wind = ends.wind[0] + share * (ends.wind[1] - ends.wind[0]);
          const concrete = ends.concrete[0] + share * (ends.concrete[1] - ends.concrete[0]);
          return (
            <g key={share} fontSize="11" fill={palette.text.secondary}>
              <text x={x(wind)} y={SIZE.top + SIZE.height + 14} textAnchor="middle">
                {Math.round(wind * 10) / 10}
              </text>
              <text x={SIZE.left - 6} y={y(concrete) + 4} textAnchor="end">
                {Math.round(concrete)}
              </text>
            </g>
          );
        })}
        <text
          x={SIZE.left + SIZE.width / 2}
          y={SIZE.top + SIZE.height + 30}
          fontSize="12"
          textAnchor="middle"
          fill={palette.text.primary}
        >
          {`wind, ${speed}`}
        </text>
        <text
          x={-(SIZE.top + SIZE.height / 2)}
          y="12"
          fontSize="12"
          textAnchor="middle"
          transform="rotate(-90)"
          fill={palette.text.primary}
        >
          {`concrete, ${system === 'US' ? '°F' : '°C'}`}
        </text>
        <circle
          cx={x(weather.wind)}
          cy={y(weather.concrete)}
          r="4"
          fill="none"
          stroke={palette.text.primary}
        />
        <circle
          cx={x(point.wind)}
          cy={y(point.concrete)}
          r="9"
          fill={palette.primary.main}
          stroke={palette.background.paper}
          strokeWidth="2"
        />
      </svg>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', maxWidth: 560 }}>
        <Typography variant="body2" sx={{ whiteSpace: 'nowrap' }}>
          {`Humidity ${point.humidity} %`}
        </Typography>
        <Slider
          value={point.humidity}
          onChange={(_, value) => setPoint((all) => ({ ...all, humidity: Number(value) }))}
          aria-label="Humidity"
          size="small"
        />
        <Typography variant="body2" sx={{ whiteSpace: 'nowrap' }}>
          {`Air ${plainOf(exact(point.air), degree)}`}
        </Typography>
        <Slider
          value={point.air}
          min={system === 'US' ? 20 : -7}
          max={system === 'US' ? 120 : 49}
          onChange={(_, value) => setPoint((all) => ({ ...all, air: Number(value) }))}
          aria-label="Air temperature"
          size="small"
        />
      </Box>
      <Typography sx={{ mt: 1 }} role="status">
        <strong className="mono">{`${rate.toFixed(2)} ${unit}`}</strong>
        {moved ? ' where the point stands; the reading is the small ring. ' : '. Drag the point. '}
        {answers.length > 0 ? `To stay under ${protect}: ${answers.join(', or ')}.` : ''}
      </Typography>
    </Box>
  );
}
