import type { Limit } from '../../limits';
import { convert } from '../../quantity';
import { stretchesOf } from '../../signals';
import { difference, meanOver, type Series } from '../../temperature';
import type { Picture } from '../contract';
import { readMeasure } from '../fields';
import type { Sensor } from '../temperature/sensors';
import { degreeUnits } from '../temperature/units';
import type { Pair } from './compare';
import type { TemperatureRecordInput } from './input';

/** Points of a curve that a picture can show. */
const SHOWN = 320;

/** A series thinned to what can be drawn: lowest and highest of every stretch, as `hour/temperature`; a gap is a `-`. */
export function curveText(
  { hours, celsius, gaps }: Series,
  to: (celsius: number) => string,
  zero = 0,
): string {
  return stretchesOf(celsius, SHOWN)
    .flatMap(({ from, end, places }) => [
      ...places.map((place) => `${((hours[place] ?? 0) - zero).toFixed(3)}/${to(celsius[place] ?? 0)}`),
      ...(gaps.some((place) => place >= from && place < end) ? ['-'] : []),
    ])
    .join(' ');
}

/** The member for the model of its heat: m and kg/m³, `1.88/397`; nothing where it is not said how thick it is. */
function memberText(input: TemperatureRecordInput): string {
  const [thickness, cement] = ['thickness', 'cement'].map((name) => readMeasure(input, name));
  if (!thickness) return '';
  const m = convert(thickness.value, thickness.unit, 'mm').div(1000).toFixed(2);
  return `${m}/${cement ? convert(cement.value, cement.unit, 'kg/m3').toFixed(0) : ''}`;
}

/** What is drawn: each sensor over hours after placing, the second record put right, limits, the difference. */
export function pictureOf(known: {
  readonly input: TemperatureRecordInput;
  readonly sensors: readonly Sensor[];
  readonly pair: Pair | undefined;
  readonly from: number;
  readonly range?: Limit | undefined;
  readonly main?: Sensor;
}): Picture {
  const { input, sensors, pair, from, range } = known;
  const { temperature, degrees, unit } = degreeUnits(input.system);
  const shown = (celsius: number): string => temperature(celsius).toFixed(2);
  const ahead = pair?.found.ahead ?? 0;
  const [core, surface] = (['core', 'surface'] as const).map((place) =>
    sensors.find((each) => each.place === place),
  );
  const apart = core && surface && difference(core.series, surface.series);
  const drawn = sensors.flatMap((sensor, place) => [
    [`name${place}`, `${sensor.name}${sensor.of === 'second' ? ', second record' : ''}`] as const,
    [`place${place}`, sensor.place] as const,
    [`curve${place}`, curveText(sensor.series, shown, from + (sensor.of === 'second' ? ahead : 0))] as const,
  ]);
  return {
    kind: 'temperature',
    values: {
      unit: unit === 'degF' ? '°F' : '°C',
      purpose: input.purpose ?? null,
      member: memberText(input),
      means: sensors
        .filter(({ place }) => place !== 'air')
        .flatMap(({ series }) => meanOver(series)?.toFixed(0) ?? [])
        .join(' '),
      count: sensors.length,
      ...Object.fromEntries(drawn),
      low: range?.low?.toNumber() ?? null,
      high: range?.high?.toNumber() ?? null,
      apart: apart ? curveText({ ...apart, gaps: [] }, (celsius) => degrees(celsius).toFixed(2), from) : null,
      asStamped: pair && pair.found.ahead !== null ? curveText(pair.second.series, shown, from) : null,
      ahead: pair?.found.ahead ?? null,
      beside: pair ? sensors.indexOf(pair.first) : null,
      correlation: pair?.found.correlation ?? null,
      higher: pair ? degrees(pair.found.bias).toNumber() : null,
      scatter: pair ? degrees(pair.found.scatter).toNumber() : null,
      greatest: pair ? degrees(pair.found.greatest).toNumber() : null,
      unaligned: pair ? degrees(pair.found.asStamped).toNumber() : null,
      peaks: pair
        ? pair.found.peaks.map(({ at, celsius }) => `${(at - from).toFixed(2)}/${shown(celsius)}`).join(' ')
        : null,
      belief: pair ? pair.belief.join('|') : null,
      agree: pair?.agree ?? null,
    },
  };
}
