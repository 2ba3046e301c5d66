import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { criteriaOf, evaluate, type Member } from '../../acceptance';
import { Limits } from '../../limits';
import { exact, type System } from '../../quantity';
import { type Method, usableInput } from '..';
import type { Facts } from '../facts';
import { CELLS, paintingText } from '../pull/painted';
import { findMethod } from '../registry';
import { derives } from './set';

const method = findMethod('pull-off') as Method;
type Parts = readonly (readonly [plane: string, share: number])[];
const pull = (
  system: System,
  over: Record<string, unknown>,
  facts: Facts = {},
  face: Parts = [['A', 100]],
) => {
  const { input } = usableInput(method, {
    system,
    tester: 'T',
    seat: 'self',
    dolly: system === 'US' ? '2' : '50',
    cut: 'through',
    zeroed: true,
    shows: 'stress',
    ended: 'broke',
    cameOff: 'even',
    seconds: '10',
    pulledAt: '2031-03-04T10:00:00Z',
    face: face.map(([plane, share], place) => ({ id: `p${place}`, plane, share: String(share) })),
    ...over,
  });
  return method.compute(input, {
    equipment: [{ number: 'T', kind: 'pull-off tester', verifiedOn: '2031-01-01' }],
    facts: { curedAt: '2031-03-03T10:00:00Z', ...facts },
  });
};
const strength = (...given: Parameters<typeof pull>) => pull(...given).results[0];
const found = (...given: Parameters<typeof pull>) =>
  pull(...given).findings.map(({ id, severity }) => `${severity} ${id}`);

describe('from the gauge to the stress', () => {
  it('puts right a dolly of another size than was set', () => {
    // By the ratio of areas, 1.98373 and 0.16 (geometry).
    const small = strength('SI', { shown: '4.6', dollySet: '20', dolly: '14.2' }, { pullBy: 'd4541' });
    expect(Number(small?.value)).toBeCloseTo(9.125, 3);
    expect(small?.text).toBe('9.1');
    expect(small?.converted?.text).toBe('1,323');
    expect(Number(strength('SI', { shown: '1.84', dollySet: '20', dolly: '50' })?.value)).toBeCloseTo(
      0.2944,
      4,
    );
  });
  it('goes by the ram where it shows the pressure, and takes its zero off', () => {
    const gauge = { shows: 'pressure', shown: '1000', ram: '1.2', dolly: '2', seconds: '20' };
    expect(Number(strength('US', gauge)?.value)).toBeCloseTo(381.97, 2);
    expect(strength('US', gauge)?.text).toBe('380');
    expect(Number(strength('US', { ...gauge, zero: '50' })?.value)).toBeCloseTo(362.87, 2);
  });
  it('knows 50 mm from 2 in', () => {
    const of = (dolly: string) => Number(strength('US', { shows: 'force', force: '700', dolly })?.value);
    expect(of('50 mm')).toBeCloseTo(230, 1);
    expect(of('2')).toBeCloseTo(222.8, 1);
  });
  // ASTM C1583: the area is the core's, mean of two diameters at right angles (from memory).
  it.each([
    ['745', '1.98', '1.98', 241.96, '240'],
    ['612', '1.97', '1.99', 198.76, '200'],
    ['1180', '2.01', '2.01', 371.88, '370'],
  ])('of a core goes by its own diameters: %s lbf', (force, core1, core2, value, text) => {
    const result = strength(
      'US',
      { shows: 'force', force, core1, core2, depth: '0.5', seconds: String(value / 5) },
      { pullBy: 'c1583' },
    );
    expect(Number(result?.value)).toBeCloseTo(value, 2);
    expect(result?.text).toBe(text);
  });
  // EN 1542, reported to 0.1 MPa (from memory).
  it.each([
    ['3250', '49.6', '1.7'],
    ['2950', '50', '1.5'],
    ['4100', '50', '2.1'],
  ])('of EN: %s N', (force, core, text) => {
    const over = {
      shows: 'force',
      force,
      core1: core,
      core2: core,
      depth: '15',
      seconds: String(Number(text) / 0.05),
    };
    expect(strength('SI', over, { pullBy: 'en1542' })?.text).toBe(text);
  });
  it('is nothing while the dolly, the core or the reading is missing', () => {
    expect(pull('US', { dolly: undefined, shown: '300' }).results[0]?.quantity).not.toBe('pull-off strength');
    expect(pull('US', { shows: 'pressure', shown: '300' }).results).toHaveLength(2);
    expect(pull('US', { shows: 'force', force: '700' }, { pullBy: 'c1583' }).results).toHaveLength(2);
  });
});

