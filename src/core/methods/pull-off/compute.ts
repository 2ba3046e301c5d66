import { type Verdict, verdictWith } from '../../acceptance/criterion';
import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf, withUnit } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, sourceText, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText, factTexts } from '../facts';
import { readMeasure } from '../fields';
import { type Lean, worthOf } from '../leans';
import { limitFinding } from '../limit-finding';
import { setupMeasure } from '../measure-text';
import { resultOf } from '../outcome';
import { type Face, faceOf, faceText, glueShare, inTens, leadingPlane, PLANE_IDS } from '../pull/faces';
import { readPainting, sharesOf } from '../pull/painted';
import { GLUE, PLANE, STRENGTH } from '../pull/quantities';
import { modeOf, type PullRule, ruleOf } from '../pull/standards';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { cutFindings, rateFindings } from './findings';
import type { PullOffInput } from './input';
import { boreOf } from './stress';

/**
 * What a coating, an overlay or a surface bore under a dolly, and where it parted.
 * @param input what the tester showed, its dolly or core, the face plane by plane, rate or record
 * @param setup facts: standard, what is asked for, when the glue was hard
 * @returns pull-off strength: `at least`, `at most` or provisional where the number says no more; the share of the glue and
 *   the plane it parted in mostly
 * Source: ASTM D4541, D7234, C1583/C1583M, ISO 4624, EN 1542 (from memory).
 */
export function compute(input: PullOffInput, setup: RunSetup): Outcome {
  const { system, pulledAt } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const rule = ruleOf(setup);
  const unit = system === 'US' ? ('psi' as const) : ('MPa' as const);
  const bore = boreOf(input, rule, sheet);
  const face = faceOfRows(input);
  const total = face.reduce((sum, [, share]) => sum + share, 0);
  const whole = Math.abs(total - 100) < 1e-6;
  const rate = rateFindings(input, rule, bore?.stress, limits, sheet);
  const cut = cutFindings(input, rule, limits);
  const findings: Finding[] = [
    ...equipmentUse(input, { tester: 'invalid' }, pulledAt, setup, limits),
    ...rangeFindings(input, setup, limits, bore?.force),
    ...gluedFindings(input, setup),
    ...controlFindings(bore?.stress, setup, limits, system),
    ...cut.findings,
    ...rate.findings,
    ...seatFindings(input, setup),
  ];
  if (input.ended === 'broke' && face.length > 0 && !whole)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'pull.share-step', severity: 'invalid', fields: ['face'] },
        {
          message: `The shares come to ${total} %.`,
          action: `${total < 100 ? `${100 - total} % of the face is still to be named` : `${total - 100} % is too much`}: look again, they come to 100.`,
        },
      ),
    );
  findings.push(...paintedFindings(input, face));
  const most = factMeasure(setup, 'glueMost', 'percent', 'percent') ?? limits.of('pull.glue', system).high;
  const glue = whole ? glueShare(face) : undefined;
  const inGlue = glue !== undefined && most !== undefined && exact(glue).greaterThan(most);
  const leans: Lean[] = [...rate.leans, ...cut.leans];
  if (input.ended === 'proof') leans.push({ bound: 'at least', why: 'it was stopped unbroken' });
  if (input.ended === 'end') leans.push({ bound: 'at least', why: 'the tester was at its end' });
  if (inGlue) leans.push({ bound: 'at least', why: 'it parted in the glue' });
  if (input.cameOff === 'flap') leans.push({ bound: 'at most', why: 'the coating tore beyond the dolly' });
  const worth = worthOf(leans, inGlue && rule.cored === true ? 'it parted in the glue' : undefined);
  if (inGlue)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'pull.glue', severity: 'departure', fields: ['face'] },
        {
          message: `${glue} % parted in the glue: the number says only that the rest holds at least so much.`,
          action: rule.cored
            ? 'It counts in no mean: another core in its place, with better glue.'
            : 'Enough where that reaches what is asked for; else another one with better glue.',
          remark: `${glue} % parted in the glue.`,
        },
      ),
    );
  if (input.cameOff === 'flap')
    findings.push(
      finding({
        id: 'pull.flap',
        severity: 'departure',
        fields: ['cameOff'],
        message: 'More than the area of the dolly held: it reads high.',
        action: 'A pass of it proves nothing, a fail stands. Cut the next one through.',
        remark: 'The coating tore beyond the dolly.',
      }),
    );
  const results: Result[] = [];
  if (bore)
    results.push(
      resultOf({
        quantity: STRENGTH,
        symbol: 's',
        value: bore.stress,
        unit,
        step: limits.number(rule.step, system),
        mode,
        other: system === 'US' ? { unit: 'MPa', step: '0.01' } : { unit: 'psi', step: '1' },
        ...worth,
      }),
    );
  const lead = whole ? leadingPlane(face) : undefined;
  if (lead && glue !== undefined) {
    const step = limits.number('pull.share-step', system);
    const uses = Object.fromEntries(
      face.flatMap(([plane, share]) =>
        PLANE_IDS.indexOf(plane) >= GLUE_FROM ? [[`g${PLANE_IDS.indexOf(plane)}`, exact(share)]] : [],
      ),
    );
    const value = sheet.line({
      symbol: 'g',
      name: 'Share parted in or at the glue',
      formula: Object.keys(uses).length > 0 ? Object.keys(uses).join(' + ') : '0',
      uses,
      unit: 'percent',
      source: standard(rule.designation),
    });
    results.push(resultOf({ quantity: GLUE, symbol: 'g', value, unit: 'percent', step, mode }));
    const place = sheet.line({
      symbol: 'n',
      name: `Plane it parted in mostly, counted from the metal or concrete: ${lead}`,
      formula: 'n',
      uses: { n: exact(PLANE_IDS.indexOf(lead) + 1) },
      unit: 'one',
      source: standard('ISO 4624'),
    });
    results.push({
      ...resultOf({ quantity: PLANE, symbol: 'n', value: place, unit: 'one', step, mode }),
      text: [modeText(rule, face), faceText(inTens(face))].filter(Boolean).join(': '),
    });
  }
  const skin = readMeasure(input, 'broken')?.value;
  if (rule.concrete && lead === 'A' && skin && isWithin(skin, limits.of('pull.skin', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'pull.skin', severity: 'advice', fields: ['broken'] },
        {
          message: 'It broke in the skin of the concrete: laitance, or a surface bruised by its preparation.',
          action: 'That is the preparation, not the concrete: prepare it anew and pull again.',
        },
      ),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts:
      whole && bore
        ? [...forbidden(face, bore.stress, setup, limits, system), ...elsewhere(face, rule, inGlue)]
        : [],
    picture: {
      kind: 'pull-off',
      values: {
        painted: input.painted && readPainting(input.painted) ? input.painted : null,
        face: face.map(([plane, share]) => `${plane.replace('/', ':')} ${share}`).join('|'),
        total,
        stress: results[0]?.text ?? null,
        unit,
        said: lead && bore ? sentence(face, lead, rule, skin, limits, system) : '',
        cored: rule.cored === true,
        concrete: rule.concrete === true,
        fibre: rule.wantsConcrete === true,
        rate: rate.words,
        seat: input.seat ?? null,
      },
    },
  };
}

