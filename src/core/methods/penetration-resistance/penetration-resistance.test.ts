import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('penetration-resistance') as NonNullable<ReturnType<typeof findMethod>>;
const CONTACT = Date.UTC(2031, 4, 14, 13);
const iso = (minutes: number): string => new Date(CONTACT + minutes * 60_000).toISOString();
type Push = readonly [minutes: number, needle: string, force: string, leftOut?: string];
/** ASTM C403 (from memory): a mortar with 92, 280, 660, 1500, 2900 and 4600 psi. */
const WHOLE: readonly Push[] = [
  [200, '1', '92'],
  [230, '2', '140'],
  [260, '4', '165'],
  [290, '10', '150'],
  [320, '20', '145'],
  [350, '40', '115'],
];
function pushed(pushes: readonly Push[], specimens = ['1', '2', '3'], over: object = {}) {
  const { input } = usableInput(method, {
    ...{ system: 'US', contactAt: iso(0), temperature: '73', ...over },
    pushes: specimens.flatMap((specimen) =>
      pushes.map(([minutes, needle, force, leftOut]) => ({
        specimen,
        at: iso(minutes),
        needle,
        force,
        leftOut,
      })),
    ),
  });
  const done = method.compute(input, {});
  return {
    done,
    result: (quantity: string) => done.results.find((each) => each.quantity === quantity),
    ids: done.findings.map(({ id }) => id.replace(/\.[^.]+$/u, '')),
  };
}

describe('setting by penetration', () => {
  it('is told by a line through the logarithms, to five minutes', () => {
    const { result, done, ids } = pushed(WHOLE);
    expect(result('initial set by penetration')?.text).toBe('250');
    expect(result('final set by penetration')?.text).toBe('335');
    expect(Number(result('initial set by penetration')?.value)).toBeCloseTo(251.2, 1);
    expect(Number(result('final set by penetration')?.value)).toBeCloseTo(337.2, 1);
    expect(done.picture.values.lines).toMatch(/^1\/-14\.239\d*\/7\.057\d*\/0\.9984/u);
    expect(ids).toEqual([]);
  });
  it('is not drawn on beyond what was read', () => {
    const { result, ids } = pushed(WHOLE.slice(0, 5));
    expect(result('final set by penetration')).toBeUndefined();
    expect(result('initial set by penetration')?.text).toBe('250');
    expect(ids).toContain('penetration.readings');
  });
  it('of fewer than three specimens says so', () => {
    expect(pushed(WHOLE, ['1']).done.findings.map(({ id }) => id)).toContain('penetration.specimens');
  });
  it('leaves a stone out with its reason, and only so', () => {
    const stone: Push[] = WHOLE.map((each) => (each[0] === 260 ? [260, '4', '330'] : each));
    const hit = pushed(stone);
    expect(hit.ids).toContain('penetration.fit');
    const left = pushed(stone.map((each): Push => (each[0] === 260 ? [260, '4', '330', 'a stone'] : each)));
    expect(left.ids).toContain('penetration.left');
    expect(left.ids).not.toContain('penetration.fit');
    expect(Number(left.result('initial set by penetration')?.value)).toBeGreaterThan(245);
  });
  it.each<[string, Push[]]>([
    ['penetration.back', [...WHOLE.slice(0, 5), [350, '1', '115']]],
    ['penetration.least', [[190, '1', '4'], ...WHOLE]],
    ['penetration.first', [[20, '1', '12'], ...WHOLE]],
  ])('%s', (id, pushes) => {
    expect(pushed(pushes).ids).toContain(id);
  });
  it('waits for its first push, then for the next, and is done when it has set', () => {
    const of = (over: object, pushes: readonly Push[] = []) => {
      const { input } = usableInput(method, {
        ...{ system: 'US', contactAt: iso(0), ...over },
        pushes: pushes.map(([minutes, needle, force]) => ({
          specimen: '1',
          at: iso(minutes),
          needle,
          force,
        })),
      });
      return method.waits?.(input, {})?.map(({ opens, done }) => done ?? opens);
    };
    expect(of({})).toEqual([iso(180)]);
    expect(of({}, WHOLE.slice(0, 2))).toEqual([iso(260)]);
    expect(of({ finishedAt: iso(360) }, WHOLE)).toEqual([iso(360)]);
  });
});
