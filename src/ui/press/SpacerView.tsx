'use client';
import { Alert, Box, Button, Typography, useTheme } from '@mui/material';
import { limitsOf } from '@/core/methods';
import { LENGTH_UNIT, spaceOf, spokenStack, stackInUse } from '@/core/methods/press';
import { chooseSpacers, missingSpacer, type PressSpace, type SpacerStack } from '@/core/press';
import type { InstrumentProps } from '../methods/registry';
import { machineOf } from './machine-of';

const WORDS: Readonly<Record<SpacerStack['trouble'], string>> = {
  none: '✓ The gap is right and the ram stays well within its stroke.',
  'does not go in': '✕ It does not go in.',
  'gap too small': '! The gap is too small to place the specimen.',
  'gap too large': '! The gap is large: a long approach.',
  'beyond the stroke': '✕ The ram would go beyond what of its stroke may be used.',
};

/** Spacers, specimen and gap in the press, drawn to scale; the stack the machine's own spacers make best. */
export function SpacerView({ run, data, readOnly }: InstrumentProps) {
  const use = run.method.press;
  const machine = machineOf(run, data);
  const test = use?.test(run.live.input, data.setup);
  const field = use?.fields.spacers;
  if (!machine || !test || !field) {
    return <Typography color="text.secondary">Choose the testing machine first.</Typography>;
  }
  const space = spaceOf(test, machine, limitsOf(data.setup), data.system);
  if (!space) {
    return (
      <Typography color="text.secondary" sx={{ mt: 1 }}>
        {`Clear height and stroke of ${machine.number} are not on record: enter them under Gear, then the spacers are chosen here.`}
      </Typography>
    );
  }
  const said = spokenStack(run.readings.values[field], data.system);
  const best = chooseSpacers(space);
  const stack = stackInUse(space, said);
  const unit = LENGTH_UNIT[data.system];
  const names = (of: SpacerStack): string =>
    of.spacers.length === 0 ? 'none' : of.spacers.map((each) => each.toFixed()).join(' + ');
  const lacking = best.trouble === 'none' ? undefined : missingSpacer(space, best);
  const places = unit === 'in' ? 2 : 0;
  const head = machine.machine?.spacersUnder === 'head';
  return (
    <Box sx={{ mt: 2, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start' }}>
      <PressSection space={space} stack={stack} head={head} pads={test.ends === 'pads'} unit={unit} />
      <Box sx={{ flex: 1, minWidth: 210 }}>
        <Typography
          sx={{ fontWeight: 700, color: stack.trouble === 'none' ? 'success.main' : 'error.main' }}
          role="status"
        >
          {WORDS[stack.trouble]}
        </Typography>
        <Typography className="mono" sx={{ my: 1, whiteSpace: 'pre' }}>
          {[
            `stack   ${names(stack)}`,
            `gap     ${stack.gap.toFixed(places)} ${unit}`,
            `travel  ${stack.travel.toFixed(places)} ${unit}`,
            `usable  ${stack.usable.toFixed(places)} of ${space.stroke.toFixed(places)} ${unit}`,
          ].join('\n')}
        </Typography>
        {stack.trouble === 'beyond the stroke' || stack.trouble === 'does not go in' ? (
          <Alert severity="error" sx={{ mb: 1 }}>
            {stack.trouble === 'beyond the stroke'
              ? 'Near the end of the stroke a ram leaks oil or jams above its mark, and has to be forced down. Fit spacers or a pedestal; never run the ram up to meet the specimen.'
              : 'Forced in, the specimen is loaded at once by the closing platen. Take a spacer out.'}
            {lacking ? ` A piece of about ${lacking.toFixed(places)} ${unit} is missing.` : ''}
          </Alert>
        ) : null}
        {head ? (
          <Alert severity="warning" sx={{ mb: 1 }}>
            This machine carries its spacers under the head on a rod. Drawn up with a gap, the whole load
            hangs on the rod, which can break: no feeler may go in anywhere.
          </Alert>
        ) : null}
        {!readOnly && best.trouble === 'none' && names(best) !== names(stack) ? (
          <Typography variant="body2" sx={{ mb: 1 }}>{`Better: ${names(best)}.`}</Typography>
        ) : null}
        {!readOnly && best.trouble === 'none' && (!said || names(best) !== names(stack)) ? (
          <Button variant="contained" onClick={() => run.readings.save(field, names(best))}>
            {`Fitted: ${names(best)}`}
          </Button>
        ) : null}
      </Box>
    </Box>
  );
}

/** A section through the press, all heights on one scale. */
function PressSection({
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
