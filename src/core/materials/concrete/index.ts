import type { Material } from '../../material/contract';
import { Asked } from './asked';
import { FORMS } from './forms';
import { opens, readIn } from './opens';
import { Placement } from './placement';
import type { ConcreteAsked } from './record';
import { registers } from './registrations';
import { SERIES } from './series';
import { summary } from './summary';

/** What can be tested of its fresh sample. */
const ON_SAMPLE = [
  ...[
    'delivery',
    'sampling',
    'concrete-temperature',
    'slump',
    'slump-flow',
    'air-pressure',
    'air-volumetric',
  ],
  ...['density-yield', 'moulding', 'initial-curing', 'penetration-resistance'],
];

/** Concrete, from the truck to the break. */
export const concrete: Material = {
  id: 'concrete',
  title: 'Concrete',
  words: {
    specification: ['mix', 'mixes'],
    lot: ['placement', 'placements'],
    sample: ['sample', 'samples'],
    specimen: ['specimen', 'specimens'],
    report: 'Report of concrete tests',
    onSample: 'Fresh concrete',
    onSpecimens: 'Hardened specimens',
  },
  Asked,
  Lot: Placement,
  lotFields: {
    title: 'Element',
    titleHelp: 'What is placed: pier cap 2, slab bay C.',
    startsAt: 'Starts at',
  },
  forms: FORMS,
  comesInLoads: true,
  registers,
  summary,
  usual: { ageDays: '28', slumpKind: 'target' },
  derive: ({ ageDays, flexuralDays, slump, slumpKind, air, exposure, airMethod }) => ({
    ageHours: Number(ageDays) * 24,
    flexuralHours: Number(flexuralDays ?? ageDays) * 24,
    slumpKind: slump ? (slumpKind ?? 'target') : null,
    airMethod: airMethod ?? (air || exposure ? 'pressure' : null),
  }),
  problems: ({
    specifiedStrength,
    slumpKind,
    slump,
    flexuralStrength,
    flexuralDays,
  }): Record<string, string> => ({
    ...(specifiedStrength || flexuralStrength
      ? {}
      : { specifiedStrength: 'Specified strength f′c: not given yet, nor a flexural strength.' }),
    ...(slumpKind === 'maximum' && !slump ? { slump: 'Slump: how much?' } : {}),
    ...(flexuralDays && !flexuralStrength ? { flexuralStrength: 'Flexural strength: how much?' } : {}),
  }),
  opens: (asked, kind) => opens(asked as unknown as ConcreteAsked, kind),
  readIn,
  onSample: () => ON_SAMPLE,
  onLot: ['evaporation', 'temperature-record', 'maturity-datum', 'maturity-calibration', 'maturity-estimate'],
  criteria: [],
  series: SERIES,
};
