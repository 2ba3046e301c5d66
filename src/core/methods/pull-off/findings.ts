import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, withUnit } from '../../quantity';
import { type Finding, finding, type Sheet, standard } from '../../working';
import { readMeasure } from '../fields';
import type { Lean } from '../leans';
import { limitFinding } from '../limit-finding';
import { pulledOf } from '../pull/pull-rate';
import type { PullRule } from '../pull/standards';
import { readTrace } from '../trace';
import type { PullOffInput } from './input';

interface Found {
  readonly findings: Finding[];
  readonly leans: Lean[];
}

/**
 * How fast it was pulled, by its record where there is one, else by the seconds that it took.
 * @returns too fast leans it to `at most`, too slow to `at least`; `words` for the bench
 */
export function rateFindings(
  input: PullOffInput,
  rule: PullRule,
  stress: Exact | undefined,
  limits: Limits,
  sheet: Sheet,
): Found & { readonly words: string } {
  const { system, trace } = input;
  const findings: Finding[] = [];
  const leans: Lean[] = [];
  const unit = system === 'US' ? ('psi/s' as const) : ('MPa/s' as const);
  const typed = readMeasure(input, 'seconds')?.value;
  const kept = trace ? readTrace(trace) : undefined;
  const record = kept && { seconds: kept.seconds, stress: kept.values };
  if (trace && !record)
    findings.push(
      finding({
        id: 'pull.record',
        severity: 'departure',
        fields: ['trace'],
        message: 'The record is no list of seconds and stress.',
        action: 'Two numbers a line, the seconds rising: 0.5 12.',
        remark: 'Record of the pull could not be read.',
      }),
    );
  const start = limits.number('pull.start', system).div(100).toNumber();
  const pulled = record && pulledOf(record, start);
  const seconds = pulled ? exact(pulled.seconds.toFixed(3)) : typed;
  if (!stress || !seconds?.greaterThan(0)) {
    if (stress && input.pulledAt && !seconds)
      findings.push(
        finding({
          id: 'pull.no-rate',
          severity: 'departure',
          fields: ['seconds'],
          message: 'Nobody knows how fast it was pulled.',
          action: 'Count the seconds from start to break, or keep the record of the tester.',
          remark: 'Rate of the pull not known.',
        }),
      );
    return { findings, leans, words: '' };
  }
  const rate = pulled
    ? sheet.line({
        symbol: 'r',
        name: 'Rate, from a tenth of the greatest stress to it',
        formula: '(s2 - s1) / t',
        uses: {
          s2: exact(pulled.peak.toFixed(6)),
          s1: exact((pulled.peak - pulled.rate * pulled.seconds).toFixed(6)),
          t: seconds,
        },
        unit,
        source: standard(rule.designation),
        show: 4,
      })
    : sheet.line({
        symbol: 'r',
        name: 'Rate, from start to break',
        formula: 's / t',
        uses: { s: stress, t: seconds },
        unit,
        source: standard(rule.designation),
        show: 4,
      });
  const row = limits.of(rule.rate, system);
  const steepest = pulled ? exact(pulled.steepest.toFixed(6)) : rate;
  const fast = row.high && (rate.greaterThan(row.high) || steepest.greaterThan(row.high));
  const slow = row.low && rate.lessThan(row.low);
  if (fast || slow)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: rule.rate, severity: 'departure', fields: [pulled ? 'trace' : 'seconds'] },
        {
          message: `Pulled with ${withUnit((fast ? steepest : rate).toPrecision(3), unit)}.`,
          action: fast
            ? 'Too fast it reads high: a pass proves nothing, a fail stands.'
            : 'Too slow it reads low: a pass stands, a fail proves nothing.',
          remark: `Pulled with ${withUnit((fast ? steepest : rate).toPrecision(3), unit)}.`,
        },
      ),
    );
  if (fast) leans.push({ bound: 'at most', why: 'it was pulled too fast' });
  else if (slow) leans.push({ bound: 'at least', why: 'it was pulled too slowly' });
  const time = rule.time && limits.of(rule.time, system);
  if (rule.time && time && !isWithin(seconds, time)) {
    const long = time.high?.lessThan(seconds);
    findings.push(
      limitFinding(
        limits,
        system,
        { id: rule.time, severity: 'departure', fields: [pulled ? 'trace' : 'seconds'] },
        {
          message: `It took ${seconds.toFixed(0)} s.`,
          action: long
            ? 'So long it creeps and reads low: a pass stands, a fail proves nothing.'
            : 'So quick it reads high: a pass proves nothing, a fail stands.',
          remark: `The pull took ${seconds.toFixed(0)} s.`,
        },
      ),
    );
    leans.push(
      long
        ? { bound: 'at least', why: 'it was pulled too slowly' }
        : { bound: 'at most', why: 'it was pulled too fast' },
    );
  }
  if (pulled && !isWithin(exact(pulled.held.toFixed(3)), limits.of('pull.hold', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'pull.hold', severity: 'advice', fields: ['trace'] },
        {
          message: `It stood still for ${pulled.held.toFixed(1)} s on the way.`,
          action: 'Full strokes that follow one another, the break in the middle of one.',
        },
      ),
    );
  return {
    findings,
    leans,
    words: `${withUnit(rate.toPrecision(3), unit)} in ${seconds.toFixed(0)} s`,
  };
}