function modeText(rule: PullRule, face: Face): string {
  const mode = modeOf(rule, face);
  return mode ? `mode ${mode}` : '';
}

/** The first of the planes that are of the glue. */
const GLUE_FROM = PLANE_IDS.indexOf('-/Y');

function faceOfRows(input: PullOffInput): Face {
  return faceOf(
    wholeRows(input.face).flatMap((row) => {
      const share = readMeasure(row, 'share')?.value;
      return row.plane && share ? [[row.plane, share.toNumber()] as const] : [];
    }),
  );
}

/** What was painted and what stands in the table are one face. */
function paintedFindings({ painted }: PullOffInput, face: Face): Finding[] {
  const painting = painted ? readPainting(painted) : undefined;
  if (!painted) return [];
  const shares = painting && sharesOf(painting);
  const alike =
    shares?.blank === 0 &&
    PLANE_IDS.every((plane) => {
      const of = (from: Face): number => from.find(([each]) => each === plane)?.[1] ?? 0;
      return Math.abs(of(shares.face) - of(face)) <= 1;
    });
  if (alike) return [];
  return [
    finding({
      id: 'pull.painted',
      severity: 'departure',
      fields: ['painted', 'face'],
      message: shares
        ? 'The face that was painted has other shares than the table.'
        : 'The painting cannot be read.',
      action: 'Take the shares from the painting again, or take the painting back.',
      remark: 'Shares of the face typed otherwise than painted.',
    }),
  ];
}

