'use client';
import { Button } from '@mui/material';
import type { MachineFacts } from '@/core/methods';
import { FormDialog } from '../form/FormDialog';
import type { FormField } from '../form/form-props';

const FIELDS: readonly (FormField & { readonly name: keyof MachineFacts })[] = [
  { name: 'capacity', label: 'Capacity', help: 'With its unit, as 400,000 lbf.', optional: true },
  {
    name: 'indicator',
    label: 'Indicator',
    options: [
      { value: 'digital', label: 'Digital' },
      { value: 'dial', label: 'Dial with two hands' },
    ],
    optional: true,
  },
  { name: 'increment', label: 'Smallest change shown', help: 'Digital, as 10 lbf.', optional: true },
  { name: 'major', label: 'Between numbered marks', help: 'Dial, as 5,000 lbf.', optional: true },
  { name: 'minor', label: 'Between small marks', help: 'Dial, as 500 lbf.', optional: true },
  { name: 'fullScale', label: 'End of the scale', help: 'Dial.', optional: true },
  {
    name: 'clearHeight',
    label: 'Clear height',
    help: 'From the ram, fully down, to the upper block, as 18.5 in.',
    optional: true,
  },
  { name: 'lowerBlock', label: 'Lower block, thickness', optional: true },
  { name: 'stroke', label: 'Rated stroke of the ram', optional: true },
  { name: 'upperFace', label: 'Upper bearing face, diameter', optional: true },
  { name: 'lowerFace', label: 'Lower bearing face, diameter', optional: true },
  {
    name: 'spacers',
    label: 'Spacers',
    help: 'Heights with a plus between them, as 4 in + 2 in + 1 in.',
    optional: true,
  },
  {
    name: 'spacersUnder',
    label: 'Spacers go',
    options: [
      { value: 'lower block', label: 'Under the lower block' },
      { value: 'head', label: 'Under the head, on a rod' },
    ],
    optional: true,
  },
  { name: 'seatOiledOn', label: 'Spherical seat oiled on', type: 'date', optional: true },
  { name: 'approachOpens', label: 'Approach lever opens to the', help: 'Left or right.', optional: true },
];

/** What presses pipe: its rams and their gauge. */
const PIPE_PRESS: typeof FIELDS = [
  { name: 'capacity', label: 'Capacity', help: 'With its unit, as 300,000 lbf.', optional: true },
  {
    name: 'indicator',
    label: 'Indicator',
    help: 'Left open, a gauge that shows the pressure.',
    options: [{ value: 'digital', label: 'Digital, shows the load' }],
    optional: true,
  },
  {
    name: 'rams',
    label: 'Rams',
    help: 'How many press at once. With their area where the gauge shows pressure.',
    optional: true,
  },
  { name: 'ramArea', label: 'Area of one ram', help: 'By its certificate, as 30 in2.', optional: true },
  {
    name: 'ramFactor',
    label: 'Share that reaches the pipe',
    help: 'Load over pressure times area, by its calibration: 1 for all of it, as 0.97.',
    optional: true,
  },
  { name: 'gaugeDivision', label: 'Division of the gauge', help: 'As 5 psi.', optional: true },
  { name: 'gaugeEnd', label: 'End of the gauge', help: 'As 3,000 psi.', optional: true },
  {
    name: 'strokeVolume',
    label: 'A stroke of the hand pump moves',
    help: 'Oil, as 25 mL or 1.5 in3: strokes are told for the rate then.',
    optional: true,
  },
  {
    name: 'stiffness',
    label: 'Load for the way of the ram',
    help: 'Frame and pipe together, as the last test told it: 250,000 lbf/in or 45 kN/mm.',
    optional: true,
  },
  {
    name: 'beamWeight',
    label: 'Upper beam weighs',
    help: 'With what is fixed to it, where the gauge does not show it.',
    optional: true,
  },
];

/** The kinds of equipment that are described as machines. */
export const isMachine = (kind: string): boolean => kind === 'compression machine' || kind === 'pipe press';

/** What a testing machine is like: its indicator, room, spacers and faces; of a pipe press its rams and gauge. */
export function DescribeMachine({
  number,
  kind,
  equipmentId,
  machine,
}: {
  number: string;
  kind: string;
  equipmentId: string;
  machine: MachineFacts | null;
}) {
  return (
    <FormDialog
      title={kind === 'pipe press' ? `${number}: rams and gauge` : `${number}: indicator, room and spacers`}
      useCase="describe-machine"
      fixed={{ equipmentId }}
      fields={kind === 'pipe press' ? PIPE_PRESS : FIELDS}
      initial={Object.fromEntries(
        Object.entries(machine ?? {}).map(([name, value]) => [
          name,
          Array.isArray(value) ? value.join(' + ') : String(value ?? ''),
        ]),
      )}
      shape={({ equipmentId: id, spacers, ...facts }) => ({
        equipmentId: id,
        machine: {
          ...facts,
          ...(typeof spacers === 'string'
            ? {
                spacers: spacers
                  .split('+')
                  .map((each) => each.trim())
                  .filter(Boolean),
              }
            : {}),
        },
      })}
      submit="Save"
      done={`${number} is described.`}
      button={(open) => (
        <Button size="small" variant="outlined" onClick={open} sx={{ ml: 0.5 }}>
          Machine
        </Button>
      )}
    />
  );
}
