import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  LogField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { LONG, SMALL } from '../pipe/field-specs';
import { RowsField } from '../rows-field';
import { lengthSpec, SECONDS } from '../specs';

const BORE = lengthSpec(['0.0625', '200'], ['1', '5000']);
const LOAD = {
  dimension: 'force',
  unit: { US: 'lbf', SI: 'kN' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['0', '1500000'], SI: ['0', '6700'] },
} as const;
const PRESSURE = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '5', SI: '0.05' },
  possible: { US: ['0', '15000'], SI: ['0', '104'] },
} as const;
const HARDNESS = {
  dimension: 'ratio',
  unit: { US: 'one', SI: 'one' },
  step: { US: '1', SI: '1' },
  possible: { US: ['1', '100'], SI: ['1', '100'] },
} as const;

/** A wall, measured. */
export class WallRow extends RowInput {
  @MeasureField({ label: 'Wall', ...SMALL, required: true, example: { US: '4.0625', SI: '103' } })
  wall?: string;
}

/** What the gauge showed, and when. */
export class LogRow extends RowInput {
  @MeasureField({
    label: 'Time',
    ...SECONDS,
    step: { US: '0.1', SI: '0.1' },
    required: true,
    help: 'From the first load.',
    also: { t_s: 's' },
    example: '0',
  })
  seconds?: string;

  @MeasureField({
    label: 'Load',
    ...LOAD,
    help: 'What the gauge shows.',
    also: { p_lbf: 'lbf', p_kn: 'kN' },
    example: '0',
  })
  load?: string;

  @MeasureField({ label: 'or pressure', ...PRESSURE, also: { p_psi: 'psi', p_mpa: 'MPa' }, example: '' })
  pressure?: string;
}

/** A place along the barrel where the leaf gauge was tried. */
export class ProbeRow extends RowInput {
  @MeasureField({
    label: 'From the spigot',
    ...lengthSpec(['0.5', '360'], ['10', '9000']),
    required: true,
    also: { x_in: 'in', x_mm: 'mm' },
    example: { US: '31', SI: '800' },
  })
  at?: string;

  @ChoiceField({
    label: 'Leaf gauge',
    required: true,
    help: 'A sixteenth of an inch [1.5 mm] deep, without force.',
    also: { yes: '' },
    options: [
      { value: 'yes', label: 'Goes in' },
      { value: 'no', label: 'Does not' },
    ],
    example: 'yes',
  })
  enters?: 'yes' | 'no';

  @ChoiceField({
    label: 'Crack',
    options: [
      { value: 'invert', label: 'Inside, invert' },
      { value: 'crown', label: 'Inside, crown' },
      { value: 'left', label: 'Outside, left springline' },
      { value: 'right', label: 'Outside, right springline' },
    ],
    help: 'Probes of different cracks are never one run.',
    example: 'invert',
  })
  where?: 'invert' | 'crown' | 'left' | 'right';
}

export const PURPOSES = [
  { value: 'proof', label: 'Proof of design: to the crack, then to its end' },
  { value: 'crack', label: 'Acceptance: to the design load, look, unload' },
  { value: 'both', label: 'Acceptance: the design load, then the ultimate, and stop' },
  { value: 'most', label: 'Ultimate load only' },
] as const;

/** What is read of a pipe between three edges, from its marks to its pieces. */
export class ThreeEdgeInput extends RunInput {
  @ChoiceField({
    label: 'What it is tested for',
    options: PURPOSES,
    required: true,
    carry: true,
    help: 'It decides how far it is loaded and what becomes of the pipe.',
    example: 'proof',
  })
  purpose?: 'proof' | 'crack' | 'both' | 'most';

  @ChoiceField({
    label: 'Marked top',
    required: true,
    options: [
      { value: 'up', label: 'Up' },
      { value: 'none', label: 'Not marked: a circular cage or none' },
      {
        value: 'turned',
        label: 'Not up',
        means: {
          id: 'teb.turned',
          severity: 'invalid',
          beforeLoad: true,
          message: 'The steel of an elliptical cage does not lie where the load opens it.',
          action: 'Unload, turn the pipe until its mark is up, set it anew.',
        },
      },
    ],
    example: 'up',
  })
  turned?: 'up' | 'none' | 'turned';

