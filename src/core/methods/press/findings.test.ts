import { describe, expect, it } from 'vitest';
import { type Method, type RunSetup, usableInput } from '..';
import type { MachineFacts } from '../machine-facts';
import { findMethod } from '../registry';
import type { EquipmentFacts } from '../setup';

// Through the whole method: what holds for every test in a press is put round it in one place.
const cylinder = findMethod('cylinder-compression') as Method;

const MACHINE: MachineFacts = {
  indicator: 'digital',
  increment: '10 lbf',
  capacity: '250,000 lbf',
  upperFace: '6.5 in',
  lowerFace: '6.5 in',
  clearHeight: '18.6 in',
  lowerBlock: '2 in',
  stroke: '2.5 in',
  spacers: ['1 in', '2 in', '4 in', '5 in'],
  spacersUnder: 'lower block',
  seatOiledOn: '2031-03-01',
};
const SIZED = { maximumLoad: '', diameter1: '4.00', diameter2: '4.00' };

interface Case {
  readonly facts?: Partial<MachineFacts>;
  readonly machine?: Partial<EquipmentFacts>;
  readonly specimen?: RunSetup['specimen'];
  readonly told?: RunSetup['facts'];
}

function found(input: Record<string, unknown>, { facts, machine, specimen, told }: Case = {}) {
  const setup: RunSetup = {
    zone: 'America/New_York',
    asOf: '2031-06-11T12:00:00-04:00',
    specimen: { form: '4x8', ...specimen },
    facts: { specifiedStrength: '4,000 psi', ...told },
    equipment: [
      {
        number: 'PRESS-1',
        kind: 'compression machine',
        verifiedOn: '2031-01-20',
        verifiedFrom: '5,000 lbf',
        verifiedTo: '240,000 lbf',
        machine: { ...MACHINE, ...facts },
        ...machine,
      },
    ],
  };
  const { input: usable } = usableInput(cylinder, { system: 'US', machine: 'PRESS-1', ...SIZED, ...input });
  return cylinder.compute(usable, setup).findings;
}
const of = (id: string, ...rest: Parameters<typeof found>) => found(...rest).find((each) => each.id === id);

describe('the machine before the load', () => {
  it('has nothing to say of one that fits', () => {
    expect(found({}).filter(({ id }) => /^(machine|press)\./u.test(id))).toEqual([]);
  });

  // 4,000 psi × 1.15 on 12.57 in² is about 57,800 lbf; room above it is a sixth of the verified range: our choice.
  it.each([
    ['240,000 lbf', undefined],
    ['69,400 lbf', undefined],
    ['69,000 lbf', 'advice'],
    ['57,900 lbf', 'advice'],
    ['57,000 lbf', 'departure'],
  ])('verified to %s: %s', (verifiedTo, severity) => {
    const finding = of('machine.headroom', {}, { machine: { verifiedTo } });
    expect(finding?.severity).toBe(severity);
    expect(finding?.needsReason ?? false).toBe(severity === 'departure');
    if (severity) expect(finding?.beforeLoad).toBe(true);
  });
  it.each([
    ['28,900 lbf', undefined],
    ['29,000 lbf', 'advice'],
    ['58,000 lbf', 'departure'],
  ])('verified from %s: %s', (verifiedFrom, severity) => {
    expect(of('machine.lowest-share', {}, { machine: { verifiedFrom } })?.severity).toBe(severity);
  });

  it('asks for a face 3 % larger than the specimen (ASTM C39, from memory): 4.12 in for 4.00', () => {
    expect(of('machine.face-upper', {}, { facts: { upperFace: '4.12 in' } })).toBeUndefined();
    expect(of('machine.face-upper', {}, { facts: { upperFace: '4.11 in' } })?.severity).toBe('departure');
    expect(of('machine.face-lower', {}, { facts: { lowerFace: '4.11 in' } })?.remark).toContain('lower');
  });
  // Largest upper face, ASTM C39 (from memory): 2 in 4, 3 in 5, 4 in 6.5, 6 in 10, 8 in 11.
  it.each([
    ['4.00', '6.5 in', false],
    ['4.00', '6.6 in', true],
    ['4.04', '6.6 in', true],
    ['3.00', '5 in', false],
    ['3.00', '5.25 in', true],
    ['4.20', '9 in', false],
    ['6.00', '10 in', false],
    ['6.00', '10.5 in', true],
    ['8.00', '11.5 in', true],
    ['9.00', '14 in', false],
  ])('a cylinder of %s in under a face of %s: too large is %s', (diameter, upperFace, large) => {
    const input = { diameter1: diameter, diameter2: diameter };
    expect(of('machine.face-large', input, { facts: { upperFace } }) !== undefined).toBe(large);
  });

  it('says when the seat wants its oil, at once the day after the last one', () => {
    expect(of('machine.seat', {}, { facts: { seatOiledOn: '2030-12-11' } })).toBeUndefined();
    expect(of('machine.seat', {}, { facts: { seatOiledOn: '2030-12-10' } })?.action).toContain('motor oil');
    expect(of('machine.seat', {}, { facts: { seatOiledOn: undefined } })).toBeUndefined();
  });

  // A load is read to 0.1 % of full scale (ASTM C39, from memory); half marks of a dial are common practice.
  it.each([
    [{ increment: '250 lbf' }, undefined],
    [{ increment: '260 lbf' }, 'The smallest change shown of PRESS-1 is 0.10 %'],
    [{ indicator: 'dial', major: '5000 lbf', minor: '500 lbf', fullScale: '250000 lbf' }, undefined],
    [
      { indicator: 'dial', major: '5000 lbf', minor: '1000 lbf', fullScale: '250000 lbf' },
      'Half a small mark of PRESS-1 is 0.20 %',
    ],
  ] as const)('reads finely enough: %j', (facts, message) => {
    const said = of('machine.dial-step', {}, { facts: { ...facts } })?.message;
    if (message === undefined) expect(said).toBeUndefined();
    else expect(said).toContain(message);
  });
});

