import { compoundToMelt, hardeningHours } from '../../ends';
import { nominalOf } from '../../moulds';
import { plainOf, type System } from '../../quantity';
import { standard } from '../../working';
import type { EndsTold } from '../batch-facts';
import type { BatchAbout, Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { CONCRETE_STRENGTH, STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { capTimes, compute, drawnLabels, expectedOf, waits } from './compute';
import { CappingInput } from './input';
import { isConcrete, isMasonry, masonryPlan, ownTroubles, SIZES } from './masonry';

const HAZARD =
  'Molten sulfur burns deeply: face shield, heat gloves, long sleeves, apron; never bend over the pot. Water in it explodes as steam: everything dry. Its gas numbs the nose: hood and exhaust on, leave if it stings. Fire: lid, never water; the smoke is sulfur dioxide. The safety data sheet, local codes and the fire plan come first.';

/** Bonded caps for a batch of specimens. */
export const capping: Method<CappingInput> = {
  id: 'capping',
  title: 'Bonded capping',
  designations: [standard('ASTM C617/C617M'), standard('ASTM C1552')],
  runOn: 'batch',
  batch: {
    ends: true,
    letters: 'CB',
    begin: 'Cap them together',
    done: 'caps',
    facts: { ...CONCRETE_STRENGTH, ...SIZES },
    tells,
  },
  yields: [{ quantity: 'mean cap thickness', symbol: 't' }],
  Input: CappingInput,
  steps: [
    {
      id: 'compound',
      title: 'Compound and pot',
      phase: 'before',
      instruction:
        'The lot with its strength, what is in the pot, how often it was melted. Stir until it is uniform, read in the middle of the mass.',
      fields: ['kind', 'lot', 'material', 'melts', 'safe', 'potStart'],
      caution: HAZARD,
    },
    {
      id: 'ends',
      title: 'Ends and plate',
      phase: 'before',
      instruction:
        'Scrape, brush, blot: dry enough that nothing foams, the rest of the specimen wet. An end more than 1/8 in [3 mm] off is cut first, never built up. Plate warm, thinly oiled.',
      fields: ['endsDry', 'plate'],
      when: isConcrete,
    },
    {
      id: 'faces',
      title: 'Faces and plate',
      phase: 'before',
      instruction:
        'Conditioned or dried, measured, grit off, its mark on a face that stays free. Brick in its mould, block on the plate.',
      fields: ['levelled', 'mould'],
      when: isMasonry,
    },
    {
      id: 'mix',
      title: 'Gypsum',
      phase: 'test',
      instruction:
        'High-strength gypsum only, for the caps of the next minutes. Spread thin, press the unit down, level it both ways, then leave it alone until it is hard.',
      fields: ['mixes'],
      caution: 'Gypsum warms as it sets: never around skin. Dust mask; the safety data sheet comes first.',
      when: isMasonry,
    },
    {
      id: 'pour',
      title: 'Cap',
      phase: 'test',
      instruction:
        'Stir, pour, lower against the guide at once, lift when the rim has set; then the other end. Before a skin forms it stands on molten compound everywhere, or it is done again.',
      fields: ['firstCapAt', 'pours', 'lastCapAt', 'potHottest'],
      caution: HAZARD,
      clock: { title: 'Since the youngest cap', from: 'lastCapAt' },
    },
    {
      id: 'back',
      title: 'Back into the moist room',
      phase: 'test',
      instruction: 'Or under double wet burlap, gypsum kept from dripping water.',
      fields: ['returnedAt'],
      when: isConcrete,
    },
    {
      id: 'sound',
      title: 'Tap and look',
      phase: 'after',
      instruction:
        'Tap every cap: a ring is bonded, dull is hollow. Hollow, cracked or chipped into the face: recap.',
      fields: ['sounding', 'faults'],
    },
    {
      id: 'look',
      title: 'Look at each cap',
      phase: 'after',
      instruction:
        'Thickness, planeness, edges, whether it rocks on the plate. What is not in order comes off and is done again: nothing is patched, and its two hours begin anew.',
      fields: ['inspected'],
      when: isMasonry,
    },
    {
      id: 'pot',
      title: 'Fill the pot again',
      phase: 'after',
      instruction:
        'Sulfur only: after the last cap, so that it is molten tomorrow. Cold lumps at midday stop the day.',
      fields: ['potMass', 'added', 'addedAt'],
      caution: HAZARD,
      when: isMasonry,
    },
    {
      id: 'planeness',
      title: 'Planeness',
      phase: 'after',
      instruction: 'Straightedge and feeler on three diameters of the specimens drawn, before testing.',
      fields: ['planeness'],
      when: isConcrete,
    },
    {
      id: 'thickness',
      title: 'Thickness',
      phase: 'after',
      instruction:
        'After the test: six or more pieces of the top cap of the specimens drawn, spread over its area.',
      fields: ['thickness'],
      caution: 'Caps into their own bin: they are not burned, and not mixed with rubble for recycling.',
      when: isConcrete,
    },
    {
      id: 'remarks',
      title: 'What was odd',
      phase: 'after',
      instruction: 'A cap that tore, a lot that ran out.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'lastCapAt',
  sequence: [['firstCapAt', 'lastCapAt', 'returnedAt']],
  plan,
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CappingInput), system), system },
    setup: {
      zone: 'America/New_York',
      batch: {
        label: 'CB-1',
        seed: 3,
        specimens: ['EXAMPLE-A', 'EXAMPLE-C'].map((label) => ({
          label,
          form: system === 'US' ? '4x8' : '100x200',
          ageHours: 672,
          facts: { specifiedStrength: system === 'US' ? '3,740 psi' : '25.7 MPa' },
        })),
      },
      equipment: [
        {
          number: 'LOT-1',
          kind: 'capping compound',
          verifiedOn: '2031-05-02',
          strength: system === 'US' ? '6,120 psi' : '42.2 MPa',
        },
      ],
    },
  }),
};