  @ChoiceField({
    label: 'Lift holes',
    options: [
      { value: 'none', label: 'None' },
      { value: 'clear', label: 'Away from crown and springline' },
      {
        value: 'near',
        label: 'At the crown or a springline',
        means: {
          id: 'teb.holes',
          severity: 'departure',
          beforeLoad: true,
          message: 'A hole lies where the pipe bends most.',
          action: 'Turn the pipe where its cage lets you.',
          remark: 'Tested with a lift hole at the crown or a springline.',
        },
      },
    ],
    example: 'none',
  })
  holes?: 'none' | 'clear' | 'near';

  @ChoiceField({
    label: 'Cracks before it is loaded',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      { value: 'hair', label: 'Hairlines; photographed, chalked' },
      {
        value: 'open',
        label: 'The leaf gauge goes into one over a foot',
        means: {
          id: 'teb.precracked',
          severity: 'invalid',
          beforeLoad: true,
          message: 'It is cracked already: a test would tell nothing of its load.',
          action: 'Choose another pipe.',
        },
      },
    ],
    example: 'none',
  })
  cracked?: 'none' | 'hair' | 'open';

  @CheckField({
    label: 'Bearing lines clean, unpatched and dry; not under 40 °F [4 °C] in the last 24 h',
    missed: {
      id: 'teb.surface',
      severity: 'departure',
      beforeLoad: true,
      message: 'Fins, patches, water or frost under the strips change how it bears.',
      action: 'Grind off the fins, let it dry and warm up; no patch at crown or invert.',
      remark: 'Bearing lines not clean and dry, or the pipe colder than 40 °F [4 °C].',
    },
  })
  surface?: boolean;

  @MeasureField({
    label: 'Inside diameter',
    ...BORE,
    help: 'As measured, to see whether it is the pipe it says. The D-load takes the designated one.',
    example: { US: '36.125', SI: '902' },
  })
  bore1?: string;

  @MeasureField({ label: 'Inside diameter, across it', ...BORE, example: { US: '35.9375', SI: '898' } })
  bore2?: string;

  @RowsField({
    label: 'Wall',
    row: 'wall',
    Row: WallRow,
    help: 'Four places.',
    example: {
      US: [['4.0625'], ['4'], ['3.9375'], ['4.125']],
      SI: [['103'], ['101'], ['100'], ['104']],
    },
  })
  walls?: WallRow[];

  @MeasureField({ label: 'Length, one side', ...LONG, example: { US: '8.25', SI: '2.515' } })
  side1?: string;

  @MeasureField({ label: 'Length, opposite side', ...LONG, example: { US: '8.24', SI: '2.512' } })
  side2?: string;

  @ChoiceField({
    label: 'Lower strips',
    required: true,
    carry: true,
    options: [
      { value: 'wood', label: 'Wood' },
      { value: 'rubber', label: 'Hard rubber' },
    ],
    example: 'rubber',
  })
  strips?: 'wood' | 'rubber';

  @MeasureField({
    label: 'Strips apart, spigot end',
    ...SMALL,
    required: true,
    help: 'Clear, between their inner sides.',
    example: { US: '2.5', SI: '70' },
  })
  apart1?: string;

  @MeasureField({ label: 'Strips apart, middle', ...SMALL, example: { US: '2.5', SI: '70' } })
  apart2?: string;

  @MeasureField({
    label: 'Strips apart, other end',
    ...SMALL,
    required: true,
    example: { US: '2.5', SI: '70' },
  })
  apart3?: string;

  @MeasureField({
    label: 'Hardness, type A',
    ...HARDNESS,
    help: 'Of rubber, at three places; the middle one counts.',
    example: '52',
  })
  hardness1?: string;

  @MeasureField({ label: 'Hardness, second place', ...HARDNESS, example: '54' })
  hardness2?: string;

  @MeasureField({ label: 'Hardness, third place', ...HARDNESS, example: '53' })
  hardness3?: string;

  @ChoiceField({
    label: 'Under the strips',
    required: true,
    carry: true,
    options: [
      { value: 'one', label: 'One board or beam, on a rigid base' },
      {
        value: 'stacked',
        label: 'Boards on boards',
        means: {
          id: 'teb.stacked',
          severity: 'invalid',
          beforeLoad: true,
          message: 'Boards on boards give under the load, more in one place than in another.',
          action: 'One board, or strips straight on the beam.',
        },
      },
    ],
    example: 'one',
  })
  boards?: 'one' | 'stacked';

  @CheckField({
    label: 'Strips straight, inner edges round, no gap over a foot under the barrel',
    missed: {
      id: 'teb.straight',
      severity: 'departure',
      beforeLoad: true,
      message: 'A strip that is not straight bears in one place.',
      action: 'Plane or replace it; never a shim. Turn the pipe a little, or set it in plaster.',
      remark: 'Strips not straight, their edges worn, or gaps under the barrel.',
    },
  })
  straight?: boolean;

  @ChoiceField({
    label: 'Upper beam',
    required: true,
    carry: true,
    options: [
      { value: 'one', label: 'One beam, as long as the barrel' },
      {
        value: 'several',
        label: 'Several timbers',
        means: {
          id: 'teb.timbers',
          severity: 'invalid',
          beforeLoad: true,
          message: 'Several timbers do not press evenly.',
          action: 'One straight beam, as long as the barrel without its bell.',
        },
      },
    ],
    example: 'one',
  })
  beam?: 'one' | 'several';

  @ChoiceField({
    label: 'It is of',
    carry: true,
    aside: true,
    options: [
      { value: 'wood', label: 'Hardwood' },
      { value: 'steel', label: 'Steel' },
    ],
    help: 'With width and height its sag is worked out.',
    example: 'wood',
  })
  beamOf?: 'wood' | 'steel';

  @MeasureField({
    label: 'Upper beam, width',
    ...SMALL,
    carry: true,
    aside: true,
    example: { US: '12', SI: '305' },
  })
  beamWide?: string;

  @MeasureField({
    label: 'Upper beam, height',
    ...SMALL,
    carry: true,
    aside: true,
    example: { US: '16', SI: '405' },
  })
  beamHigh?: string;

  @MeasureField({
    label: 'Off the mark, spigot end',
    ...SMALL,
    help: 'The beam from the line on the pipe.',
    example: { US: '0.125', SI: '3' },
  })
  off1?: string;

  @MeasureField({ label: 'Off the mark, other end', ...SMALL, example: { US: '0', SI: '0' } })
  off2?: string;

  @EquipmentField({
    label: 'Machine',
    equipmentKind: 'pipe press',
    required: true,
    carry: true,
    example: 'PIPE-1',
  })
  machine?: string;

  @EquipmentField({
    label: 'Crack gauge',
    equipmentKind: 'crack gauge',
    carry: true,
    example: 'LEAF-1',
  })
  leaf?: string;

  @MeasureField({
    label: 'Upper beam weighs',
    ...LOAD,
    carry: true,
    help: 'With what is fixed to it and the gauge does not show: it is added, once. Left open, as the machine is described.',
    example: { US: '420', SI: '1.9' },
  })
  weighs?: string;

  @CheckField({
    label: 'Gauge at zero, pipe chocked and caged, everybody clear',
    missed: {
      id: 'teb.clear',
      severity: 'departure',
      beforeLoad: true,
      message: 'Zero, chocks, cage and people first.',
      action: 'One person commands the pump. Nobody within the line until it is unloaded.',
      remark: 'Zero or guard not recorded before loading.',
    },
  })
  clear?: boolean;

  @RowsField({
    label: 'Load over time',
    row: 'reading',
    Row: LogRow,
    help: 'Tap at each mark of the gauge, or take them from the stopwatch; a record that is kept says it by itself.',
    example: {
      US: [
        ['0', '0', ''],
        ['35', '17500', ''],
        ['62', '23700', ''],
        ['95', '28900', ''],
        ['122', '31980', ''],
      ],
      SI: [
        ['0', '0', ''],
        ['30', '62', ''],
        ['62', '104.4', ''],
        ['95', '126', ''],
        ['122', '141', ''],
      ],
    },
  })
  log?: LogRow[];

  @LogField({
    label: 'Record',
    aside: true,
    help: 'Two numbers a line: seconds, and what the gauge shows, lbf or kN.',
    example: '',
  })
  trace?: string;

  @MeasureField({
    label: 'First hairline at',
    ...LOAD,
    aside: true,
    help: 'What the gauge showed.',
    example: { US: '26400', SI: '118' },
  })
  hairline?: string;

  @RowsField({
    label: 'Probes',
    row: 'probe',
    Row: ProbeRow,
    help: 'At the highest load that was probed. Along the widest crack, no more than 3 in [75 mm] from one to the next, without force.',
    example: {
      US: [
        ['31', 'yes', 'invert'],
        ['34', 'yes', 'invert'],
        ['37', 'yes', 'invert'],
        ['40', 'yes', 'invert'],
        ['43', 'yes', 'invert'],
        ['46', 'no', 'invert'],
      ],
      SI: [
        ['800', 'yes', 'invert'],
        ['875', 'yes', 'invert'],
        ['950', 'yes', 'invert'],
        ['1025', 'yes', 'invert'],
        ['1100', 'yes', 'invert'],
        ['1175', 'no', 'invert'],
      ],
    },
  })
  probes?: ProbeRow[];

  @CheckField({
    label: 'Nothing of the crack is seen beyond the outer probes',
  })
  whole?: boolean;

  @MeasureField({
    label: 'Last held without the crack',
    ...LOAD,
    help: 'The highest load at which it was probed and was not the crack yet, as the gauge shows it.',
    example: { US: '33600', SI: '149' },
  })
  sound?: string;

  @MeasureField({
    label: 'Seconds held at the design load',
    ...SECONDS,
    example: '75',
  })
  held?: string;

  @MeasureField({
    label: 'Lowest while it was held',
    ...LOAD,
    aside: true,
    example: { US: '31900', SI: '141' },
  })
  sank?: string;

  @MeasureField({
    label: 'First found to be the crack at',
    ...LOAD,
    help: 'Left open where it was not.',
    example: { US: '34500', SI: '153' },
  })
  opened?: string;

  @MeasureField({
    label: 'Greatest load',
    ...LOAD,
    help: 'The peak that the gauge held; left open where it was unloaded at the design load.',
    example: { US: '51300', SI: '228' },
  })
  most?: string;

  @ChoiceField({
    label: 'It ended',
    required: true,
    options: [
      { value: 'peak', label: 'It took no more: the load fell by a tenth and stayed there' },
      { value: 'stopped', label: 'Stopped unbroken' },
      {
        value: 'noise',
        label: 'Stopped at a noise, before it fell',
        means: {
          id: 'teb.noise',
          severity: 'departure',
          message: 'A noise is not the end: it may bear more.',
          action: 'The load counts as at least so much.',
          remark: 'Stopped before the load fell: at least so much.',
        },
      },
    ],
    example: 'peak',
  })
  ended?: 'peak' | 'stopped' | 'noise';

  @MeasureField({
    label: 'Gauge, where pressure is read: design load at',
    ...PRESSURE,
    rare: true,
    aside: true,
    help: 'Where the gauge shows pressure: what it showed at the last load without the crack. Rams and their area stand with the machine.',
    example: '',
  })
  soundPressure?: string;

  @MeasureField({
    label: 'Gauge: the crack at',
    ...PRESSURE,
    rare: true,
    aside: true,
    example: '',
  })
  openedPressure?: string;

  @MeasureField({
    label: 'Gauge: greatest',
    ...PRESSURE,
    rare: true,
    aside: true,
    example: '',
  })
  mostPressure?: string;

  @InstantField({ label: 'Tested at', required: true, example: '2031-09-16T10:40:00-04:00' })
  testedAt?: string;

  @ChoiceField({
    label: 'Cracks, crown against invert and end against end',
    options: [
      { value: 'alike', label: 'Alike' },
      {
        value: 'side',
        label: 'At crown or invert only',
        means: {
          id: 'teb.one-sided',
          severity: 'advice',
          message: 'A crack on one side only: the beam did not lie over the middle of the strips.',
          action: 'Look at the marks and the offsets; set the next one nearer.',
        },
      },
      {
        value: 'end',
        label: 'Wider at one end',
        means: {
          id: 'teb.one-end',
          severity: 'advice',
          message: 'Wider at one end: it was not borne alike along its length.',
          action: 'Look at strips and beam for a gap, and at the wall from end to end.',
        },
      },
    ],
    aside: true,
    example: 'alike',
  })
  alike?: 'alike' | 'side' | 'end';

  @TextField({
    label: 'Witness',
    aside: true,
    help: 'The owner’s inspector, where there is one.',
    example: '',
  })
  witness?: string;

  @TextField({
    label: 'Remarks',
    help: 'Where it cracked first, even at both ends or not; how it ended.',
    example: '',
  })
  remarks?: string;
}