/** Cut or not, how deep, and what that does to the number. */
export function cutFindings(input: PullOffInput, rule: PullRule, limits: Limits): Found {
  const { system, cut } = input;
  const findings: Finding[] = [];
  const leans: Lean[] = [];
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const film = readMeasure(input, 'film');
  if (rule.cored) {
    if (cut === 'no')
      findings.push(
        finding({
          id: 'pull.not-cored',
          severity: 'invalid',
          fields: ['cut'],
          message: 'Without a core it is no test of a bond.',
          action: 'Core through the overlay into what it lies on.',
        }),
      );
    const [d1, d2] = [read('core1'), read('core2')];
    if (d1 && d2 && !isWithin(d1.minus(d2).abs(), limits.of('pull.core-apart', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'pull.core-apart', severity: 'departure', fields: ['core1', 'core2'] },
          {
            message: `Its two diameters are ${d1.minus(d2).abs()} ${system === 'US' ? 'in' : 'mm'} apart.`,
            action: 'A new core, the stand level and held down.',
            remark: 'Core not round.',
          },
        ),
      );
  } else if (rule.always) {
    if (cut === 'no')
      findings.push(
        finding({
          id: 'pull.not-scored',
          severity: 'invalid',
          fields: ['cut'],
          message: 'Uncut, the sheet beside the dolly carries with it.',
          action: 'Cut round the dolly, through the sheet and into the concrete, before it is glued.',
        }),
      );
  } else if (rule.cutFrom && film && cut === 'no') {
    const from = limits.number(rule.cutFrom, system);
    const thick = system === 'US' ? film.value.div(1000) : film.value.div(1000);
    if (thick.greaterThan(from))
      findings.push(
        limitFinding(
          limits,
          system,
          {
            id: rule.cutFrom,
            severity: rule.concrete ? 'invalid' : 'departure',
            fields: ['cut', 'film'],
          },
          {
            message: 'So thick a film carries beside the dolly: it reads high.',
            action: 'Cut it through round the dolly, down to what it lies on.',
            ...(rule.concrete ? {} : { remark: 'Film not cut round the dolly.' }),
          },
        ),
      );
  } else if (!rule.cutFrom && cut === 'through')
    findings.push(
      finding({
        id: 'pull.cut-variant',
        severity: 'departure',
        fields: ['cut'],
        message: 'This standard pulls without a cut.',
        action: 'Say why it was cut: a thick, reinforced or elastic film.',
        remark: 'Cut round the dolly.',
      }),
    );
  const depth = read('depth');
  const row = rule.cut && limits.of(rule.cut, system);
  if (depth && row && rule.cut && !isWithin(depth, row)) {
    const shallow = row.low?.greaterThan(depth);
    findings.push(
      limitFinding(
        limits,
        system,
        { id: rule.cut, severity: 'departure', fields: ['depth'] },
        {
          message: `Cut ${depth} ${system === 'US' ? 'in' : 'mm'} into it.`,
          action: shallow
            ? 'Deepen it before the dolly is glued. Uncut it carries beside the core and reads high: a pass proves nothing.'
            : 'So deep a cut cracks the concrete and reads low: a pass stands.',
          remark: `Cut ${depth} ${system === 'US' ? 'in' : 'mm'} into the concrete.`,
        },
      ),
    );
    leans.push(
      shallow
        ? { bound: 'at most', why: 'it was cored too shallow' }
        : { bound: 'at least', why: 'it was cut too deep' },
    );
  }
  return { findings, leans };
}
