import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { lengthSpec, SECONDS } from '../specs';

const SIZE = lengthSpec(['0.01', '12'], ['0.1', '300']);
const FORCE = {
  dimension: 'force',
  unit: { US: 'lbf', SI: 'kN' },
  step: { US: '2', SI: '0.01' },
  possible: { US: ['0', '45000'], SI: ['0', '200'] },
} as const;

export type TestType = 'diametral' | 'axial' | 'block' | 'lump';

/** The readings of one piece of rock between two points, in the order they are taken. */
export class PointLoadInput extends RunInput {
  @EquipmentField({ label: 'Frame', equipmentKind: 'point load frame', carry: true, example: 'POINT-1' })
  frame?: string;

  @EquipmentField({ label: 'Calliper', equipmentKind: 'calliper', carry: true, example: 'CALLIPER-1' })
  calliper?: string;

  @CheckField({ label: 'Guard in place, eye shield on, tips whole', help: 'A blunt tip raises the load.' })
  safe?: boolean;

  @ChoiceField({
    label: 'Test',
    required: true,
    options: [
      { value: 'diametral', label: 'Diametral: core, across its axis' },
      { value: 'axial', label: 'Axial: core, on its two cut faces' },
      { value: 'block', label: 'Block: sawn faces' },
      { value: 'lump', label: 'Irregular lump' },
    ],
    example: 'lump',
  })
  type?: TestType;

  @ChoiceField({
    label: 'Crack, vein or joint through the load line',
    options: [
      { value: 'no', label: 'None' },
      {
        value: 'yes',
        label: 'One or more',
        means: {
          id: 'point.cracked',
          severity: 'invalid',
          beforeLoad: true,
          message: 'A crack, vein or joint runs through the load line.',
          action: 'Turn the piece, or take another: it would break where it is broken already.',
        },
      },
    ],
    example: 'no',
  })
  cracked?: 'no' | 'yes';

  @MeasureField({
    label: 'Depth with the calliper',
    ...SIZE,
    help: 'Between the two points, before the piece is in the frame.',
    example: '',
  })
  depth?: string;

  @MeasureField({
    label: 'Width 1',
    ...SIZE,
    help: 'In the section through both points, turned to where it is smallest. Sides not parallel: near the upper point.',
    example: { US: '2.42', SI: '61.5' },
  })
  width1?: string;

  @MeasureField({
    label: 'Width 2',
    ...SIZE,
    help: 'Sides not parallel: near the lower point, in the same direction.',
    example: { US: '2.30', SI: '58.5' },
  })
  width2?: string;

  @MeasureField({
    label: 'Width 3',
    ...SIZE,
    help: 'A wedge or a triangular prism: three widths over its depth.',
    example: '',
  })
  width3?: string;

  @MeasureField({
    label: 'Load line to the nearest free end',
    ...SIZE,
    help: 'From the line through the points, not the whole length.',
    example: { US: '1.40', SI: '36' },
  })
  freeEnd?: string;

  @MeasureField({
    label: 'Whole length',
    ...lengthSpec(['0.01', '60'], ['0.1', '1500']),
    help: 'Of a core that is loaded across.',
    example: '',
  })
  length?: string;

  @MeasureField({
    label: 'Crushed to seat at, the greatest load',
    ...FORCE,
    help: 'Only where the top had to be crushed before the point stood: release, and read the depth and the widths anew.',
    example: '',
  })
  crushLoad?: string;

  @MeasureField({
    label: 'Depth on the frame',
    ...SIZE,
    required: true,
    help: 'Between the points as they just grip; after the last crush.',
    example: { US: '1.74', SI: '44.2' },
  })
  separation?: string;

  @ChoiceField({
    label: 'Load indicator set to zero',
    options: [
      { value: 'touching', label: 'The points only touching' },
      { value: 'held', label: 'With a load held' },
    ],
    example: 'touching',
  })
  zeroed?: 'touching' | 'held';

  @MeasureField({
    label: 'One stroke of the pump adds',
    ...FORCE,
    carry: true,
    aside: true,
    help: 'Of a frame pumped by hand: tells how many strokes, and how fast.',
    example: '',
  })
  stroke?: string;

  @MeasureField({
    label: 'Load shown before zeroing',
    ...FORCE,
    help: 'It is added to what the indicator shows afterwards.',
    example: '',
  })
  seatLoad?: string;

  @MeasureField({
    label: 'Load at failure',
    ...FORCE,
    help: 'As the indicator holds it. Of a pressure gauge read the pressure instead.',
    example: { US: '2180', SI: '9.72' },
  })
  load?: string;

  @MeasureField({
    label: 'Gauge pressure at failure',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['0', '15000'], SI: ['0', '100'] },
    example: '',
  })
  pressure?: string;

  @MeasureField({
    label: 'Area of the ram',
    dimension: 'area',
    unit: { US: 'in2', SI: 'mm2' },
    step: { US: '0.01', SI: '1' },
    possible: { US: ['0.1', '20'], SI: ['50', '13000'] },
    help: 'From the certificate, not from the bore: the seal rubs.',
    example: '',
  })
  ramArea?: string;

  @MeasureField({
    label: 'Time to failure',
    ...SECONDS,
    possible: { US: ['0', '1200'], SI: ['0', '1200'] },
    example: '26',
  })
  time?: string;

  @ChoiceField({
    label: 'Points dug in',
    options: [
      { value: 'no', label: 'Not to be seen' },
      { value: 'yes', label: 'Seen' },
    ],
    example: 'no',
  })
  dugIn?: 'no' | 'yes';

  @MeasureField({
    label: 'Depth at failure',
    ...SIZE,
    help: 'Between the points where they dug in.',
    example: '',
  })
  depthAtFailure?: string;

  @ChoiceField({
    label: 'How it broke',
    required: true,
    help: 'Look at the pieces before you look at the number.',
    options: [
      { value: 'through', label: 'One plane through both points', drawing: 'point-through' },
      { value: 'three', label: 'Two or three planes that meet at the points', drawing: 'point-three' },
      { value: 'leaning', label: 'A leaning plane through both points', drawing: 'point-leaning' },
      { value: 'one-point', label: 'Through one point, out at a side', drawing: 'point-one' },
      { value: 'chip', label: 'An edge chipped, the body whole', drawing: 'point-chip' },
      { value: 'old', label: 'Along an old joint, vein or seam', drawing: 'point-old' },
      { value: 'off-fabric', label: 'Loaded along a plane, the crack left it', drawing: 'point-off' },
      { value: 'sank', label: 'The points sank, nothing split', drawing: 'point-sank' },
    ],
    example: 'through',
  })
  fracture?: 'through' | 'three' | 'leaning' | 'one-point' | 'chip' | 'old' | 'off-fabric' | 'sank';

  @InstantField({ label: 'Broken at', required: true, example: '2031-06-12T10:24:00-04:00' })
  testedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'What was odd.', example: '' })
  remarks?: string;
}
