'use client';
import { Alert, Box, Button, Typography } from '@mui/material';
import { limitsOf } from '@/core/methods';
import { LENGTH_UNIT, spaceOf, spokenStack, stackInUse } from '@/core/methods/press';
import { chooseSpacers, missingSpacer, type SpacerStack } from '@/core/press';
import type { InstrumentProps } from '../methods/kit';
import { machineOf } from './machine-of';
import { PressSection } from './PressSection';

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
