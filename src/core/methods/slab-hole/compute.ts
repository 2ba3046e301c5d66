import { plainOf } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { factOption, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { depthRow, noSlab, SLAB_KINDS } from '../slab/drying';
import { sealedRow } from '../slab/reading';
import type { SlabHoleInput } from './input';

const F2170 = standard('ASTM F2170');
const HOUR = 3_600_000;

/**
 * How deep a hole for a humidity probe is, of its slab, and how deep it should be.
 * @param input thickness and depth in in or mm
 * @param setup the fact `slab` says from how many sides it dries
 * @returns depth over thickness; a hole off its depth is told, and what it means for its readings
 * Source: ASTM F2170 (from memory): 40 % of the thickness, 20 % where it dries from both sides.
 */
export function compute(input: SlabHoleInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const [t, d] = ['thickness', 'depth'].map((name) => readMeasure(input, name)?.value);
  const kind = factOption(setup, 'slab', SLAB_KINDS);
  const unit = system === 'US' ? 'in' : 'mm';
  const share = kind && limits.number(depthRow(kind), system);
  const results: Result[] = [];
  const upright = noSlab(kind);
  const findings: Finding[] = upright
    ? [
        finding({
          id: 'slab.no-slab',
          severity: 'invalid',
          fields: ['scanned'],
          beforeLoad: true,
          message: `No hole in ${upright}: the test is of floor slabs.`,
          action: 'Tape a plastic sheet on it; ask the maker of the coating what else is wanted.',
        }),
      ]
    : [];
  const wanted =
    t && share
      ? sheet.line({
          symbol: 'd0',
          name: `Depth asked for, ${kind === 'ventilated' ? 'dries from both sides' : 'dries from one side'}`,
          formula: 'p * t / 100',
          uses: { p: share, t },
          unit,
          source: F2170,
        })
      : undefined;
  if (t && d?.lessThan(t)) {
    const step = limits.number('slab.ratio-step', system);
    const ratio = sheet.line({
      symbol: 'd/t',
      name: 'Depth over thickness',
      formula: '100 * d / t',
      uses: { d, t },
      unit: 'percent',
      source: F2170,
      round: { step, rule: `to ${step} %` },
    });
    results.push(
      resultOf({
        quantity: 'depth over thickness',
        symbol: 'd/t',
        value: ratio,
        unit: 'percent',
        step,
        mode: sheet.mode,
      }),
    );
  } else if (t && d)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.depth', severity: 'invalid', fields: ['depth', 'thickness'] },
        {
          message: 'It goes through the slab.',
          action: 'Read thickness and depth again; else patch it and drill a new one.',
        },
      ),
    );
  const off = wanted && d?.minus(wanted);
  const most = limits.of('slab.depth', system).high;
  const lies =
    off && most && off.abs().greaterThan(most)
      ? off.isNegative()
        ? 'shallow'
        : 'deep'
      : off
        ? 'right'
        : null;
  if (off && d && t && d.lessThan(t) && (lies === 'shallow' || lies === 'deep'))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'slab.depth', severity: 'departure', fields: ['depth', 'thickness'] },
        {
          message: `It is ${plainOf(off.abs().toSignificantDigits(3), unit)} too ${lies}: ${plainOf(wanted.toSignificantDigits(4), unit)} is asked for.`,
          action:
            lies === 'shallow'
              ? 'Deepen it before the liner goes in and clean it again. In a slab that dries a shallow hole reads low: what passes in it proves nothing.'
              : 'Drill a new one; it is not filled up. In a slab that dries a deep hole reads high: what fails in it proves nothing.',
          remark: `Hole too ${lies}: ${plainOf(d.toSignificantDigits(4), unit)} for ${plainOf(wanted.toSignificantDigits(4), unit)}.`,
        },
      ),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'slab-hole',
      values: {
        thickness: t ? t.toNumber() : null,
        depth: d ? d.toNumber() : null,
        wanted: wanted ? wanted.toNumber() : null,
        most: most ? most.toNumber() : null,
        unit,
        lies,
      },
    },
  };
}

/** A hole that is sealed is read from a day later on, by an older edition from three, and waits until it was read. */
export function waits(input: SlabHoleInput, setup: RunSetup): readonly Wait[] {
  const { sealedAt } = input;
  if (!sealedAt) return [];
  const hours = limitsOf(setup).number(sealedRow(setup), input.system).toNumber();
  const read = factText(setup, 'readAt');
  return [
    {
      id: 'read',
      what: 'Read the humidity of the hole',
      lane: 'slab',
      opens: new Date(Date.parse(sealedAt) + hours * HOUR).toISOString(),
      stays: true,
      ...(read ? { done: new Date(read).toISOString() } : {}),
    },
  ];
}
