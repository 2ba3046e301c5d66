import { describe, expect, it } from 'vitest';
import {
  type ReportContent,
  type ReportSet,
  type ReportTest,
  remarksOf,
  resultText,
  sectionsOf,
  setSentence,
} from '.';

const TEST: ReportTest = {
  title: 'Cylinder compression',
  method: 'ASTM C39/C39M',
  attempt: 1,
  at: '11 Jun 2031 09:05 UTC-04:00',
  by: 'A technician',
  columns: [
    ['Load', '61,870 lbf'],
    ['Ends and fracture', 'Unbonded pads; 3 Vertical cracks'],
  ],
  readings: [],
  results: [
    {
      quantity: 'compressive strength',
      symbol: 'f',
      value: '4923.4',
      reported: '4920',
      text: '4,920',
      unit: 'psi',
    },
  ],
  lines: [],
  remarks: ['Tested late.'],
  verdicts: [],
  equipment: ['Testing machine PRESS-1'],
  valid: true,
};
const SPECIMEN = {
  label: 'S-1-A',
  form: '4 × 8 in',
  cure: 'standard',
  designatedAge: '28 d',
  age: '28 d 1 h',
};
const SET: ReportSet = {
  title: 'Strength test at 28 d',
  cure: 'standard',
  value: '4,900',
  unit: 'psi',
  state: 'tested',
  strength: true,
  used: ['S-1-A'],
  trimmed: [],
  leftOut: [],
  said: [],
  lines: [],
  remarks: ['The range is wide.'],
};
const SLUMP: ReportTest = { ...TEST, title: 'Slump', remarks: ['Shear.', 'Again.'], columns: [] };
const CONTENT: ReportContent = {
  schema: 2,
  title: 'Report of tests',
  subject: 'sample S-1',
  words: { onSample: 'Fresh', onSpecimens: 'Hardened' },
  job: { number: 'S', name: 'Works', owner: 'Trust', location: 'Quay' },
  facts: [],
  tests: [{ ...TEST, specimen: SPECIMEN }, SLUMP],
  waiting: ['S-1-C (28 d)'],
  discarded: [],
  sets: [SET],
  together: null,
  verdicts: [],
  rounding: 'half to even',
  methods: [],
  limitsRevision: 0,
  recalledLimits: false,
  statements: [],
};

describe('what a test came to', () => {
  it('is its first result with its unit', () => expect(resultText(TEST)).toBe('4,920 psi'));
  it('is none where it is not valid, whatever was read', () => {
    expect(resultText({ ...TEST, valid: false })).toBe('no valid result');
    expect(resultText({ results: [], valid: false })).toBe('no valid result');
  });
  it('is done where a method has no number of its own', () => {
    expect(resultText({ results: [], valid: true })).toBe('done');
  });
});

it('a set is told in a sentence: what it came to, of how many, and that it is not complete', () => {
  expect(setSentence(SET)).toBe('Strength test at 28 d, standard cured: 4,900 psi, one cylinder.');
  expect(setSentence({ ...SET, value: null })).toBe('Strength test at 28 d: no valid result.');
  expect(setSentence({ ...SET, title: 'Cores at 39 d', strength: false, value: null })).toBe(
    'Cores at 39 d: no mean.',
  );
  expect(
    setSentence({
      ...SET,
      title: 'Mean index of the group',
      sample: 'S-9',
      cure: '',
      strength: false,
      value: '3.05',
      unit: 'MPa',
      state: 'pending',
      used: ['a', 'b', 'c'],
    }),
  ).toBe('S-9: Mean index of the group: 3.05 MPa, mean of 3 so far, not complete.');
});

it('remarks say what each is about, tests of the sample first, sets last', () => {
  expect(
    remarksOf({
      ...CONTENT,
      sets: [SET, { ...SET, title: 'Cores at 39 d', remarks: ['The arithmetic meets the rule.'] }],
    }),
  ).toEqual([
    'Slump: Shear.',
    'Slump: Again.',
    'S-1-A: Tested late.',
    'Strength test at 28 d: The range is wide.',
    'Cores at 39 d: The arithmetic meets the rule.',
  ]);
});

