import type { Wait } from '../../waits/wait';
import { factText } from '../facts';
import type { RunSetup } from '../setup';
import type { SlabHumidityInput } from './input';

const DAY = 86_400_000;

/** A hole that is to be read again waits from that day on, until it was. */
export function waits({ readAt, nextVisit }: SlabHumidityInput, setup: RunSetup): readonly Wait[] {
  if (!readAt || !nextVisit || nextVisit === 'none') return [];
  const last = factText(setup, 'lastRead');
  const again = last && Date.parse(last) > Date.parse(readAt) ? last : undefined;
  return [
    {
      id: 'visit',
      what: 'Read the hole again',
      lane: 'slab',
      opens: new Date(Date.parse(readAt) + Number(nextVisit) * DAY).toISOString(),
      stays: true,
      ...(again ? { done: new Date(again).toISOString() } : {}),
    },
  ];
}