/** Its caps, hardening from its own youngest one where that is on record, with what the lot of compound proved. */
function tells(
  input: CappingInput,
  { label, batch, remarks }: BatchAbout,
  setup: RunSetup | undefined,
): { ends?: EndsTold; capped?: string } {
  const own = capTimes(input, label);
  const finishedAt = own?.last ?? input.lastCapAt;
  if (!input.lastCapAt || !finishedAt) return {};
  const lot = setup?.equipment?.find(({ number }) => number === input.lot);
  return {
    capped: `${WORDS[input.kind ?? 'sulfur']}, ${batch}`,
    ends: {
      kind: input.kind ?? 'sulfur',
      batch,
      finishedAt,
      ...(own ? { beganAt: own.first } : {}),
      ...(lot?.strength ? { compound: lot.strength } : {}),
      ...(lot?.compound ? { qualified: lot.compound } : {}),
      remarks: [...remarks],
      ...(setup && isMasonry(setup) ? { troubles: ownTroubles(input, label, setup) } : {}),
    },
  };
}

const WORDS = { gypsum: 'gypsum', sulfur: 'sulfur' } as const;

function plan(system: System, setup: RunSetup) {
  const { batch } = setup;
  if (!batch) return [];
  const limits = limitsOf(setup);
  const specimens = {
    label: 'Specimens',
    text: String(batch.specimens.length),
    note: labelsOf(setup).join(', '),
  };
  if (isMasonry(setup)) return [specimens, ...masonryPlan(setup, system)];
  const expected = expectedOf(setup, system);
  const hard = hardeningHours('sulfur', expected, system, limits, true);
  const across = batch.specimens.flatMap(
    ({ form }) => nominalOf(form, 'cylinder', 'US')?.across.toDecimalPlaces(2).toNumber() ?? [],
  );
  const sizes = [...new Set(across)].map((diameter) => ({
    diameter,
    count: across.filter((each) => each === diameter).length,
  }));
  const thickness = limits.number('caps.thick-mean-high', 'US').toNumber();
  return [
    specimens,
    {
      label: 'Sulfur caps harden',
      text: `${hard.hours} h`,
      note: expected
        ? `about ${plainOf(expected, STRESS_UNIT[system])} expected`
        : 'strength not known: the longer time',
    },
    { label: 'Looked at more closely', text: drawnLabels(setup).join(', ') || 'none' },
    ...(sizes.length > 0
      ? [
          {
            label: 'Sulfur mortar to melt',
            text: `${compoundToMelt(sizes, thickness).toFixed(1)} lb`,
            note: 'waste counted; the heel of the pot on top',
          },
        ]
      : []),
  ];
}
