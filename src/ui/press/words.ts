import type { PressAlarm, PressView } from '@/core/press';

export interface Banner {
  readonly text: string;
  readonly tone: 'quiet' | 'good' | 'caution' | 'stop';
}

/**
 * What to do now, in words that are read from two metres.
 * @param asksAxis with pads, until it is said that the axis stands upright
 */
export function bannerOf(view: PressView, asksAxis: boolean): Banner {
  const { phase, offBand } = view;
  if (view.alarms.includes('load near capacity'))
    return { text: 'Stop: the load is near what the press may carry', tone: 'stop' };
  if (view.alarms.includes('door open'))
    return { text: 'Pump off: the door is open under load', tone: 'stop' };
  if (view.alarms.includes('end of stroke'))
    return { text: 'Pump off: the ram is near the end of its stroke', tone: 'stop' };
  switch (phase) {
    case 'idle':
      return { text: 'Waiting for contact: approach off before it touches', tone: 'quiet' };
    case 'contact':
      return { text: 'Contact: approach off, knob small', tone: 'caution' };
    case 'first half':
      if (offBand !== null) return rateBanner(offBand);
      return asksAxis && view.load < 0.1 * view.expected
        ? { text: 'Pause below a tenth: is the axis upright?', tone: 'caution' }
        : { text: 'First half: faster is allowed, no jumps', tone: 'quiet' };
    case 'second half':
      return rateBanner(offBand ?? 0);
    case 'near ultimate':
      return { text: 'Do not touch the valve', tone: 'caution' };
    case 'declining':
      return view.alarms.includes('corner break possible')
        ? { text: 'Corner break possible: keep loading', tone: 'caution' }
        : { text: 'Falling: keep going, do not stop', tone: 'caution' };
    case 'broken':
      return { text: 'Broken: pump off, let the load go', tone: 'good' };
  }
}

function rateBanner(off: -1 | 0 | 1): Banner {
  if (off === 0) return { text: 'In the band: hold', tone: 'good' };
  return off > 0
    ? { text: 'Too fast: close the knob a little', tone: 'stop' }
    : { text: 'Too slow: open the knob a little', tone: 'caution' };
}

const ALARMS: Readonly<Record<PressAlarm, string>> = {
  'load near capacity': 'Load near the top of what the machine is verified or built for',
  'end of stroke':
    'The ram is near the end of its stroke: let the load go, fit spacers, begin again with this specimen if it is whole',
  'door open': 'The door is open with load on the specimen: stop the pump, hands away, shut it',
  shock: 'Shock: the load jumped; the approach was open at contact',
  'corner break possible': 'A corner may have broken: loading goes on until the load falls for good',
  'expected load passed': 'Stronger than expected: the half and the time left are counted anew',
  'another area set':
    'The indicator’s own stress goes with another area: take the load, never its stress; set the area after the test',
};

export function alarmWords(alarm: PressAlarm): string {
  return ALARMS[alarm];
}
