import type { BendView } from '@/core/press';
import type { Banner } from './words';

/** How what is followed is told: loads and displacements as the run has them, and where it ends. */
export interface BendTold {
  load(value: number): string;
  length(mm: number): string;
  /** The speed of the part that it is in, in words. */
  speed: string;
  /** Where it may end, in words; null where it is broken through. */
  end: string | null;
}

/** What to do now at a bend, in words that are read from two metres. */
export function bendBanner(view: BendView, running: boolean, told: BendTold): Banner {
  const { phase, crack, stop, off } = view;
  if (view.nearEnd) return { text: 'Stop: the load is near what the machine may carry', tone: 'stop' };
  if (phase === 'through') return { text: 'Through: stop it, take the record', tone: 'good' };
  if (phase === 'far enough')
    return { text: `${told.end ?? 'Its end'} is reached: stop it, take the record`, tone: 'good' };
  if (stop === 'drop') return { text: 'Stopped on a drop: drive on, or it ends here', tone: 'caution' };
  if (stop === 'set') return { text: 'It stopped where it was set to: take the record', tone: 'good' };
  if (phase === 'waiting')
    return running
      ? { text: 'Coming down to the beam', tone: 'quiet' }
      : { text: 'Guard shut, down until just clear, then drive', tone: 'quiet' };
  if (!running) return { text: `It stands: drive on at ${told.speed}`, tone: 'caution' };
  if (off === 1) return { text: `Too fast: ${told.speed}`, tone: 'stop' };
  if (off === -1) return { text: `Too slow: ${told.speed}`, tone: 'caution' };
  switch (phase) {
    case 'seating':
      return { text: 'Seats and rollers find their place', tone: 'quiet' };
    case 'rising':
      return { text: 'Rising: look for the first crack', tone: 'good' };
    case 'cracked':
      return { text: `Cracked at ${told.load(crack?.load ?? 0)}: photograph it, drive on`, tone: 'caution' };
    case 'past the peak':
      return {
        text: told.end ? `Below its peak: on to ${told.end}` : 'Below its peak: drive on',
        tone: 'good',
      };
  }
}