describe('what a number is worth', () => {
  const shown = { shown: '300' };
  it('is as it is where it broke as it should', () => {
    expect(strength('US', shown)).not.toHaveProperty('bound');
    expect(strength('US', shown)).not.toHaveProperty('provisional');
    expect(found('US', shown)).toEqual([]);
  });
  // Exactly half in the glue still counts (ASTM D7234, from memory).
  it.each([
    [50, undefined],
    [52, 'at least'],
  ])('with %d %% in the glue', (share, bound) => {
    const face: Parts = [
      ['B', 100 - share],
      ['Y', share],
    ];
    expect(strength('US', shown, {}, face)?.bound).toBe(bound);
    expect(strength('US', shown, { glueMost: '25 %' }, face)?.bound).toBe('at least');
  });
  it('of a core that parted in the glue decides nothing: another one takes its place', () => {
    const core = { shows: 'force', force: '800', core1: '2', core2: '2', depth: '0.5', seconds: '50' };
    expect(strength('US', core, { pullBy: 'c1583' }, [['Y', 100]])).toMatchObject({
      provisional: expect.stringContaining('another one in its place'),
    });
  });
  it('is at least so much of what was stopped or outdid the tester', () => {
    for (const ended of ['proof', 'end'])
      expect(strength('US', { ...shown, ended }, {}, [])?.bound).toBe('at least');
  });
  // ASTM D7234: 30 psi/s at most, 5 to 30 s (from memory).
  it.each([
    ['10', undefined, []],
    ['9', 'at most', ['departure pull.rate-d7234']],
    ['4', 'at most', ['departure pull.rate-d7234', 'departure pull.time-d7234']],
    ['31', 'at least', ['departure pull.time-d7234']],
  ])('pulled in %s s', (seconds, bound, ids) => {
    expect(strength('US', { ...shown, seconds })?.bound).toBe(bound);
    expect(found('US', { ...shown, seconds })).toEqual(ids);
  });
  // ASTM C1583: 5 ± 2 psi/s (from memory).
  it.each([
    ['20', 'at most'],
    ['40', undefined],
    ['80', 'at least'],
  ])('of a core pulled to 200 psi in %s s', (seconds, bound) => {
    const core = { shows: 'force', force: '628', core1: '2', core2: '2', depth: '0.5', seconds };
    expect(strength('US', core, { pullBy: 'c1583' })?.bound).toBe(bound);
  });
  it('is by its record where there is one, with a jerk that the seconds hide', () => {
    const trace = Array.from({ length: 16 }, (_, at) => `${at} ${at < 8 ? at * 18 : 160 + (at - 8) * 20}`);
    expect(found('US', { ...shown, trace: trace.join('\n') })).toEqual(['departure pull.rate-d7234']);
    expect(found('US', { ...shown, trace: 'no numbers' })).toContain('departure pull.record');
    expect(found('US', { ...shown, seconds: undefined })).toEqual(['departure pull.no-rate']);
  });
  it('says nothing where it leans both ways', () => {
    expect(strength('US', { ...shown, seconds: '4', ended: 'proof' }, {}, [])).toMatchObject({
      provisional: expect.stringContaining('too fast'),
    });
    expect(strength('US', { ...shown, cameOff: 'flap' })?.bound).toBe('at most');
  });
});

describe('what makes it no test', () => {
  const shown = { shown: '300' };
  it('is glue that was not hard yet, a dolly that slid, and shares that are no whole', () => {
    expect(found('US', shown, { curedAt: '2031-03-04T11:30:00Z' })).toEqual(['invalid pull.early']);
    expect(found('US', shown, { set: 'slid' })).toEqual(['invalid pull.slid']);
    const short = pull('US', shown, {}, [
      ['A', 60],
      ['B', 30],
    ]);
    expect(short.findings[0]).toMatchObject({ severity: 'invalid', message: 'The shares come to 90 %.' });
    expect(found('US', { ...shown, cut: 'part' })).toEqual(['invalid pull.cut-part']);
    expect(found('US', { ...shown, cameOff: 'side' })).toEqual(['invalid pull.tilted']);
  });
  // ASTM D7234 cuts films above 20 mil, ISO 4624 above 150 µm (from memory).
  it('is a thick film on concrete that was not cut through', () => {
    expect(found('US', { ...shown, cut: 'no', film: '60' })).toEqual(['invalid pull.cut-from-d7234']);
    expect(found('US', { ...shown, cut: 'no', film: '12' })).toEqual([]);
    const metal = { shown: '9', dolly: '20', cut: 'no', film: '160' };
    expect(found('SI', metal, { pullBy: 'iso4624' })).toEqual(['departure pull.cut-from-iso4624']);
    expect(found('SI', { ...metal, film: '150' }, { pullBy: 'iso4624' })).toEqual([]);
    expect(found('SI', { ...metal, cut: 'through' }, { pullBy: 'd4541' })).toEqual([
      'departure pull.cut-variant',
    ]);
  });
  it('is a core that was none, and one too shallow reads high', () => {
    const core = { shows: 'force', force: '628', core1: '2', core2: '2', seconds: '40' };
    expect(found('US', { ...core, cut: 'no' }, { pullBy: 'c1583' })).toEqual(['invalid pull.not-cored']);
    expect(strength('US', { ...core, depth: '0.3' }, { pullBy: 'c1583' })?.bound).toBe('at most');
    expect(found('US', { ...core, core2: '2.06', depth: '0.5' }, { pullBy: 'c1583' })).toEqual([
      'departure pull.core-apart',
    ]);
  });
});

