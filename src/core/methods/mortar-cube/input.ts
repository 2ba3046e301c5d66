import { ChoiceField, MeasureField } from '../fields';
import { PressedSpecimenInput } from '../press';

const EDGE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.001', SI: '0.02' },
  possible: { US: ['0.5', '6'], SI: ['12', '150'] },
  aside: true,
} as const;

/** How a cube of mortar was found, whoever's it is. */
export const FOUND_FAULTS = {
  label: 'Cube as found',
  required: true,
  help: 'Judged before the load: a low strength is no fault.',
  options: [
    { value: 'sound', label: 'Sound' },
    { value: 'corner', label: 'Corner broken off' },
    { value: 'voids', label: 'Voids or a poor edge' },
    { value: 'other', label: 'Other fault: say it in the remarks' },
  ],
  example: 'sound',
} as const;

/** Which of its faces meet the platens. */
export const FOUND_FACES = {
  label: 'Loaded faces',
  required: true,
  options: [
    { value: 'cast', label: 'Two faces that were against the mould' },
    {
      value: 'struck',
      label: 'The struck face under a platen',
      means: {
        id: 'mortar-cube.faces',
        severity: 'invalid',
        beforeLoad: true,
        message: 'The struck face is neither plane nor parallel.',
        action: 'Turn the cube: load two faces that were against the mould.',
      },
    },
  ],
  example: 'cast',
} as const;

/** The rate of the load on so small a face. */
export const LOAD_RATE = {
  label: 'Load rate',
  aside: true,
  help: 'Of the load itself, if it was read.',
  dimension: 'forceRate',
  unit: { US: 'lbf/s', SI: 'kN/s' },
  step: { US: '1', SI: '0.01' },
  possible: { US: ['0', '20000'], SI: ['0', '90'] },
} as const;

/** The readings of one 2 in [50 mm] mortar cube. */
export class MortarCubeInput extends PressedSpecimenInput {
  @ChoiceField(FOUND_FAULTS)
  found?: 'sound' | 'corner' | 'voids' | 'other';

  @ChoiceField(FOUND_FACES)
  faces?: 'cast' | 'struck';

  @MeasureField({
    label: 'Edge x',
    ...EDGE,
    help: 'At mid-height, when the cube or its mould looks off.',
    example: { US: '2.002', SI: '50.04' },
  })
  edgeX?: string;

  @MeasureField({
    label: 'Edge y',
    ...EDGE,
    help: 'At right angles to x.',
    example: { US: '1.998', SI: '49.96' },
  })
  edgeY?: string;

  @MeasureField({ ...LOAD_RATE, example: { US: '265', SI: '1.25' } })
  loadingRate?: string;
}
