import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import {
  ATTACHMENTS,
  answerOf,
  beamUnder,
  LoadQuestion,
  largestMoment,
  largestShear,
  loadsOf,
  middleDeflection,
  momentAt,
  questionProblems,
  reactionsOf,
  shearAt,
} from '.';

const sizes = { span: 0.55, plate: 0.2, at: 0.2 };
const stiffness = 30e6 * (0.1 * 0.1 ** 3) * (1 / 12);

// Closed forms of the simply supported beam: every handbook of statics, from memory.
describe('a beam on two supports', () => {
  it('carries a load in the middle: PL/4, P/2, PL³/48EI', () => {
    const beam = beamUnder('centre', 5.4, sizes);
    expect(largestMoment(beam).moment).toBeCloseTo(0.7425, 10);
    expect(largestMoment(beam).at).toBeCloseTo(0.275, 10);
    expect(largestShear(beam)).toBeCloseTo(2.7, 9);
    expect(middleDeflection(beam, stiffness)).toBeCloseTo((5.4 * 0.55 ** 3) / (48 * stiffness), 12);
  });
  it('carries loads at the third points: PL/6 all the way between, 23PL³/1296EI', () => {
    const beam = beamUnder('third', 9000, { ...sizes, span: 450 });
    expect(momentAt(beam, 150)).toBeCloseTo(675_000, 6);
    expect(momentAt(beam, 225)).toBeCloseTo(675_000, 6);
    expect(momentAt(beam, 300)).toBeCloseTo(675_000, 6);
    expect(shearAt(beam, 225)).toBeCloseTo(0, 9);
    expect(largestShear(beam)).toBeCloseTo(4500, 6);
    expect(middleDeflection(beam, 1e12)).toBeCloseTo((23 * 9000 * 450 ** 3) / (1296 * 1e12), 12);
    // σ = 6M/bd² of a section 150 × 150 mm.
    expect((6 * momentAt(beam, 225)) / 150 ** 3).toBeCloseTo(1.2, 10);
  });
  it('carries a load out of the middle: Pab/L, Pb/L and Pa/L', () => {
    const beam = beamUnder('elsewhere', 8, { span: 3, plate: 1, at: 1.2 });
    expect(largestMoment(beam)).toMatchObject({ at: 1.2 });
    expect(largestMoment(beam).moment).toBeCloseTo(5.76, 10);
    expect(reactionsOf(beam).left).toBeCloseTo(4.8, 10);
    expect(reactionsOf(beam).right).toBeCloseTo(3.2, 10);
    expect(middleDeflection(beam, 1)).toBeCloseTo((8 * 1.2 * (3 * 9 - 4 * 1.44)) / 48, 8);
  });
  it.each([
    ['spread', 0.6875, 0.0867],
    ['bedded', 1.125, null],
    ['centre', 1.375, 0.1386],
    ['plate', 0.875, null],
    ['third', null, 0.1181],
  ] as const)('%s: moment of 10 kN over 0.55 m, deflection in mm', (what, moment, deflection) => {
    const beam = beamUnder(what, 10, sizes);
    if (moment !== null) expect(largestMoment(beam).moment).toBeCloseTo(moment, 10);
    if (deflection !== null) expect(middleDeflection(beam, stiffness) * 1000).toBeCloseTo(deflection, 4);
  });
  it('carries a load spread over a part of the middle: W(8L³ − 4Lc² + c³)/384EI', () => {
    const { span, plate } = sizes;
    const closed = (10 * (8 * span ** 3 - 4 * span * plate ** 2 + plate ** 3)) / (384 * stiffness);
    expect(middleDeflection(beamUnder('bedded', 10, sizes), stiffness)).toBeCloseTo(closed, 12);
  });
});

