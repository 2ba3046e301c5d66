import { describe, expect, it } from 'vitest';
import type { BendView } from '@/core/press';
import { type BendTold, bendBanner } from './bend-words';

const TOLD: BendTold = {
  load: (value) => `${value} lbf`,
  length: (mm) => `${mm} mm`,
  speed: '0.95 to 1.05 mm/min',
  end: 'L/150',
};
const VIEW: BendView = {
  phase: 'rising',
  load: 1200,
  peak: 1200,
  displacement: 0.1,
  speed: 1,
  part: 0,
  off: 0,
  crack: null,
  stop: null,
  nearEnd: false,
};
const says = (over: Partial<BendView>, running = true, told: Partial<BendTold> = {}) =>
  bendBanner({ ...VIEW, ...over }, running, { ...TOLD, ...told });

describe('what to do now at a bend', () => {
  it('before the beam is touched', () => {
    expect(says({ phase: 'waiting' }, false).text).toContain('Guard shut');
    expect(says({ phase: 'waiting' }).tone).toBe('quiet');
  });
  it('the speed comes before everything but the end and the machine', () => {
    expect(says({ off: 1 })).toEqual({ text: 'Too fast: 0.95 to 1.05 mm/min', tone: 'stop' });
    expect(says({ off: -1, phase: 'cracked' }).text).toContain('Too slow');
    expect(says({ off: 1, nearEnd: true }).text).toContain('Stop: the load is near');
    expect(says({ off: 1, phase: 'through' }).tone).toBe('good');
  });
  it('standing still it is to be driven on, at which speed', () =>
    expect(says({ phase: 'cracked' }, false).text).toBe('It stands: drive on at 0.95 to 1.05 mm/min'));
  it('cracked, below its peak, far enough, through', () => {
    expect(says({ phase: 'cracked', crack: { load: 5160, at: 0.4 } }).text).toContain('Cracked at 5160 lbf');
    expect(says({ phase: 'past the peak' }).text).toBe('Below its peak: on to L/150');
    expect(says({ phase: 'past the peak' }, true, { end: null }).text).toBe('Below its peak: drive on');
    expect(says({ phase: 'far enough' }).text).toContain('L/150 is reached');
    expect(says({ phase: 'through' }).text).toContain('take the record');
  });
  it('a machine that stopped by itself says what that means for the record', () => {
    expect(says({ phase: 'cracked', stop: 'drop' }, false).tone).toBe('caution');
    expect(says({ phase: 'past the peak', stop: 'set' }, false).text).toContain('take the record');
  });
});