/** Which plane is the weak one, and what that means. */
function sentence(
  face: Face,
  lead: Face[number][0],
  rule: PullRule,
  skin: Exact | undefined,
  limits: Limits,
  system: PullOffInput['system'],
): string {
  const share = face.find(([plane]) => plane === lead)?.[1] ?? 0;
  const shallow = skin && isWithin(skin, limits.of('pull.skin', system));
  const means: Readonly<Record<Face[number][0], string>> = {
    A: rule.concrete
      ? shallow
        ? 'the skin of the concrete is the weak link'
        : 'the concrete, not what lies on it, is the weak link'
      : 'the metal itself',
    'A/B': rule.cored
      ? 'the bond is the weak link: dust, laitance, water or a bond coat that had dried?'
      : 'the first coat lets go of what it lies on: dirt, dew, salts, no profile?',
    B: rule.cored
      ? 'the overlay itself is the weak link'
      : 'the first coat itself: soft, not cured, solvent left in it?',
    'B/C': 'between the coats: painted over too late, blush, dust?',
    C: 'the second coat itself',
    'C/D': 'between the coats: painted over too late, blush, dust?',
    D: 'the third coat itself',
    '-/Y': 'the glue did not hold the coating: wax, grease, not roughened?',
    Y: 'the glue itself: cold, badly mixed, not hard yet?',
    'Y/Z': 'the glue did not hold the dolly: its face was not roughened',
  };
  const mode = modeText(rule, face);
  return `Weakest plane ${lead.replace('-', '−')}, ${share} % of the face${mode && `, ${mode}`}: ${rule.modes?.[lead]?.means ?? means[lead]}.`;
}

/** The certificate of the tester proves a range of forces. */
function rangeFindings(
  input: PullOffInput,
  setup: RunSetup,
  limits: Limits,
  force: Exact | undefined,
): Finding[] {
  const { system } = input;
  const facts = setup.equipment?.find(({ number }) => number === input.tester);
  const unit = system === 'US' ? 'lbf' : 'N';
  const reach = setupMeasure(facts?.verifiedTo, 'force', unit);
  const from = setupMeasure(facts?.verifiedFrom, 'force', unit);
  if (!reach) return [];
  const found: Finding[] = [];
  if (force && (force.greaterThan(reach) || (from && force.lessThan(from))))
    found.push(
      finding({
        id: 'pull.unproven',
        severity: 'departure',
        fields: ['shown', 'force'],
        message: `${plainOf(force.toSignificantDigits(4), unit)} lies outside of what its certificate proves, ${from ? `${plainOf(from.toSignificantDigits(4), unit)} to ` : 'to '}${plainOf(reach.toSignificantDigits(4), unit)}.`,
        action:
          'A larger dolly for weak coatings, a smaller one for strong: so that the force lies in its range.',
        remark: 'Force outside of the range that the tester is verified for.',
      }),
    );
  const share = limits.of('pull.range', system);
  if (force && !found.length) {
    const part = force.div(reach).times(100);
    if (!isWithin(part, share)) {
      const error = limits.number('pull.accuracy', system).div(part).times(100);
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'pull.range', severity: 'advice', fields: ['dolly', 'tester'] },
          {
            message: `It broke at ${part.toFixed(0)} % of the reach of this tester: it may be ${error.toFixed(0)} % off there.`,
            action: part.lessThan(share.low ?? 0)
              ? 'A larger dolly puts it into the middle of its range.'
              : 'A smaller dolly puts it into the middle of its range.',
          },
        ),
      );
    }
  }
  const zero = readMeasure(input, 'zero')?.value;
  // It tells a stress by the dolly that is set on it, whatever hangs on it.
  const set = (readMeasure(input, 'dollySet') ?? readMeasure(input, 'dolly'))?.value;
  if (zero && set && input.shows === 'stress') {
    const area = set.pow(2).times(Math.PI / 4);
    if (!isWithin(zero.times(area).div(reach).times(100), limits.of('pull.zero', system)))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'pull.zero', severity: 'departure', fields: ['zero'] },
          {
            message: 'It showed a good deal before it pulled.',
            action: 'Set it to nought. It is taken off here; have it looked at if it comes back.',
            remark: 'Zero of the tester off; taken off the reading.',
          },
        ),
      );
  }
  return found;
}