describe('the sections of a report', () => {
  const titles = (content: ReportContent) => sectionsOf(content).map(({ title }) => title);
  it('leave out what there is nothing of', () => {
    expect(titles(CONTENT)).toEqual(['Fresh', 'Hardened', 'Departures and remarks', 'Equipment']);
    expect(titles({ ...CONTENT, tests: [], sets: [] })).toEqual(['Departures and remarks', 'Equipment']);
  });
  it('have the columns of the methods, and ages only where they count', () => {
    const headings = (content: ReportContent) =>
      sectionsOf(content).flatMap((section) =>
        section.kind === 'table' && section.title === 'Hardened'
          ? section.columns.map(({ heading }) => heading)
          : [],
      );
    expect(headings(CONTENT)).toEqual([
      'Specimen',
      'Test',
      'Age',
      'At test',
      'Load',
      'Ends and fracture',
      'Result',
      'Tested',
    ]);
    const piece = { ...SPECIMEN, designatedAge: '', age: '' };
    expect(headings({ ...CONTENT, tests: [{ ...TEST, specimen: piece }] })).toEqual([
      'Specimen',
      'Load',
      'Ends and fracture',
      'Result',
      'Tested',
    ]);
  });
  it('stand in a table by the columns of their methods, and what they come to under the last', () => {
    const broken = { ...TEST, specimen: SPECIMEN };
    const split: ReportTest = {
      ...broken,
      title: 'Splitting tensile',
      columns: [['Line of the crack', 'Through the middle']],
    };
    const tables = sectionsOf({ ...CONTENT, tests: [broken, split, broken] }).flatMap((section) =>
      section.kind === 'table' ? [section] : [],
    );
    expect(tables.map(({ title, rows }) => [title, rows.length])).toEqual([
      [`Hardened: ${TEST.title.toLowerCase()}`, 2],
      ['Hardened: splitting tensile', 1],
    ]);
    expect(tables[0]?.columns.map(({ heading }) => heading)).not.toContain('Line of the crack');
    expect(tables.map(({ sentences }) => sentences.length)).toEqual([0, CONTENT.sets.length]);
  });
  it('give every row a cell for each column', () => {
    for (const section of sectionsOf(CONTENT))
      if (section.kind === 'table')
        for (const row of section.rows) expect(row).toHaveLength(section.columns.length);
  });
  it('say what follows from a set, what its rule left out of it, and what waits', () => {
    const content = {
      ...CONTENT,
      sets: [{ ...SET, trimmed: ['S-1-B'], said: [['Estimated strength', '70 MPa'] as const] }],
    };
    const all = JSON.stringify(sectionsOf(content));
    expect(all).toContain('Left out of the mean by its rule: S-1-B.');
    expect(all).toContain('Not tested yet: S-1-C (28 d).');
    expect(titles(content)).toContain('What follows from it');
  });
});

it('a table has no column that none of its tests fills, and no sentence for a set of which each counts by itself', () => {
  const test = (probe: string): ReportTest => ({
    ...TEST,
    specimen: SPECIMEN,
    columns: [
      ['Probe', probe],
      ['Certificate', ''],
    ],
  });
  const tableOf = (tests: readonly ReportTest[], sets: readonly ReportSet[]) =>
    sectionsOf({ ...CONTENT, tests, sets }).find(({ kind }) => kind === 'table');
  expect(tableOf([test(''), test('HP-1')], [{ ...SET, each: true, value: null }])).toMatchObject({
    columns: expect.not.arrayContaining([expect.objectContaining({ heading: 'Certificate' })]),
    rows: [expect.not.arrayContaining(['HP-1']), expect.arrayContaining(['HP-1'])],
    sentences: [],
  });
  expect(tableOf([test('')], [SET])).toMatchObject({ sentences: [setSentence(SET)] });
});

