import { Limits } from '../../limits';
import { pointsWanted } from '../../materials/floor/count';
import { dollyAnswers } from '../../methods/pull/dolly';
import { faceText, glueShare, leadingPlane, type Plane } from '../../methods/pull/faces';
import { depthRow, type SlabKind } from '../../methods/slab/drying';
import { exact, withThousands } from '../../quantity';
import { changeOf } from '../../slab/change';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
const BAND = LIMITS.number('slab.band', 'US').toNumber();

/** Depth of a hole and number of holes of a slab. */
export const depthAndCountExercise = onPaper(
  {
    id: 'depth-and-count',
    title: 'How deep, and how many?',
    about:
      'Six slabs. Half of them ask how deep a hole goes, the others how many holes a zone wants. What is drawn is not what is there.',
  },
  'Slab',
  6,
  (chance) => {
    const kind = chance.pick(['grade', 'deck', 'ventilated'] as const satisfies readonly SlabKind[]);
    const drawn = Math.round(chance.between(4, 7));
    const measured = Math.round((drawn + chance.between(-0.7, 1.4)) * 8) / 8;
    const area = Math.round(chance.between(3, 46)) * 100 + Math.round(chance.between(1, 99));
    const walls = Math.round(chance.between(0, 4));
    const slab = {
      grade: 'on grade',
      deck: 'on metal deck',
      ventilated: 'suspended, air moves above and below',
    }[kind];
    const lines: (readonly [string, string])[] = [
      ['Slab', slab],
      ['Thickness drawn', `${drawn} in`],
      ['Thickness in a core', `${measured} in`],
      ['Area', `${withThousands(String(area))} ft²`],
      ['Exterior walls', String(walls)],
    ];
    if (chance.between(0, 1) < 0.5) {
      const share = LIMITS.number(depthRow(kind), 'US').toNumber();
      const depth = (share / 100) * measured;
      const off = LIMITS.of('slab.depth', 'US').high?.toNumber() ?? 0;
      return {
        kind: 'paper',
        lines,
        ask: 'Depth of the hole, in',
        help: 'Right to an eighth of an inch.',
        options: [],
        right: { low: depth - off, high: depth + off },
        why: `${share} % of what is there, not of what is drawn: ${depth.toFixed(2)} in. A slab that dries from both sides wants half as deep a hole.`,
      };
    }
    const wanted = pointsWanted(
      'holes',
      [{ area: `${area} ft2`, walls: String(walls), slab: kind }],
      0,
      LIMITS,
      'US',
    );
    const count = wanted?.count ?? 0;
    return {
      kind: 'paper',
      lines,
      ask: 'Holes',
      help: 'A whole number.',
      options: [],
      right: { low: count, high: count },
      why: `${count}: ${wanted?.why ?? ''} Three for the first thousand square feet, one for each further thousand begun; on grade never fewer than one by each exterior wall and one inside.`,
    };
  },
);

const CHANGES = {
  'no change shown': 'Explained by its temperature: no change of its water is shown',
  wetter: 'Wetter: look for a source',
  drier: 'Drier',
} as const;

/** What a second reading of a hole says of its water. */
export const whyItRoseExercise = onPaper(
  {
    id: 'why-it-rose',
    title: 'Why did it rise?',
    about:
      'Six holes, each read twice. Say whether the concrete got wetter or drier, or whether its temperature explains what was read.',
  },
  'Hole',
  6,
  (chance) => {
    const wanted = chance.pick(['no change shown', 'wetter', 'drier'] as const);
    const first = Math.round(chance.between(78, 91));
    const [from, to] = [chance.between(62, 72), chance.between(62, 82)].map(Math.round) as [number, number];
    const celsius = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;
    const visit = (humidity: number, fahrenheit: number) => ({
      at: 0,
      humidity,
      celsius: celsius(fahrenheit),
      air: { humidity: 45, celsius: celsius(fahrenheit) },
    });
    // What its temperature alone would make of it, and well to one side of that where it got wetter or drier.
    const { expected } = changeOf(visit(first, from), visit(first, to), BAND);
    const off = {
      'no change shown': chance.between(-1.2, 1.2),
      wetter: chance.between(4.6, 7),
      drier: -chance.between(4.6, 7),
    };
    const second = Math.round(expected + off[wanted]);
    const change = changeOf(visit(first, from), visit(second, to), BAND);
    return {
      kind: 'paper',
      lines: [
        ['First reading', `${first} %, concrete ${from} °F`],
        ['Three weeks later', `${second} %, concrete ${to} °F`],
      ],
      ask: 'What does it say of the water in the concrete?',
      help: '',
      options: Object.entries(CHANGES),
      right: { answer: change.says },
      why: `${CHANGES[change.says]}. At ${to} °F ${change.expected.toFixed(1)} % was to be expected of the same water; two readings of ± 2 % each lie up to ${BAND} % apart.`,
    };
  },
);

