import { standard } from '../../working';
import type { Method, PlanItem } from '../contract';
import { exampleInput } from '../example';
import { asked, factMeasure } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitRows } from '../limit-rows';
import { setupMeasure } from '../measure-text';
import { dollyAnswers } from '../pull/dolly';
import { GLUE, PLANE, STRENGTH } from '../pull/quantities';
import { PULL_IDS, ruleNamed, ruleOf } from '../pull/standards';
import { limitsOf, type RunSetup } from '../setup';
import { compute } from './compute';
import { PullOffInput } from './input';
import { waits } from './repair';
import { derives } from './set';

const cored = (setup: RunSetup): boolean => ruleOf(setup).cored === true;
const FACE_CAUTION =
  'It lets go at once: glasses, the hand behind the tester, a lanyard overhead, nobody below. Oil under pressure goes through skin: never a hand on a hose that leaks.';

/** The pull of one dolly. Order of work: ASTM D4541, D7234, C1583, ISO 4624, EN 1542 (from memory), in our own words. */
export const pullOff: Method<PullOffInput> = {
  id: 'pull-off',
  title: 'Pull-off',
  designations: [
    standard('ASTM D4541'),
    standard('ASTM D7234'),
    standard('ASTM C1583/C1583M'),
    standard('ISO 4624'),
    standard('EN 1542'),
    standard('EN 1015-12'),
    standard('EN 13892-8'),
    standard('EN 12636'),
    standard('ASTM D7522/D7522M'),
  ],
  runOn: 'specimen',
  onSite: true,
  forms: ['dolly'],
  facts: {
    pullBy: asked('pullBy', { options: PULL_IDS }),
    pullOffLeast: asked('pullOffLeast', { dimension: 'stress' }),
    glueMost: asked('glueMost', { dimension: 'percent' }),
    noFirstBelow: asked('noFirstBelow', { dimension: 'stress' }),
    curedAt: { of: 'batch', take: 'curedAt', by: ['gluing'], is: 'instant' },
    control: { of: 'batch', take: 'control', by: ['gluing'], is: { dimension: 'stress' } },
    set: { of: 'batch', take: 'set', by: ['gluing'], is: 'text' },
    seats: { of: 'companions', take: 'input.seat', by: ['pull-off'], is: 'texts' },
  },
  awaits: { lane: 'slab', facts: { curedAt: 'its glue, and when that is hard' } },
  yields: [
    { quantity: STRENGTH, symbol: 's' },
    { quantity: GLUE, symbol: 'g' },
    { quantity: PLANE, symbol: 'n' },
  ],
  Input: PullOffInput,
  steps: [
    {
      id: 'tester',
      title: 'Tester and dolly',
      phase: 'before',
      instruction:
        'A dolly that breaks in the middle of the tester’s range: large for weak coatings and concrete, small for strong ones.',
      fields: ['tester', 'seat', 'dolly', 'film'],
    },
    {
      id: 'cut',
      title: 'Cut round it',
      phase: 'before',
      instruction:
        'On concrete through the coating to the surface, hardly into it; on metal only what the standard says. Slow and steady: a fast cut cracks it.',
      fields: ['cut', 'depth'],
      caution:
        'Dust of concrete and paint: shroud, vacuum, respirator by the local rule. Water and electricity apart.',
      when: (setup) => !cored(setup),
    },
    {
      id: 'core',
      title: 'Core it',
      phase: 'before',
      instruction:
        'Square to the surface, through the overlay into what it lies on. Two diameters at right angles: the area is the core’s, not the disk’s.',
      fields: ['cut', 'depth', 'core1', 'core2'],
      caution:
        'Scan first: bars, tendons, tubes. Kickback, water and electricity, slurry, silica; overhead a tray that catches the core.',
      when: cored,
    },
    {
      id: 'pull',
      title: 'Pull',
      phase: 'test',
      instruction:
        'Valve shut, coupler fully home, feet flat, nought. Full strokes that follow one another, the break in the middle of one. Read before anything is let go.',
      fields: [
        'zeroed',
        'shows',
        'shown',
        'force',
        'ram',
        'dollySet',
        'zero',
        'ended',
        'seconds',
        'trace',
        'pulledAt',
      ],
      caution: FACE_CAUTION,
    },
    {
      id: 'face',
      title: 'Read the face',
      phase: 'after',
      instruction:
        'Both faces, a lens, light from the side. Photograph them before they are wiped. Name every plane with its share: they come to a hundred.',
      fields: ['face', 'painted', 'broken', 'cameOff'],
    },
    {
      id: 'after',
      title: 'Keep it and make good',
      phase: 'after',
      instruction: 'The dolly in a bag with its label. Make the hole good, or say who does.',
      fields: ['kept', 'repaired', 'remarks'],
    },
  ],
  performedAt: 'pulledAt',
  waits,
  // What a coating on concrete, or on metal with its small dollies, bears: 1.2 to 3 MPa, 5 to 14 MPa. Our choice.
  handPumped: {
    frame: 'tester',
    bears: (input, share) => {
      const given = readMeasure(input, 'dolly')?.value.toNumber() ?? 0;
      const mm = input.system === 'US' ? given * 25.4 : given;
      const mpa = mm > 30 ? 1.2 + 1.8 * share : 5 + 9 * share;
      return { splits: (mpa * (Math.PI / 4) * mm ** 2) / 1000 };
    },
  },
  set: {
    word: 'Pulls',
    quantity: STRENGTH,
    by: [],
    combine: 'each alone',
    step: 'pull.step-concrete',
    criteria: ['pull-off-each', 'pull-off-mean'],
    asAsked: (said) => ({ step: ruleNamed(said('pullBy')).step }),
    derives,
    derivedBy: { scatter: 'pull.scatter' },
  },
  columns: [
    { heading: 'Face', of: ['*n'] },
    { heading: 'Ended', of: ['ended'] },
  ],
  notClaimed: [
    'A pull tells the weakest plane at its place. A value of at least or at most is a bound, not a strength.',
    'Not tested by pulling: how the coating lasts, and what lies between the pulls.',
  ],
  plan,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PullOffInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-D1', form: 'dolly', since: '2031-03-01T09:00:00-05:00' },
      equipment: [
        {
          number: 'TESTER-1',
          kind: 'pull-off tester',
          verifiedOn: '2030-11-12',
          verifiedFrom: '0.5 kN',
          verifiedTo: '15 kN',
        },
      ],
      facts: {
        pullBy: 'd7234',
        pullOffLeast: '200 psi',
        curedAt: '2031-03-03T09:00:00-05:00',
        set: 'straight',
      },
    },
  }),
};

