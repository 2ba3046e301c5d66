import { classOf } from '../../pipe/product';
import { loadOfStroke, strokesInTen, wayOfStroke } from '../../pipe/pump';
import { spacingOf } from '../../pipe/strips';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import type { PlanItem } from '../contract';
import { setupMeasure } from '../measure-text';
import { saidIn } from '../pipe/said';
import { limitsOf, type RunSetup } from '../setup';
import { loadsOf, pumpOf, ramsOf, stiffnessOf, UNITS_OF } from './loads';

const roundUp = (value: Exact, step: Exact): Exact => value.div(step).ceil().times(step);
const roundDown = (value: Exact, step: Exact): Exact => value.div(step).floor().times(step);

/**
 * The loads and rates of a pipe before it is set, in loads and in what each gauge shows: where it is stopped rounded up to a
 * division, so that it really gets its load; rates rounded down.
 */
export function plan(system: System, setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  const loads = loadsOf(setup, limits, system);
  const { bore, long, force, rate: rateUnit } = UNITS_OF[system];
  if (!loads)
    return [
      {
        label: 'Loads',
        text: 'not known yet',
        note: 'Class, inside diameter and joint of the product say them: put them into its specification.',
      },
    ];
  const { rates } = loads;
  const metre = classOf(saidIn(setup))?.metre;
  const { least, most } = spacingOf(loads.bore.div(system === 'US' ? 12 : 1000), limits, system);
  const plain = (value: Exact): string => plainOf(value.toSignificantDigits(5), force);
  const items: PlanItem[] = [
    { label: 'Test length', text: plainOf(loads.length.toDecimalPlaces(3), long), note: loads.words },
    {
      label: 'Strips apart',
      text: least.equals(most)
        ? plainOf(least, bore)
        : `${least} to ${plainOf(most.toDecimalPlaces(3), bore)}`,
      note: `By the designated inside ${bore === 'in' ? 'diameter' : 'diameter or span'}, ${plainOf(loads.bore, bore)}.`,
    },
    ...(loads.design ? [{ label: 'Design load', text: plain(loads.design) }] : []),
    ...(metre
      ? [
          {
            label: 'Crack that is looked for',
            text: `${metre.wide} mm wide`,
            note: `By ${loads.strength.standard}: with a leaf of that thickness.`,
          },
        ]
      : []),
    { label: 'First rate ends at', text: plain(rates.turn) },
    ...(loads.ultimate ? [{ label: 'Ultimate load', text: plain(loads.ultimate) }] : []),
    {
      label: 'First rate at most',
      text: plainOf(rates.first.toSignificantDigits(5), rateUnit),
      note: `Not under ${rates.firstSeconds.toFixed(0)} s. For this pipe, not for a ${system === 'US' ? 'foot' : 'metre'} of it.`,
    },
    {
      label: 'Second rate at most',
      text: plainOf(rates.second.toSignificantDigits(5), rateUnit),
      note: `Not under ${rates.secondSeconds.toFixed(0)} s.`,
    },
  ];
  for (const { number, kind, machine } of setup.equipment ?? []) {
    const rams = kind === 'pipe press' ? ramsOf({ ...(machine ? { machine } : {}) }, system) : undefined;
    if (!rams) continue;
    const unit = system === 'US' ? ('psi' as const) : ('MPa' as const);
    const weighs = setupMeasure(machine?.beamWeight, 'force', force) ?? exact(0);
    const step = setupMeasure(machine?.gaugeDivision, 'stress', unit) ?? exact(system === 'US' ? 1 : '0.01');
    const at = (load: Exact | undefined): string =>
      load ? plainOf(roundUp(load.minus(weighs).div(rams.factor), step), unit) : '';
    const rated = (each: Exact): string =>
      plainOf(roundDown(each.div(rams.factor), step), system === 'US' ? 'psi/min' : 'MPa/min');
    items.push({
      label: `Gauge of ${number}`,
      text: [
        `${at(rates.turn)}, then ${at(loads.design ?? loads.ultimate)}`,
        ...(loads.design && loads.ultimate ? [`ultimate ${at(loads.ultimate)}`] : []),
      ].join('; '),
      note: `No faster than ${rated(rates.first)}, then ${rated(rates.second)}. ${rams.count} ${rams.count.equals(1) ? 'ram' : 'rams'}${weighs.isZero() ? '' : `, with its beam of ${plainOf(weighs, force)}`}.`,
    });
    const facts = { ...(machine ? { machine } : {}) };
    const [pump, stiffness] = [pumpOf(facts, system), stiffnessOf(facts, system)];
    if (!pump) continue;
    const way = `A stroke moves the rams ${plainOf(wayOfStroke(pump, system).toSignificantDigits(2), bore)}.`;
    const each = stiffness && loadOfStroke(pump, stiffness, system);
    const [first, second] = [rates.first, rates.second].map((rate) =>
      each ? strokesInTen(rate, each)?.toFixed(1) : undefined,
    );
    items.push({
      label: `Pump of ${number}`,
      text: first && second ? `${first} strokes in 10 s at most, then ${second}` : 'strokes not known yet',
      note: first
        ? `${way} Taking up the slack takes more of them.`
        : `${way} Count strokes from mark to mark: they say how many keep the rate.`,
    });
  }
  return items;
}