const FACES = {
  good: 'It counts as it is',
  least: 'It is only at least so much, and that is enough',
  again: 'Another one in its place',
  low: 'It does not hold',
} as const;

/** What a face makes of a number. */
export const readFaceExercise = onPaper(
  {
    id: 'read-face',
    title: 'Read the face',
    about:
      'Six pulls of a coating, each with its number, its face in shares, and what is asked for. More than half in the glue, and the number is only at least so much.',
  },
  'Pull',
  6,
  (chance) => {
    const wanted = chance.pick(['good', 'least', 'again', 'low'] as const);
    const asked = Math.round(chance.between(6, 11)) * 100;
    const glued = wanted === 'least' || wanted === 'again';
    const above = wanted === 'good' || wanted === 'least';
    const shown =
      Math.round((asked * (above ? chance.between(1.06, 1.5) : chance.between(0.6, 0.93))) / 10) * 10;
    // Well to one side of half.
    const glue = glued ? Math.round(chance.between(56, 95)) : Math.round(chance.between(0, 44));
    const rest = chance.pick(['A/B', 'B', 'B/C', 'C'] as const satisfies readonly Plane[]);
    const face = [
      [rest, 100 - glue] as const,
      ...(glue > 0 ? [[chance.pick(['-/Y', 'Y', 'Y/Z'] as const), glue] as const] : []),
    ];
    const reads =
      glueShare(face) > 50 ? (shown >= asked ? 'least' : 'again') : shown >= asked ? 'good' : 'low';
    return {
      kind: 'paper',
      lines: [
        ['Most', `${withThousands(String(shown))} psi`],
        ['Face', faceText(face)],
        ['Asked for', `${withThousands(String(asked))} psi, every pull`],
      ],
      ask: 'What does it say?',
      help: '',
      options: Object.entries(FACES),
      right: { answer: reads },
      why: `${FACES[reads]}. ${glueShare(face)} % parted in or at the glue, most of it in ${leadingPlane(face)?.replace('-', '−')}: ${reads === 'low' ? 'the coating itself let go below what is asked for' : reads === 'again' ? 'the glue gave up before the coating said anything' : reads === 'least' ? 'the coating holds more than what is asked for, nobody knows how much' : 'the number is of the coating'}.`,
    };
  },
);

/** Choosing a dolly for a tester and what is expected. */
export const chooseDollyExercise = onPaper(
  {
    id: 'choose-dolly',
    title: 'Choose the dolly',
    about:
      'Five coatings, and a tester with what it reaches on its 20 mm dolly. Choose the largest dolly that breaks between a fifth and four fifths of its range.',
  },
  'Coating',
  5,
  (chance) => {
    const reach = Math.round(chance.between(14, 26));
    const range = LIMITS.of('pull.range', 'SI');
    const about = {
      reach,
      of: 20,
      required: 0,
      from: exact(range.low ?? 0).toNumber() / 100,
      to: exact(range.high ?? 0).toNumber() / 100,
      reserve: LIMITS.number('pull.reserve', 'SI').toNumber(),
      accuracy: LIMITS.number('pull.accuracy', 'SI').toNumber() / 100,
    };
    // Away from the ends of what a dolly serves for, so that nobody is caught by a decimal.
    const answersFor = (expected: number) =>
      dollyAnswers({ ...about, expected }).filter(({ name }) => name !== '2 in');
    const clear = (expected: number): boolean =>
      answersFor(expected).every(({ share }) =>
        [about.from, about.to].every((end) => Math.abs(share / end - 1) > 0.08),
      );
    let expected = Math.round(chance.between(0.8, 30) * 10) / 10;
    for (let tries = 0; tries < 60 && !clear(expected); tries += 1)
      expected = Math.round(chance.between(0.8, 30) * 10) / 10;
    const answers = answersFor(expected);
    const best = answers.find(({ suits }) => suits);
    return {
      kind: 'paper',
      lines: [
        ['Tester', `${reach} MPa on its 20 mm dolly`],
        ['Expected', `${expected.toFixed(1)} MPa`],
      ],
      ask: 'Dolly',
      help: '',
      options: [...answers.map(({ name }) => [name, name] as const), ['none', 'None of these']],
      right: { answer: best?.name ?? 'none' },
      why: answers
        .map(
          ({ name, reach: own, share }) =>
            `${name} reaches ${own.toFixed(1)} MPa: ${(100 * share).toFixed(0)} %`,
        )
        .join('; ')
        .concat('. The reach goes by the ratio of areas.'),
    };
  },
);
