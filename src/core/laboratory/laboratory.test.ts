import { describe, expect, it } from 'vitest';
import { validated } from '../methods/validated';
import { headLines, LaboratoryDetails, laboratoryOf, laboratoryText } from './details';
import { type Beginnings, firstSteps, STEP_IDS } from './first-steps';

const NOTHING: Beginnings = {
  people: { reviewer: 0, technician: 0 },
  gear: { all: 0, unverified: 0 },
  limits: { all: 1375, looked: 0 },
  ...{ jobs: 0, specifications: 0, tests: 0, backup: null },
};
const stands = (over: Partial<Beginnings>, id: string) =>
  firstSteps({ ...NOTHING, ...over }).find((step) => step.id === id);

describe('who the laboratory is', () => {
  it('comes back as it was said, line by line', () => {
    const said = Object.assign(new LaboratoryDetails(), {
      ...{ name: ' Harbour Row ', address: ' 2 Harbour Row\r\n\n Port Merrow ', zone: 'UTC' },
    });
    const kept = laboratoryOf(laboratoryText(said));
    expect(kept).toEqual({
      ...{ name: 'Harbour Row', address: '2 Harbour Row\nPort Merrow', letterhead: '', zone: 'UTC' },
    });
    expect(headLines(kept)).toEqual(['2 Harbour Row', 'Port Merrow']);
  });
  it('is nobody where nothing was said', () => {
    expect(headLines(laboratoryOf(undefined))).toEqual([]);
    expect(laboratoryOf(undefined).zone).toBe('UTC');
  });
  it.each([
    [{ name: '' }, 'name'],
    [{ address: '' }, 'address'],
    [{ zone: 'Moon/Base' }, 'zone'],
    [{ name: 'x'.repeat(121) }, 'name'],
    [{ letterhead: 'x'.repeat(401) }, 'letterhead'],
  ])('says what is wrong at its field: %j', (over, field) => {
    const checked = validated(LaboratoryDetails, { name: 'A', address: 'B', zone: 'UTC', ...over });
    expect(checked.ok ? [] : Object.keys(checked.errors)).toEqual([field]);
  });
});

describe('the first steps', () => {
  it('are all there, in order, each with a way there but the one at the machine itself', () => {
    const steps = firstSteps(NOTHING);
    expect(steps.map(({ id }) => id)).toEqual([...STEP_IDS]);
    expect(steps.every(({ done }) => !done)).toBe(true);
    expect(steps.filter(({ href }) => href === null).map(({ id }) => id)).toEqual(['backup']);
  });
  it.each([
    ['people', { people: { reviewer: 0, technician: 4 } }, false, /no reviewer yet: nobody can sign/],
    ['people', { people: { reviewer: 1, technician: 0 } }, false, /0 technicians, 1 reviewer/],
    ['people', { people: { reviewer: 2, technician: 1 } }, true, /1 technician, 2 reviewers/],
    ['gear', { gear: { all: 3, unverified: 1 } }, false, /3 instruments, 1 not to be used yet/],
    ['gear', { gear: { all: 1, unverified: 0 } }, true, /1 instrument, all verified/],
    ['limits', { limits: { all: 1375, looked: 1 } }, true, /1 of 1375/],
    ['job', { jobs: 1 }, false, /1 job, 0 mixes or products/],
    ['job', { jobs: 2, specifications: 1 }, true, /2 jobs, 1 mix or product/],
    ['test', { tests: 1 }, true, /1 test begun/],
    ['backup', { backup: '2031-05-14' }, true, /2031-05-14/],
  ] as const)('%s: %j', (id, over, done, words) => {
    expect(stands(over, id)).toMatchObject({ done, stands: expect.stringMatching(words) });
  });
});