describe('a load outside what the machine is verified for', () => {
  it.each([
    ['5000', undefined],
    ['4990', 'below'],
    ['240000', undefined],
    ['240010', 'above'],
    ['0', undefined],
  ])('%s lbf: %s', (maximumLoad, side) => {
    const finding = of('machine.range', { maximumLoad });
    expect(finding?.severity).toBe(side && 'invalid');
    if (side) expect(finding?.message).toContain(side);
    if (side) expect(finding?.limit?.text).toBe('5,000 lbf to 240,000 lbf');
  });
  it('is nothing where no range is on record', () => {
    expect(of('machine.range', { maximumLoad: '100' }, { machine: { verifiedFrom: undefined } })).toBe(
      undefined,
    );
  });
});

describe('spacers', () => {
  // Clear height 18.6 in, block 2 in, cylinder 8 in, pads 2 in: 6.6 in are left, 5 + 1 leave a gap of 0.6 in.
  it('are read in any words a technician writes', () => {
    for (const spacers of ['5 + 1', '5, 1', '5 in and 1 in', '127 mm + 1 in'])
      expect(of('press.spacers-unread', { spacers }), spacers).toBeUndefined();
    expect(of('press.spacers-unread', { spacers: 'the two big ones' })?.action).toContain('4 + 2');
  });
  it.each([
    ['none', 'departure', 'usable'],
    ['5 + 4 + 2', 'departure', 'does not go in'],
  ])('%s: %s', (spacers, severity, words) => {
    const finding = of('press.spacers', { spacers });
    expect(finding?.severity).toBe(severity);
    expect(finding?.message).toContain(words);
    expect(finding?.needsReason).toBe(true);
    expect(finding?.action).toContain('never run the ram up to meet the specimen');
  });
  it('that leave a long way up are only advised against', () => {
    const long = of('press.spacers', { spacers: '5' }, { facts: { stroke: '8 in' } });
    expect(long?.severity).toBe('advice');
    expect(long?.message).toContain('a long approach');
  });
  it('are not spoken of while nothing is said and some fit', () => {
    expect(of('press.spacers', {})).toBeUndefined();
    expect(of('press.spacers', {}, { facts: { spacers: [] } })?.message).toContain('No stack of its spacers');
  });
  it('are not asked for any more once the load is in', () => {
    const none = { facts: { spacers: [] } };
    expect(of('press.spacers', { maximumLoad: '58300' }, none)).toBeUndefined();
    expect(of('press.spacers', { maximumLoad: '58300', spacers: 'none' }, none)).toBeDefined();
  });
  it('that are not flush hold the test, with the damage of the place they are in', () => {
    expect(of('press.flush', { flush: 'no' })?.action).toContain('rocks');
    const head = of('press.flush', { flush: 'no' }, { facts: { spacersUnder: 'head' } });
    expect(head?.action).toContain('the whole load hangs on the centre rod');
    expect(head?.needsReason).toBe(true);
    expect(of('press.flush', { flush: 'yes' })).toBeUndefined();
  });
  it('under the head are reported, never held', () => {
    const under = { facts: { spacersUnder: 'head' } } as const;
    expect(of('press.spacers-head', { spacers: '5 + 1' }, under)?.needsReason).toBe(false);
    expect(of('press.spacers-head', { spacers: 'none' }, under)).toBeUndefined();
    expect(of('press.spacers-head', { spacers: '5 + 1' })).toBeUndefined();
  });
});

describe('where the specimen stands', () => {
  // One hundredth of the width off the middle is our choice.
  it.each([
    ['0.04', undefined],
    ['0.05', '1.2 %'],
    ['0.20', '5.0 %'],
  ])('%s in off the middle: %s', (offset, words) => {
    const finding = of('press.offset', { offset });
    if (words) expect(finding?.message).toContain(words);
    else expect(finding).toBeUndefined();
  });
  it.each([
    ['0.37', 'Take a spacer out'],
    ['0.38', undefined],
    ['1.00', undefined],
    ['1.02', 'Add a spacer'],
  ])('a gap of %s in: %s', (gap, words) => {
    const finding = of('press.gap', { gap });
    if (words) expect(finding?.action).toContain(words);
    else expect(finding).toBeUndefined();
  });
});

describe('care of the test', () => {
  const tested = { maximumLoad: '58300', ends: 'pads' };
  it('wants the look at the axis with pads, once it is loaded', () => {
    expect(of('press.aligned', { ends: 'pads' })).toBeUndefined();
    expect(of('press.aligned', tested)?.remark).toContain('below 10 %');
    expect(of('press.aligned', tested)?.needsReason).toBe(false);
    expect(of('press.aligned', { ...tested, aligned: true })).toBeUndefined();
    expect(of('press.aligned', { ...tested, ends: 'sulfur' })).toBeUndefined();
  });
  it('takes a reason for an indicator that did not come back to zero', () => {
    expect(of('press.zero-after', { ...tested, zeroAfter: 'off' })?.needsReason).toBe(true);
    expect(of('press.zero-after', { ...tested, zeroAfter: 'same' })).toBeUndefined();
  });
  it('names the side of a rate outside its band', () => {
    const rate = (loadingRate: string) =>
      of('cylinder.loading-rate', { ...tested, loadingRate, zeroAfter: 'same' })?.message;
    expect(rate('42')).toBeUndefined();
    expect(rate('28')).toBeUndefined();
    expect(rate('43')).toContain('faster');
    expect(rate('27')).toContain('slower');
  });
});