describe('a sheet that somebody else signs', () => {
  const release = {
    title: 'Release by the engineer',
    said: [['What waits for it', 'Forms of walls and columns']],
    blanks: ['Name and licence', 'Signature'],
    words: 'The laboratory reports an estimate.',
  } as const;
  it('stands in the report of a test that has one, with its blanks left blank', () => {
    const sections = sectionsOf({ ...CONTENT, tests: [SLUMP, { ...TEST, release }, { ...TEST, release }] });
    const own = sections.filter(({ kind }) => kind === 'release');
    expect(own).toEqual([{ kind: 'release', title: 'Release by the engineer', sheets: [release, release] }]);
  });
  it('and in no other', () =>
    expect(sectionsOf({ ...CONTENT, tests: [SLUMP, TEST] }).some(({ kind }) => kind === 'release')).toBe(
      false,
    ));
});

describe('a place in a report', () => {
  const picture = { id: 'p', name: 'hall.jpg', mime: 'image/jpeg', sha256: 'abc' };
  const content: ReportContent = {
    ...CONTENT,
    tests: [{ ...TEST, photographs: [{ ...picture, at: '11 Jun 2031' }] }],
    plan: {
      system: 'SI',
      width: 10,
      height: 4,
      zones: [],
      corridors: [],
      flags: [],
      points: [],
      unplaced: ['S-1-H4'],
      picture,
    },
    courses: [
      {
        title: 'Humidity in the slab',
        quantity: 'relative humidity',
        unit: '%',
        limit: null,
        rows: [{ label: 'S-1-H1', visits: [] }],
      },
    ],
    notClaimed: ['Nothing between the points.'],
  };
  const sections = sectionsOf(content);
  it('has the certificates of what it was tested with, apart from photographs', () => {
    const paper = { ...picture, id: 'c', at: '1 Feb 2031', of: 'HP-1, certificate C-7' };
    const own = sectionsOf({ ...content, certificates: [paper] }).filter(
      ({ kind }) => kind === 'photographs',
    );
    expect(own).toMatchObject([
      { title: 'Photographs', from: 'attachments' },
      { title: 'Certificates', from: 'certificates', photographs: [{ of: paper.of, photo: { id: 'c' } }] },
    ]);
  });
  it('is drawn, over its picture as high as the place is for its width, and says which point has no place', () => {
    const plan = sections.find(({ title }) => title === 'Plan');
    expect(plan).toMatchObject({ kind: 'drawing', picture: { of: picture, height: 200 } });
    expect(JSON.stringify(plan)).toContain('Without a place on the plan: S-1-H4.');
    expect(JSON.stringify(plan)).toContain('hall.jpg, SHA-256 abc');
  });
  it('says what it does not say, after the verdicts', () =>
    expect(sections).toContainEqual({
      kind: 'list',
      title: 'What this report does not say',
      items: ['Nothing between the points.'],
      none: '',
    }));
  it('names each photograph by its test', () =>
    expect(sections.find(({ kind }) => kind === 'photographs')).toMatchObject({
      photographs: [{ of: 'Cylinder compression', photo: { name: 'hall.jpg' } }],
    }));
});

it('a result of something else than its group is made of says what it is of', () => {
  const result = {
    quantity: 'strength along a joint',
    symbol: 'S',
    value: '6900',
    reported: '6900',
    text: '6,900',
    unit: 'psi',
  } as const;
  expect(resultText({ results: [result], valid: true, apart: result.quantity })).toBe(
    '6,900 psi, strength along a joint',
  );
  expect(resultText({ results: [result], valid: true })).toBe('6,900 psi');
});

it('draws what a method draws of each test, with what it is of and what stands beside it', () => {
  const drawn = {
    title: 'Probes along the barrel',
    drawing: { width: 10, height: 5, shapes: [], words: 'a barrel' },
    notes: ['at 20'],
  };
  const tests = [
    { ...TEST, specimen: SPECIMEN, drawings: [drawn] },
    { ...TEST, specimen: SPECIMEN },
  ];
  const found = sectionsOf({ ...CONTENT, tests }).filter(({ kind }) => kind === 'drawing');
  expect(found).toMatchObject([{ title: 'S-1-A: probes along the barrel', notes: ['at 20'] }]);
});