/** Glue that is not hard yet is what breaks first. */
function gluedFindings({ pulledAt }: PullOffInput, setup: RunSetup): Finding[] {
  const curedAt = factText(setup, 'curedAt');
  if (factText(setup, 'set') === 'slid')
    return [
      finding({
        id: 'pull.slid',
        severity: 'invalid',
        fields: ['pulledAt'],
        beforeLoad: true,
        message: 'This dolly slid when it was set.',
        action: 'Take it off and set another.',
      }),
    ];
  const at = pulledAt ?? setup.asOf;
  if (!curedAt || !at) return [];
  const hours = (Date.parse(curedAt) - Date.parse(at)) / 3_600_000;
  if (!(hours > 0)) return [];
  return [
    finding({
      id: 'pull.early',
      severity: 'invalid',
      fields: ['pulledAt'],
      beforeLoad: true,
      message: `Its glue is hard only ${hours.toFixed(1)} h later.`,
      action: 'Leave it. Pulled now the glue breaks, and nothing is known.',
    }),
  ];
}

/** A glue that hardly holds more than what it pulled says less of the coating than of itself. */
function controlFindings(
  stress: Exact | undefined,
  setup: RunSetup,
  limits: Limits,
  system: PullOffInput['system'],
): Finding[] {
  const unit = system === 'US' ? 'psi' : 'MPa';
  const control = factMeasure(setup, 'control', 'stress', unit);
  if (!stress || !control || isWithin(control.div(stress), limits.of('glue.control', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'glue.control', severity: 'advice', fields: ['shown'] },
      {
        message: `The control pull of this glue came to ${withUnit(control.toSignificantDigits(3).toFixed(), unit)} only.`,
        action: 'A stronger glue for the next ones.',
      },
    ),
  ];
}

function seatFindings({ seat }: PullOffInput, setup: RunSetup): Finding[] {
  if (!seat || factTexts(setup, 'seats').every((each) => each === seat)) return [];
  return [
    finding({
      id: 'pull.seats',
      severity: 'departure',
      fields: ['seat'],
      message: 'Others of this area were pulled with the other kind of seat.',
      action: 'A fixed seat reads lower: the two are never one mean. Pull all with one.',
      remark: 'Pulled with another kind of seat than others of the area: not to be put together.',
    }),
  ];
}

/** Where the standard wants the break in the concrete: one elsewhere that is not of the glue is for the engineer, however strong. */
function elsewhere(face: Face, rule: PullRule, inGlue: boolean): Verdict[] {
  if (!rule.wantsConcrete || inGlue) return [];
  const asked = 'Break in the concrete';
  const inConcrete = modeOf(rule, face) === rule.modes?.A?.letter;
  const where = faceText(inTens(face));
  return [
    verdictWith({
      criterion: asked,
      limit: asked,
      state: inConcrete ? 'meets' : 'needs decision',
      sentence: inConcrete
        ? `It broke in the concrete: ${where}.`
        : `It did not break in the concrete alone: ${where}. ${rule.designation}. The engineer decides, however strong it was.`,
    }),
  ];
}

/** Where a specification allows a plane only from a stress on: `no A/B below 5 MPa`. */
function forbidden(
  face: Face,
  stress: Exact,
  setup: RunSetup,
  limits: Limits,
  system: PullOffInput['system'],
): Verdict[] {
  const unit = system === 'US' ? 'psi' : 'MPa';
  const from = factMeasure(setup, 'noFirstBelow', 'stress', unit);
  if (!from) return [];
  const share = face.find(([plane]) => plane === 'A/B')?.[1] ?? 0;
  const row = limits.of('pull.forbidden', system);
  const counts = isWithin(exact(share), row);
  const bad = counts && stress.lessThan(from);
  const asked = `A/B only from ${withUnit(from.toFixed(), unit)} on`;
  return [
    verdictWith({
      criterion: asked,
      limit: asked,
      statistic: stress.toSignificantDigits(6).toFixed(),
      margin: counts ? stress.minus(from).toSignificantDigits(6).toFixed() : null,
      state: bad ? 'does not meet' : 'meets',
      sentence: bad
        ? `Out of tolerance: ${share} % parted between the first coat and what it lies on, asked for: ${asked}. ${sourceText(row.source)}. The engineer decides.`
        : `In tolerance: ${share} % A/B; asked for: ${asked}.`,
    }),
  ];
}