describe('neighbours of a repair', () => {
  const core = { shows: 'force', force: '2000', core1: '50', core2: '50' };
  // EN 1015-12: 0.003 to 0.1 MPa/s, broken in 20 to 60 s (from memory). 2000 N on 50 mm are 1.02 MPa.
  it.each([
    ['en1015', '30', []],
    ['en1015', '15', ['departure pull.time-en1015']],
    ['en1015', '8', ['departure pull.rate-en1015', 'departure pull.time-en1015']],
    ['en13892', '20', []],
    ['en13892', '10', ['departure pull.rate-en-near']],
    ['en12636', '40', ['departure pull.rate-en-near']],
  ])('%s in %s s', (pullBy, seconds, ids) => {
    expect(found('SI', { ...core, seconds }, { pullBy })).toEqual(ids);
    expect(strength('SI', { ...core, seconds }, { pullBy })?.reported).toBe('1.0');
  });
});

describe('a fibre sheet glued to concrete', () => {
  const fibre = { shown: '300', depth: '0.35', seconds: '130' };
  const by = { pullBy: 'd7522' };
  // ASTM D7522: the concrete is G, what glues the sheet D, bond and concrete together F; 1 MPa/min at most (from memory).
  it.each<[Parts, string, string]>([
    [[['A', 100]], 'mode G: A 100 %', 'meets'],
    [[['A/B', 100]], 'mode E: A/B 100 %', 'needs decision'],
    [[['B', 100]], 'mode D: B 100 %', 'needs decision'],
    [[['B/C', 100]], 'mode C: B/C 100 %', 'needs decision'],
    [[['C', 100]], 'mode B: C 100 %', 'needs decision'],
    [
      [
        ['A', 60],
        ['A/B', 40],
      ],
      'mode F: A 60 %, A/B 40 %',
      'needs decision',
    ],
  ])('%j is %s', (face, text, state) => {
    const outcome = pull('US', fibre, by, face);
    expect(outcome.results.find(({ symbol }) => symbol === 'n')?.text).toBe(text);
    expect(outcome.verdicts).toMatchObject([{ criterion: 'Break in the concrete', state }]);
    expect(outcome.findings).toEqual([]);
  });
  it('is put before nobody where only the glue of the dolly let go: it is at least so much', () => {
    const outcome = pull('US', fibre, by, [['Y', 100]]);
    expect(outcome.verdicts).toEqual([]);
    expect(outcome.results[0]?.bound).toBe('at least');
    expect(outcome.results.find(({ symbol }) => symbol === 'n')?.text).toBe('mode A: Y 100 %');
  });
  it('is cut through, 6 to 12 mm into the concrete, and pulled slowly', () => {
    expect(found('US', { ...fibre, cut: 'no' }, by)).toEqual(['invalid pull.not-scored']);
    expect(found('US', { ...fibre, depth: '0.6' }, by)).toEqual(['departure pull.cut-d7522']);
    expect(found('US', { ...fibre, seconds: '60' }, by)).toEqual(['departure pull.rate-d7522']);
  });
});

