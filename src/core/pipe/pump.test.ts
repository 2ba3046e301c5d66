import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { type HandPump, loadOfStroke, stiffnessBy, strokesInTen, wayOfStroke } from './pump';

const PUMP: HandPump = { stroke: exact('1.5'), count: exact(2), area: exact(30) };

describe('a hand pump', () => {
  // By hand: 1.5 in³ over 60 in² is 0.025 in; 250,000 lbf/in of it 6,250 lbf; 10,800 lbf/min in 10 s 1,800 lbf.
  it('moves its rams by its oil over their area, and the load by frame and pipe', () => {
    expect(wayOfStroke(PUMP, 'US').toNumber()).toBeCloseTo(0.025, 12);
    expect(loadOfStroke(PUMP, exact(250_000), 'US').toNumber()).toBeCloseTo(6250, 9);
    expect(strokesInTen(exact(10_800), exact(6250))?.toNumber()).toBeCloseTo(0.288, 9);
  });
  it('in SI goes by mL over mm²', () => {
    const pump = { stroke: exact(25), count: exact(1), area: exact(20_000) };
    expect(wayOfStroke(pump, 'SI').toNumber()).toBeCloseTo(1.25, 12);
    expect(loadOfStroke(pump, exact(45), 'SI').toNumber()).toBeCloseTo(56.25, 9);
  });
  it('what strokes said is what they were worked out from', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 1000, max: 1_000_000 }),
        (strokes, stiffness) => {
          const load = loadOfStroke(PUMP, exact(stiffness), 'US').times(strokes);
          expect(stiffnessBy({ load, strokes }, PUMP, 'US')?.toNumber()).toBeCloseTo(stiffness, 3);
        },
      ),
    );
  });
  it('nothing is said by no stroke', () => {
    expect(stiffnessBy({ load: exact(100), strokes: 0 }, PUMP, 'US')).toBeUndefined();
    expect(strokesInTen(exact(100), exact(0))).toBeUndefined();
  });
});
