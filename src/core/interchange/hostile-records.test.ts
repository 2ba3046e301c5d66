import { describe, expect, it } from 'vitest';
import { LIMIT_IDS, limitChangeProblem } from '../limits';
import { findMethod, METHODS } from '../methods/registry';
import { computeRecord } from './run-record';

const record = (id: string, over: { input?: object; setup?: object; top?: object } = {}) => {
  const example = findMethod(id)?.example('US');
  return computeRecord(id, {
    input: { ...example?.input, ...over.input },
    setup: { ...example?.setup, ...over.setup },
    ...over.top,
  });
};
const errorsOf = (answer: ReturnType<typeof computeRecord>): string =>
  answer.ok
    ? ''
    : Object.entries(answer.errors)
        .map(([field, message]) => `${field}: ${message}`)
        .join('\n');

describe('a misspelt name is refused with the one that was probably meant', () => {
  it.each([
    ['at the top of a record', record('slump', { top: { setups: {} } }), /setups: .*Did you mean "setup"\?/],
    ['a reading', record('slump', { input: { slumpp: '4' } }), /slumpp: .*Did you mean "slump"\?/],
    [
      'an event',
      record('slump', { setup: { sample: { events: { final_portion: '2031-05-14T09:30:00Z' } } } }),
      /Did you mean "final-portion"\?/,
    ],
    [
      'a limit',
      record('slump', { setup: { limitChanges: { 'slump.lifft': { status: 'confirmed' } } } }),
      /Did you mean "slump.lift"\?/,
    ],
  ])('%s', (_, answer, message) => expect(errorsOf(answer)).toMatch(message));
});

describe('what a record says of its setup', () => {
  it.each([
    ['a time that is none', { sample: { events: { 'final-portion': 'yesterday' } } }, /give date and time/],
    ['a casting time without an offset', { specimen: { since: '2031-05-14T09:30:00' } }, /offset/],
    ['a bare date for an instant', { specimen: { since: '2031-05-14' } }, /give date and time/],
    ['a time zone nobody knows', { zone: 'Moon/Base' }, /Area\/City/],
    ['an age in quotes', { specimen: { ageHours: '672' } }, /must be an integer/],
    [
      'a range that begins above its end',
      { equipment: [{ number: 'P', kind: 'press', verifiedFrom: '300 kN', verifiedTo: '20 kN' }] },
      /begins above its end/,
    ],
    [
      'a load log of nonsense',
      { loadLog: { verdict: 'valid', troubles: ['no such'], dips: [{ load: 'x' }], spikes: 'none' } },
      /loadLog/,
    ],
    [
      'dips of a load log without numbers',
      { loadLog: { verdict: 'valid', troubles: [], dips: [{ load: 'x', depth: 2 }], spikes: [] } },
      /loadLog\.dips\.0\.load/,
    ],
    ['a name that is none', JSON.parse('{"specimen":{"constructor":1}}'), /not the name of a field/],
    [
      'a verification of another calendar',
      { equipment: [{ number: 'P', kind: 'press', verifiedOn: '2031-W20-1' }] },
      /a date, as/,
    ],
  ])('%s is refused in words', (_, setup, message) => {
    expect(errorsOf(record('cylinder-compression', { setup }))).toMatch(message);
  });

  it.each([
    ['air of 90 %', 'air-pressure', { air: '90 %' }, /between 0.5 and 15/],
    ['a slump below nothing', 'slump', { slump: '-4 in' }, /between/],
    ['a slump of no kind', 'slump', { slumpKind: 'about' }, /one of target, maximum/],
    ['a water-cementitious ratio of 42', 'delivery', { waterRatio: '42' }, /between 0.15 and 1.5/],
    ['a water-cementitious ratio below 0', 'delivery', { waterRatio: '-0.4' }, /between 0.15 and 1.5/],
    ['a flag in words', 'air-pressure', { airReduced: 'yes' }, /true or false/],
    ['one text for a list', 'air-volumetric', { alcohol: '1 pt' }, /a list of texts/],
    ['a number for a text', 'slump', { slump: 4 }, /a text/],
    ['a time that is none', 'evaporation', { previousReadingAt: 'noon' }, /give date and time/],
    ['a fact nobody asks for', 'slump', { slumpp: '4 in' }, /no such fact. Did you mean "slump"/],
    ['a list of facts', 'slump', ['4 in'], /facts/],
  ])('a fact that cannot be: %s', (_, method, facts, message) => {
    expect(errorsOf(record(method, { setup: { facts } }))).toMatch(message);
  });

  it.each([
    ['step 0', { status: 'set by the laboratory', US: { high: '0', unit: 'in' } }],
    ['a word', { status: 'set by the laboratory', US: { high: 'a quarter', unit: 'in' } }],
    ['nothing', { status: 'set by the laboratory', US: { high: '', unit: 'in' } }],
    ['a unit nobody knows', { status: 'set by the laboratory', US: { high: '0.25', unit: 'furlong' } }],
    ['the other system’s unit', { status: 'set by the laboratory', US: { high: '5', unit: 'mm' } }],
    ['a number that is no text', { status: 'set by the laboratory', US: { high: 0.25, unit: 'in' } }],
    ['an end it has not', { status: 'set by the laboratory', US: { low: '0.25', high: '0.5', unit: 'in' } }],
    ['no state', { US: { high: '0.25', unit: 'in' } }],
    ['a list', []],
    ['null', null],
  ])('a change of a limit to %s is refused, never computed with', (_, change) => {
    expect(errorsOf(record('slump', { setup: { limitChanges: { 'slump.step': change } } }))).toMatch(
      /slump\.step/,
    );
  });

  it('a change within the register’s own unit is computed with', () => {
    const answer = record('slump', {
      input: { slump: '3 7/8' },
      setup: {
        limitChanges: { 'slump.step': { status: 'set by the laboratory', US: { high: '0.5', unit: 'in' } } },
      },
    });
    expect(answer.ok && answer.record.results[0]?.reported).toBe('4.0');
  });

  it('no row of the register can be changed to something that computing cannot bear', () => {
    for (const id of LIMIT_IDS) {
      expect(limitChangeProblem(id, { status: 'confirmed' })).toBeNull();
      for (const bad of ['', 'NaN', '1e9', 'Infinity', '-', '1/2', '9'.repeat(40)])
        for (const system of ['US', 'SI', 'both'] as const)
          expect(
            limitChangeProblem(id, {
              status: 'set by the project',
              [system]: { low: bad, high: bad, unit: 'in' },
            }),
          ).not.toBeNull();
    }
  });
});

it('a record that came out goes in again, for every method', () => {
  for (const method of METHODS)
    for (const system of ['US', 'SI'] as const) {
      const first = computeRecord(method.id, method.example(system));
      expect(first.ok, `${method.id} ${errorsOf(first)}`).toBe(true);
      if (!first.ok) continue;
      const again = computeRecord(undefined, JSON.parse(JSON.stringify(first.record)));
      expect(again.ok && again.record.results, method.id).toEqual(first.record.results);
    }
});