describe('the words beside it', () => {
  it('name the weakest plane and what it means', () => {
    const { picture } = pull('US', { shown: '300' }, {}, [
      ['A/B', 60],
      ['B', 40],
    ]);
    expect(picture.values.said).toContain('Weakest plane A/B, 60 % of the face');
    expect(pull('US', { shown: '300', broken: '0.02' }).picture.values.said).toContain(
      'skin of the concrete',
    );
    expect(found('US', { shown: '300', broken: '0.02' })).toEqual(['advice pull.skin']);
    expect(pull('US', { shown: '300', broken: '0.2' }).picture.values.said).toContain(
      'the concrete, not what lies on it',
    );
  });
  it('hold a tester to what its certificate proves, and the other kind of seat apart', () => {
    const { input } = usableInput(method, {
      ...{ system: 'SI', tester: 'T', dolly: '20', shows: 'stress', shown: '1', seconds: '10' },
      ...{ pulledAt: '2031-03-04T10:00:00Z', seat: 'fixed' },
    });
    const { findings } = method.compute(input, {
      equipment: [
        {
          number: 'T',
          kind: 'pull-off tester',
          verifiedOn: '2031-01-01',
          verifiedFrom: '0.2 kN',
          verifiedTo: '6.3 kN',
        },
      ],
      facts: { curedAt: '2031-03-03T10:00:00Z', seats: ['self'] },
    });
    expect(findings.map(({ id }) => id)).toEqual(['pull.seats', 'pull.range']);
    expect(findings[1]?.message).toContain('5 % of the reach');
  });
  // 0.2 MPa on 20 mm are 63 N, on 50 mm they would be 393 N (geometry): 1 and 6 % of 6.3 kN.
  it('take what it shows unloaded by the dolly that is set on it', () => {
    const shown = (dollySet: string) => {
      const { input } = usableInput(method, {
        ...{ system: 'SI', tester: 'T', shows: 'stress', shown: '8', zero: '0.05', dolly: '50', dollySet },
      });
      return method
        .compute(input, {
          equipment: [
            { number: 'T', kind: 'pull-off tester', verifiedOn: '2031-01-01', verifiedTo: '6.3 kN' },
          ],
        })
        .findings.map(({ id }) => id);
    };
    expect(shown('20')).not.toContain('pull.zero');
    expect(shown('50')).toContain('pull.zero');
  });
  // ISO 12944-6: no A/B unless 5 MPa are reached (from memory).
  it('forbid a plane below a stress', () => {
    const face: Parts = [
      ['A/B', 60],
      ['B', 40],
    ];
    const stands = (shown: string, parts = face) =>
      pull('SI', { shown, dolly: '20' }, { pullBy: 'iso4624', noFirstBelow: '5 MPa' }, parts).verdicts[0]
        ?.state;
    expect(stands('4.2')).toBe('does not meet');
    expect(stands('5.1')).toBe('meets');
    expect(stands('4.2', [['B', 100]])).toBe('meets');
    expect(
      stands('4.2', [
        ['A/B', 9],
        ['B', 91],
      ]),
    ).toBe('meets');
  });
  it('tell a face that was painted otherwise than it was typed', () => {
    const painted = paintingText(CELLS.map(({ x }) => (x < 0 ? 'A' : 'B')));
    const halves: Parts = [
      ['A', 50],
      ['B', 50],
    ];
    expect(found('US', { shown: '300', painted }, {}, halves)).toEqual([]);
    expect(found('US', { shown: '300', painted })).toEqual(['departure pull.painted']);
    expect(found('US', { shown: '300', painted: 'nonsense' })).toEqual(['departure pull.painted']);
  });
});

const limits = new Limits();
const judge = (
  id: 'pull-off-each' | 'pull-off-mean',
  members: readonly Partial<Member>[],
  asked: Readonly<Record<string, number>>,
  step = '10',
) => {
  const [criterion] = criteriaOf([id]);
  if (!criterion) throw new Error('a criterion');
  return evaluate(
    criterion,
    members.map((member, place) => ({ id: String(place), label: `D${place + 1}`, value: null, ...member })),
    {
      system: 'US',
      unit: 'psi',
      limits,
      mode: 'half-even',
      planned: 3,
      asked: (name) => (asked[name] === undefined ? undefined : exact(asked[name])),
      step: exact(step),
    },
  )[0];
};

it('leaves a place to be made good, until somebody says with what', () => {
  const waits = (over: object) => {
    const { input } = usableInput(method, { system: 'SI', pulledAt: '2031-03-04T10:00:00Z', ...over });
    return method.waits?.(input, {});
  };
  expect(waits({})).toMatchObject([
    { what: 'Make good where it was pulled', opens: '2031-03-04T10:00:00Z', stays: true },
  ]);
  expect(waits({ repaired: 'patch' })).toEqual([]);
  expect(waits({ pulledAt: undefined })).toEqual([]);
});