/** Rate, time and cut of the standard, and which dolly suits the testers on record. */
function plan(system: 'US' | 'SI', setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  const rule = ruleOf(setup);
  const items = limitRows(
    [rule.rate, rule.time, rule.cut, rule.cutFrom].flatMap((id) => id ?? []),
    system,
    setup,
  );
  const required = factMeasure(setup, 'pullOffLeast', 'stress', 'MPa')?.toNumber();
  if (required === undefined) return items;
  const share = limits.of('pull.range', system);
  for (const { number, kind, verifiedTo } of setup.equipment ?? []) {
    const reach = kind === 'pull-off tester' ? setupMeasure(verifiedTo, 'force', 'N')?.toNumber() : undefined;
    if (!reach) continue;
    const suits = dollyAnswers({
      reach: reach / (Math.PI * 100),
      of: 20,
      expected: 1.5 * required,
      required,
      from: (share.low?.toNumber() ?? 0) / 100,
      to: (share.high?.toNumber() ?? 100) / 100,
      reserve: limits.number('pull.reserve', system).toNumber(),
      accuracy: limits.number('pull.accuracy', system).toNumber() / 100,
    }).filter((each) => each.suits);
    items.push({
      label: `Dolly for ${number}`,
      text: suits.map(({ name }) => name).join(', ') || 'none of the common ones',
      note: 'If it breaks at half as much again as is asked for.',
    });
  }
  return items;
}