describe('any load on a beam', () => {
  const any = fc.record({
    what: fc.constantFrom(...ATTACHMENTS),
    force: fc.double({ min: 0.1, max: 1000, noNaN: true }),
    span: fc.double({ min: 0.2, max: 10, noNaN: true }),
    share: fc.double({ min: 0.01, max: 0.99, noNaN: true }),
  });
  it('is carried by the supports, and bends neither of its ends', () => {
    fc.assert(
      fc.property(any, ({ what, force, span, share }) => {
        const beam = beamUnder(what, force, { span, plate: share * span, at: share * span });
        const { left, right } = reactionsOf(beam);
        expect(left + right).toBeCloseTo(force, 6);
        expect(momentAt(beam, 0)).toBeCloseTo(0, 6);
        expect(momentAt(beam, span) / (force * span)).toBeCloseTo(0, 6);
        expect(
          loadsOf(what, force, { span, plate: share * span, at: share * span }).reduce(
            (sum, load) => sum + load.force,
            0,
          ),
        ).toBeCloseTo(force, 6);
      }),
    );
  });
  it('bends most where the same load stands in one place in the middle, and a plate less than a bed', () => {
    fc.assert(
      fc.property(any, ({ what, force, span, share }) => {
        const own = { span, plate: share * span, at: share * span };
        const most = largestMoment(beamUnder(what, force, own)).moment;
        const centre = largestMoment(beamUnder('centre', force, own)).moment;
        expect(most).toBeLessThanOrEqual(centre * (1 + 1e-9));
        const bed = largestMoment(beamUnder('bedded', force, own)).moment;
        expect(largestMoment(beamUnder('plate', force, own)).moment).toBeLessThan(bed);
      }),
    );
  });
  it('changes its moment by the shear', () => {
    fc.assert(
      fc.property(
        any,
        fc.double({ min: 0.01, max: 0.98, noNaN: true }),
        ({ what, force, span, share }, place) => {
          const beam = beamUnder(what, force, { span, plate: share * span, at: share * span });
          const [from, to] = [place * span, (place + 0.01) * span];
          let sum = 0;
          const parts = 400;
          for (let index = 0; index < parts; index += 1)
            sum += (shearAt(beam, from + ((index + 0.5) * (to - from)) / parts) * (to - from)) / parts;
          expect((momentAt(beam, to) - momentAt(beam, from) - sum) / (force * span)).toBeCloseTo(0, 4);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a question about a load', () => {
  const limits = new Limits();
  const asked = (system: 'US' | 'SI', given: Partial<LoadQuestion>): LoadQuestion =>
    Object.assign(new LoadQuestion(), { system, ...given });
  const third = { attachment: 'third', force: '9', span: '450', width: '150', depth: '150' } as const;

  it('says what the reading does to the beam: M 675 N·m, V 4.5 kN, 1.20 MPa', () => {
    const answer = answerOf(asked('SI', third), limits);
    expect(answer?.own.moment).toBeCloseTo(675, 8);
    expect(answer?.own.shear).toBeCloseTo(4.5, 6);
    expect(answer?.own.stress).toBeCloseTo(1.2, 10);
    expect(answer?.own.deflection).toBeUndefined();
    expect(answer?.stroke).toBeUndefined();
  });
  it('says what a point load means about a spread one: half of its reading bends as much', () => {
    const answer = answerOf(asked('SI', { ...third, attachment: 'centre', plate: '200', at: '180' }), limits);
    const same = (kind: string) => answer?.all.find(({ attachment }) => attachment === kind)?.same;
    expect(same('centre')).toBeCloseTo(9, 10);
    expect(same('spread')).toBeCloseTo(18, 8);
    expect(same('third')).toBeCloseTo(13.5, 8);
    // A bare plate is two loads at its edges: L / (L − c).
    expect(same('plate')).toBeCloseTo((9 * 450) / 250, 8);
    expect(answer?.all).toHaveLength(ATTACHMENTS.length);
  });
  it('has the deflection in mm and in inches', () => {
    const metric = answerOf(
      asked('SI', {
        attachment: 'centre',
        force: '10',
        span: '550',
        width: '100',
        depth: '100',
        modulus: '30000',
      }),
      limits,
    );
    expect(metric?.own.deflection).toBeCloseTo(0.1386, 4);
    const inch = answerOf(
      asked('US', {
        attachment: 'centre',
        force: '2248.09',
        span: '21.6535',
        width: '3.93701',
        depth: '3.93701',
        modulus: '4351.13',
      }),
      limits,
    );
    expect((inch?.own.deflection ?? 0) * 25.4).toBeCloseTo(0.1386, 3);
  });
  it('keeps the ram from the end of its stroke', () => {
    // 18 mm to contact, 17 mm of the test: 44 mm with a quarter more, 68 % of 64 mm.
    const at = (approach: string, stroke = '64') =>
      answerOf(asked('SI', { ...third, approach, travel: '17', stroke }), limits)?.stroke;
    expect(at('18')).toMatchObject({ verdict: 'spacer' });
    expect(at('18')?.need).toBeCloseTo(43.75, 10);
    expect(at('8')?.verdict).toBe('room');
    expect(at('30')?.verdict).toBe('no');
  });
  it('asks for what it hangs on, and refuses what cannot be', () => {
    expect(answerOf(asked('SI', { ...third, attachment: 'plate' }), limits)).toBeUndefined();
    expect(questionProblems(asked('SI', { ...third, attachment: 'plate' }))).toHaveProperty('plate');
    expect(questionProblems(asked('SI', { ...third, attachment: 'plate', plate: '450' }))).toHaveProperty(
      'plate',
    );
    expect(questionProblems(asked('SI', { ...third, attachment: 'elsewhere' }))).toHaveProperty('at');
    expect(questionProblems(asked('SI', { ...third, attachment: 'elsewhere', at: '451' }))).toHaveProperty(
      'at',
    );
    expect(questionProblems(asked('SI', third))).toEqual({});
    expect(answerOf(asked('SI', { ...third, force: 'much' }), limits)).toBeUndefined();
  });
});