describe('the verdict of an area', () => {
  const asked = { pullOffLeast: 1000 };
  it('takes at least so much for a pass where that reaches it', () => {
    const three = [{ value: '1250' }, { value: '1420', bound: 'at least' as const }, { value: '1310' }];
    expect(judge('pull-off-each', three, asked)?.state).toBe('meets');
    expect(judge('pull-off-mean', three, { ...asked, pullOffMean: 1300 })).toMatchObject({ state: 'meets' });
    expect(judge('pull-off-mean', three, { ...asked, pullOffMean: 1400 })?.state).toBe(
      'not yet determinable',
    );
  });
  it('leaves what decides nothing aside, with its word, and wants another in its place', () => {
    const glued = { value: '900', bound: 'at least' as const };
    const two = [{ value: '1250' }, { value: '1310' }];
    const open = judge('pull-off-each', [...two, glued], asked);
    expect(open?.state).toBe('not yet determinable');
    expect(open?.sentence).toContain('Made again in its place: D3, known at least only');
    expect(judge('pull-off-each', [...two, glued, { value: '1100' }], asked)?.state).toBe('meets');
    expect(judge('pull-off-each', [glued], asked)?.sentence).toContain('none of them decides');
    expect(judge('pull-off-each', [...two, { value: '1400', provisional: 'both ways' }], asked)?.state).toBe(
      'not yet determinable',
    );
  });
  it('fails by one, whatever the others come to; a fail that was pulled too fast stands', () => {
    expect(judge('pull-off-each', [{ value: '990' }, { value: '1250' }], asked)?.state).toBe('does not meet');
    expect(judge('pull-off-each', [{ value: '900', bound: 'at most' }], asked)?.state).toBe('does not meet');
    expect(judge('pull-off-each', [{ value: '1200', bound: 'at most' }], asked)?.state).toBe(
      'not yet determinable',
    );
  });
  it('is said where rounding decides', () => {
    // 198.76 psi reported as 200 to 5 psi, against 200.
    const three = [{ value: '198.76' }, { value: '240' }, { value: '250' }];
    expect(judge('pull-off-each', three, { pullOffLeast: 200 }, '5')?.sentence).toContain(
      'Decided by rounding',
    );
  });
  it('goes by what is common for a coating of which nothing is said, and by nothing for others', () => {
    const [criterion] = criteriaOf(['pull-off-each']);
    const about = {
      system: 'US' as const,
      unit: 'psi' as const,
      limits,
      mode: 'half-even' as const,
      planned: 1,
      asked: () => undefined,
      step: exact(5),
    };
    const one = [{ id: 'a', label: 'D1', value: '210' }];
    if (!criterion) throw new Error('a criterion');
    expect(evaluate(criterion, one, { ...about, said: () => 'resin' })[0]?.state).toBe('meets');
    expect(evaluate(criterion, one, about)).toEqual([]);
  });
});

describe('what pulls say together', () => {
  const about = {
    rejected: 0,
    facts: {},
    asked: () => undefined,
    system: 'US',
    unit: 'psi',
    limits,
    mode: 'half-even',
  } as const;
  const said = (...pieces: readonly [value: number, plane?: number, bound?: 'at least'][]) => {
    const of = derives(exact(0), {
      ...about,
      pieces: pieces.map(([value, plane, bound], place) => ({
        label: `D${place + 1}`,
        value: String(value),
        used: true,
        ...(bound ? { bound } : {}),
        quantities: Object.fromEntries(plane === undefined ? [] : [['parted mostly in', String(plane)]]),
      })),
    });
    return { ...of, said: Object.fromEntries(of.said) };
  };
  it('is their mean, scatter and the bound of the mean', () => {
    // Student's t for two degrees of freedom, 95 %, one side: 2.920 (any table, from memory).
    const of = said([265], [310], [240]);
    expect(of.said).toEqual({ Mean: '270 psi', Scatter: '13.1 %', 'Mean lies above, 95 %': '210 psi' });
    expect(of.remarks).toEqual([]);
  });
  it('tells planes apart, and that they scatter for it', () => {
    const of = said([242, 1], [172, 2], [372, 1]);
    expect(of.said).toMatchObject({
      Scatter: '38.7 %',
      'Mostly A': '305 psi, 2',
      'Mostly A/B': '170 psi, 1',
    });
    expect(of.remarks[0]).toContain('None is left out for being low');
  });
  it('is at least so much where one of them is', () => {
    expect(said([1250], [1420, undefined, 'at least'], [1310]).said.Mean).toBe('≥ 1,325 psi');
  });
});
