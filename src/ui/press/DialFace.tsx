'use client';
import { useTheme } from '@mui/material';
import type { PointerEvent } from 'react';
import type { Dial } from '@/core/press';

/** Where the scale begins, degrees clockwise from the top, and how far round it goes. */
const BEGIN = -150;
const SWEEP = 300;
const RADIUS = 150;
/** How many numbered marks are seen from near by. */
const SEEN_MAJORS = 3.4;

function point(degrees: number, radius: number): { x: number; y: number } {
  const turned = ((degrees - 90) * Math.PI) / 180;
  return { x: 180 + radius * Math.cos(turned), y: 180 + radius * Math.sin(turned) };
}

/** The face with its marks to scale and two hands; a press anywhere on it turns the chosen hand there. */
export function DialFace({
  dial,
  peak,
  live,
  unit,
  drag,
  size = 300,
  close = false,
}: {
  dial: Dial;
  peak: number;
  live: number;
  unit: string;
  /** Turns the chosen hand; absent where the face is only read. */
  drag?: (share: number) => void;
  size?: number;
  /** As from near by: only the marks round the peak hand, every numbered one with its number. */
  close?: boolean;
}) {
  const { palette } = useTheme();
  const marks = Math.round(dial.fullScale.div(dial.minor).toNumber());
  const each = Math.round(dial.major.div(dial.minor).toNumber());
  const majors = Math.floor(marks / each);
  // Numbers stand at every mark that leaves room for them.
  const every = close ? 1 : Math.max(1, Math.ceil(majors / 13));
  const arc = (RADIUS * SWEEP * each * Math.PI) / (marks * 180);
  const seen = Math.min(110, Math.max(20, SEEN_MAJORS * arc));
  const middle = point(BEGIN + SWEEP * peak, RADIUS);
  const scale = close ? seen / 360 : 1;
  const thousands = dial.fullScale.greaterThan(5000);
  const turn = (event: PointerEvent<SVGSVGElement>): void => {
    if (!drag || (event.buttons === 0 && event.type === 'pointermove')) return;
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
      viewBox={close ? `${middle.x - seen / 2} ${middle.y - seen / 2} ${seen} ${seen}` : '0 0 360 360'}
      width={size}
      height={size}
      role="img"
      aria-label={close ? 'The marks round the peak hand' : `Dial to ${dial.fullScale.toFixed()} ${unit}`}
      style={drag ? { touchAction: 'none', cursor: 'pointer' } : undefined}
      onPointerDown={(event) => {
        if (drag) event.currentTarget.setPointerCapture(event.pointerId);
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
            strokeWidth={(major ? 2 : 0.7) * scale}
          />
        );
      })}
      {Array.from({ length: majors + 1 }, (_, major) => major)
        .filter((major) => major % every === 0)
        .map((major) => {
          const at = point(BEGIN + (SWEEP * major * each) / marks, RADIUS - (close ? seen * 0.09 : 16));
          const value = dial.major.times(major).div(thousands ? 1000 : 1);
          return (
            <text
              key={major}
              x={at.x}
              y={at.y + (close ? seen * 0.025 : 5)}
              fontSize={close ? seen * 0.075 : 14}
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
      {hand(peak, palette.error.main, 3 * scale, RADIUS + 11)}
      {hand(live, palette.text.primary, 5, RADIUS - 34)}
      <circle cx={180} cy={180} r={8} fill={palette.text.primary} />
    </svg>
  );
}
