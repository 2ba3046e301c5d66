'use client';
import { useTheme } from '@mui/material';
import type { PressSpace, SpacerStack } from '@/core/press';

/** A section through the press, all heights on one scale. */
export function PressSection({
  space,
  stack,
  head,
  pads,
  unit,
}: {
  space: PressSpace;
  stack: SpacerStack;
  head: boolean;
  pads: boolean;
  unit: string;
}) {
  const { palette } = useTheme();
  const whole = space.clearHeight.toNumber();
  const scale = 300 / Math.max(whole, 1);
  const [block, assembly, gap] = [space.lowerBlock, space.assembly, stack.gap].map((each) => each.toNumber());
  const bottom = 340;
  const parts: { name: string; height: number; width: number; fill: string }[] = [];
  const spacers = stack.spacers.map((each) => ({
    name: `${each.toFixed()} ${unit}`,
    height: each.toNumber(),
    width: 116,
    fill: palette.warning.light,
  }));
  if (!head) parts.push(...spacers);
  parts.push({ name: 'lower block', height: block ?? 0, width: 128, fill: palette.divider });
  parts.push({
    name: pads ? 'specimen, pads' : 'specimen',
    height: assembly ?? 0,
    width: 74,
    fill: palette.background.default,
  });
  let at = bottom;
  const drawn = parts.map((part) => {
    at -= part.height * scale;
    return { ...part, y: at };
  });
  const top = bottom - whole * scale;
  const hung = head ? spacers.toReversed() : [];
  let down = top;
  const hanging = hung.map((part) => {
    const y = down;
    down += part.height * scale;
    return { ...part, y };
  });
  const gapTop = down;
  return (
    <svg
      viewBox="0 0 300 380"
      width={270}
      height={342}
      role="img"
      aria-label={`Section of the press: gap ${stack.gap.toFixed(2)} ${unit}`}
    >
      <rect x={60} y={top - 26} width={150} height={26} fill={palette.text.primary} />
      <path d={`M95 ${top - 26}a40 20 0 0 1 80 0`} fill={palette.text.secondary} />
      {[...hanging, ...drawn].map((part) => (
        <g key={`${part.name}${part.y}`}>
          <rect
            x={135 - part.width / 2}
            y={part.y}
            width={part.width}
            height={Math.max(0, part.height * scale)}
            fill={part.fill}
            stroke={palette.text.primary}
            strokeWidth={1.2}
          />
          <text x={212} y={part.y + (part.height * scale) / 2 + 4} fontSize={12} fill={palette.text.primary}>
            {part.name}
          </text>
        </g>
      ))}
      <rect x={70} y={bottom} width={130} height={16} fill={palette.text.secondary} />
      <text x={135} y={bottom + 32} fontSize={12} textAnchor="middle" fill={palette.text.secondary}>
        ram, fully down
      </text>
      {(gap ?? 0) > 0 ? (
        <g stroke={stack.trouble === 'none' ? palette.success.main : palette.error.main} strokeWidth={2}>
          <line x1={40} x2={40} y1={gapTop} y2={gapTop + (gap ?? 0) * scale} />
          <line x1={32} x2={96} y1={gapTop} y2={gapTop} strokeWidth={1} />
          <line
            x1={32}
            x2={96}
            y1={gapTop + (gap ?? 0) * scale}
            y2={gapTop + (gap ?? 0) * scale}
            strokeWidth={1}
          />
          <text
            x={4}
            y={gapTop + ((gap ?? 0) * scale) / 2 + 4}
            fontSize={12}
            stroke="none"
            fill={palette.text.primary}
          >
            gap
          </text>
        </g>
      ) : null}
    </svg>
  );
}
