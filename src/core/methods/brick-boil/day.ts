import type { Limits } from '../../limits';
import type { PlanItem } from '../contract';
import { timeOfDay } from '../time-of-day';

/** The quarter of an hour that taking out and weighing a batch takes before the heat is on. Our choice. */
const WEIGH_HOURS = 0.25;

/**
 * The latest that the hands-on moments of a boil may begin so that it ends while somebody is here.
 * @returns when heat has to be on, when the cold soak of the day before has to begin, when they are weighed
 * Source: arithmetic on the hours of heating, boiling and cooling.
 */
export function boilDay(limits: Limits): PlanItem[] {
  const of = (id: Parameters<Limits['number']>[0]): number => limits.number(id, 'US').toNumber();
  const [opens, closes] = [of('lab.opens'), of('lab.closes')];
  const [heat, boil, cool] = [
    limits.of('brick.heat', 'US').high?.toNumber() ?? 0,
    limits.of('brick.boil', 'US').low?.toNumber() ?? 0,
    limits.of('brick.cool-water', 'US').low?.toNumber() ?? 0,
  ];
  const latest = closes - boil - heat;
  if (latest < opens)
    return [
      {
        label: 'A boil in one day',
        text: 'does not fit',
        note: `heating and ${boil} h of boiling take longer than the laboratory is open: somebody has to stay`,
      },
    ];
  return [
    {
      label: 'Heat on at the latest',
      text: timeOfDay(latest),
      note: `then it is off at ${timeOfDay(closes)}`,
    },
    {
      label: 'Cold soak begun at the latest',
      text: timeOfDay(latest - WEIGH_HOURS),
      note: 'the day before, a quarter of an hour for the weighing counted',
    },
    {
      label: 'Weighed after the boil',
      text: timeOfDay(Math.max(opens, (closes + cool) % 24)),
      note: 'the morning after, at the earliest',
    },
  ];
}
