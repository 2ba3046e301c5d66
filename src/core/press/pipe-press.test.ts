import { describe, expect, it } from 'vitest';
import { PipePress, widthAt } from './pipe-press';

const PIPE = { splits: 220, opens: 150, crackAt: 1000, stroke: 1, slack: 0 };
const pressed = (rate: number, seconds: number, seed = 3): PipePress => {
  const press = new PipePress(seed);
  press.place(PIPE);
  press.pump(rate);
  press.run(seconds);
  return press;
};

// The model by hand: what the pump is set to, less what the valve lets by; softer past the hairline and the crack.
describe('a stand-in press for pipe', () => {
  it('rises at what its pump is set to, and holds when it is stopped, but for its valve', () => {
    const press = pressed(60, 30);
    expect(press.trueForce).toBeGreaterThan(29);
    expect(press.trueForce).toBeLessThan(30);
    press.pump(0);
    press.run(3);
    const held = press.trueForce;
    press.run(60);
    // 0.02 % a second: about 1.2 % a minute.
    expect(press.trueForce / held).toBeCloseTo(0.988, 3);
  });
  it('shows a hairline below the load of the crack, and is a foot long and a leaf wide at it', () => {
    const press = pressed(60, 115);
    expect(press.trueForce).toBeLessThan(0.78 * PIPE.opens);
    expect(press.crack).toBeUndefined();
    press.run(8);
    expect(press.crack?.wide).toBeGreaterThan(0.1);
    while (press.trueForce < PIPE.opens) press.run(0.1);
    const { crack } = press;
    if (!crack) throw new Error('no crack');
    for (const off of [-152, 0, 152]) expect(widthAt(crack, 1000 + off)).toBeGreaterThan(0.2535);
    for (const off of [-175, 175]) expect(widthAt(crack, 1000 + off)).toBeLessThan(0.254);
    expect(widthAt(crack, 5000)).toBe(0);
  });
  it('takes no more at its end: it falls by more than a tenth and stays down, its pointer holds the peak', () => {
    const press = pressed(400, 60);
    const last = press.run(1).at(-1);
    expect(last?.peak).toBeCloseTo(220, 1);
    expect(last?.load).toBeLessThan(0.9 * 220);
    press.run(60);
    expect(press.trueForce).toBeCloseTo(0.62 * 220, 3);
    press.release();
    press.run(5);
    expect(press.trueForce).toBe(0);
    // What is broken bears no more than what is left of it.
    press.pump(900);
    press.run(60);
    expect(press.trueForce).toBeCloseTo(0.62 * 220, 3);
  });
  it('is unloaded by its valve; its crack stays; another pipe has none', () => {
    const press = pressed(400, 30);
    press.release();
    expect(press.trueForce).toBe(0);
    expect(press.crack).toBeDefined();
    press.place(PIPE);
    expect(press.crack).toBeUndefined();
    expect(press.run(0.1).at(-1)?.peak).toBeLessThan(0.2);
  });
  it('says the same for the same seed', () => {
    const line = (): unknown => new PipePress(9).run(2);
    expect(line()).toEqual(line());
  });
});
