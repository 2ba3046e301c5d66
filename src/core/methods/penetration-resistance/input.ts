import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { TEMPERATURE } from '../specs';

/** Bearing areas of the needles, in² and the mm² that stand for them. Source: ASTM C403/C403M (from memory). */
export const NEEDLES = {
  '1': ['1', '645'],
  '2': ['0.5', '323'],
  '4': ['0.25', '161'],
  '10': ['0.1', '65'],
  '20': ['0.05', '32'],
  '40': ['0.025', '16'],
} as const;
export type Needle = keyof typeof NEEDLES;

/** A push of a needle an inch deep. */
export class PushRow extends RowInput {
  @ChoiceField({
    label: 'Specimen',
    required: true,
    options: ['1', '2', '3', '4'].map((value) => ({ value, label: value })),
    example: '',
  })
  specimen?: '1' | '2' | '3' | '4';

  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;

  @ChoiceField({
    label: 'Needle',
    required: true,
    options: Object.entries(NEEDLES).map(([value, [us, si]]) => ({
      value,
      label: value === '1' ? `${us} in² [${si} mm²]` : `1/${value} in² [${si} mm²]`,
    })),
    example: '',
  })
  needle?: Needle;

  @MeasureField({
    label: 'Force',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'N' },
    step: { US: '2', SI: '10' },
    possible: { US: ['0', '400'], SI: ['0', '1800'] },
    required: true,
    example: '',
  })
  force?: string;

  @TextField({ label: 'Left out: why', help: 'A stone under the needle, an old mark too near.', example: '' })
  leftOut?: string;
}

const minutes = [200, 230, 260, 290, 320, 350];
const needles: readonly Needle[] = ['1', '2', '4', '10', '20', '40'];
const PUSHES = {
  US: ['1', '2', '3'].flatMap((specimen, off) =>
    minutes.map((minute, place) => [
      specimen,
      new Date(Date.UTC(2031, 4, 14, 13, 30 + minute + off)).toISOString(),
      needles[place] ?? '1',
      String([90, 138, 168, 148, 146, 116][place] ?? 0),
      '',
    ]),
  ),
  SI: ['1', '2', '3'].flatMap((specimen, off) =>
    minutes.map((minute, place) => [
      specimen,
      new Date(Date.UTC(2031, 4, 14, 13, 30 + minute + off)).toISOString(),
      needles[place] ?? '1',
      String([400, 620, 750, 660, 640, 510][place] ?? 0),
      '',
    ]),
  ),
};

/** Mortar sieved out of a concrete, pushed at until it has set. */
export class PenetrationResistanceInput extends RunInput {
  @InstantField({ label: 'Water met cement at', required: true, example: '2031-05-14T09:30:00-04:00' })
  contactAt?: string;

  @MeasureField({
    label: 'Temperature of the mortar',
    ...TEMPERATURE,
    required: true,
    held: {
      limit: 'penetration.usual',
      severity: 'advice',
      what: 'The mortar is at',
      action: 'At the temperature of the job it sets as there: say so with the result.',
    },
    example: { US: '73', SI: '23.0' },
  })
  temperature?: string;

  @RowsField({
    label: 'Pushes',
    row: 'push',
    Row: PushRow,
    required: true,
    help: 'Bleed water off first. An inch [25 mm] deep in ten seconds, two needles from every mark.',
    example: PUSHES,
  })
  pushes?: PushRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-05-14T15:25:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
