import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { humidityOver } from '../../slab/salts';
import { durationText } from '../../windows/duration-text';
import { type Finding, finding } from '../../working';
import { celsiusOf } from '../celsius';
import { equipmentUse } from '../equipment-checks';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { hasSerial } from '../serials';
import type { RunSetup } from '../setup';
import { sealedRow } from '../slab/reading';
import type { SlabHumidityInput } from './input';

const HOUR = 3_600_000;

/** What the instrument that was used proves of itself. */
export function instrumentFindings(input: SlabHumidityInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system, probe, pack, salt, saltAt, readAt } = input;
  if (!probe && !pack)
    return readAt
      ? [
          finding({
            id: 'slab.certificate',
            severity: 'invalid',
            fields: ['probe', 'pack'],
            message: 'Nothing says that this instrument reads right.',
            action:
              'Name the probe, or the pack that the sensor came in: without its certificate there is no valid reading.',
          }),
        ]
      : [];
  const found = [
    ...equipmentUse(input, { probe: 'invalid', pack: 'invalid' }, readAt, setup, limits),
    ...packFindings(input, setup),
  ];
  if (!probe) return found;
  const [shown, jar] = [readMeasure(input, 'saltShown')?.value, celsiusOf(input, 'saltTemperature')];
  if (!salt || !shown || !jar || !saltAt)
    return [
      ...found,
      ...(readAt
        ? [
            limitFinding(
              limits,
              system,
              { id: 'slab.salt-age', severity: 'departure', fields: ['salt', 'saltShown', 'saltAt'] },
              {
                message: 'No check over a salt is on record.',
                action: 'Check it over a salt near what is expected, the whole jar at one temperature.',
                remark: 'Probe not checked over a salt.',
              },
            ),
          ]
        : []),
    ];
  const off = shown.minus(humidityOver(salt, jar.toNumber()));
  if (!isWithin(off.abs(), limits.of('slab.salt', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.salt', severity: 'invalid', fields: ['saltShown'] },
        {
          message: `The probe shows ${off.toFixed(1)} % off its salt.`,
          action: 'Do not use it: have it calibrated. What it read since its last good check takes a remark.',
        },
      ),
    );
  const days = readAt ? (Date.parse(readAt) - Date.parse(saltAt)) / (24 * HOUR) : 0;
  if (days < 0 || !isWithin(exact(days.toFixed(4)), limits.of('slab.salt-age', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.salt-age', severity: 'departure', fields: ['saltAt'] },
        {
          message:
            days < 0
              ? 'It was checked after this reading.'
              : `It was checked ${days.toFixed(0)} days before.`,
          action: 'Check it over a salt now, and say what it showed.',
          remark: 'Check of the probe over a salt not within 30 days before.',
        },
      ),
    );
  return found;
}

/** Whether the certificate of a pack is that of the sensor in this hole. */
function packFindings({ pack }: SlabHumidityInput, setup: RunSetup): Finding[] {
  const facts = setup.equipment?.find(({ number }) => number === pack);
  if (!pack || !facts) return [];
  const serial = factText(setup, 'sensor');
  if (!serial)
    return [
      finding({
        id: 'slab.serial',
        severity: 'departure',
        fields: ['pack'],
        message: 'The serial number of the sensor in this hole is not on record.',
        action: 'Read it off the sensor, and enter it with the hole.',
        remark: 'Serial number of the sensor not on record.',
      }),
    ];
  return hasSerial(facts.serials ?? '', serial)
    ? []
    : [
        finding({
          id: 'slab.serial',
          severity: 'invalid',
          fields: ['pack'],
          message: `The certificate of ${pack} is not that of sensor ${serial}${facts.serials ? `: it is of ${facts.serials}` : ''}.`,
          action: 'Find the pack that it came in: without its certificate there is no valid reading.',
        }),
      ];
}

/** What the hole and the moment do to the reading. */
export function readingFindings(input: SlabHumidityInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system, readAt } = input;
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [first, humidity, air] = ['humidityFirst', 'humidity', 'airHumidity'].map(read);
  const [slab, probe] = ['slabTemperature', 'probeTemperature'].map(read);
  const found: Finding[] = [];
  const sealedAt = factText(setup, 'sealedAt');
  if (sealedAt && readAt) {
    const hours = (Date.parse(readAt) - Date.parse(sealedAt)) / HOUR;
    const row = sealedRow(setup);
    const least = limits.of(row, system);
    // Counted by instants: a night in which the clocks change is as long as it was.
    if (hours < Number(least.low))
      found.push(
        limitFinding(
          limits,
          system,
          { id: row, severity: 'invalid', fields: ['readAt'] },
          {
            message: `Sealed ${hoursText(hours)} before: ${hoursText(Number(least.low) - hours)} too early.`,
            action: 'Keep it as a preview; read it again when its time is over.',
          },
        ),
      );
  }
  if (first && humidity && !isWithin(humidity.minus(first).abs(), limits.of('slab.drift', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.drift', severity: 'invalid', fields: ['humidityFirst', 'humidity'] },
        {
          message: `It still moves: ${humidity.minus(first).toFixed(1)} % in five minutes.`,
          action: 'Wait, and read both again.',
        },
      ),
    );
  if (slab && probe && !isWithin(slab.minus(probe).abs(), limits.of('slab.apart', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.apart', severity: 'invalid', fields: ['probeTemperature', 'slabTemperature'] },
        {
          message: `Probe and concrete are ${plainOf(slab.minus(probe).abs(), system === 'US' ? 'deltaF' : 'deltaC')} apart: a warm probe reads low, a cold one high.`,
          action: 'Leave it in the hole until both are alike.',
        },
      ),
    );
  if (humidity?.greaterThanOrEqualTo(100))
    found.push(
      finding({
        id: 'slab.wet-sensor',
        severity: 'invalid',
        fields: ['humidity'],
        message: 'The sensor is wet, or water stands in the hole.',
        action: 'Dry it, check it over a salt, look into the hole.',
      }),
    );
  if (humidity && air && humidity.minus(air).abs().lessThan(limits.number('slab.room', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.room', severity: 'advice', fields: ['humidity', 'airHumidity'] },
        {
          message: 'The hole reads as the room does.',
          action: 'Look whether cap and liner are tight; read it again in an hour.',
        },
      ),
    );
  return found;
}

/** Hours as a person says them, before the sealing with their sign. */
function hoursText(hours: number): string {
  return `${hours < 0 ? '−' : ''}${durationText(Math.abs(hours) * 60)}`;
}
