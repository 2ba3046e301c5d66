import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { readMeasure } from '../fields';
import { expectedStrength, STRESS_UNIT } from '../press';
import type { RunSetup } from '../setup';
import type { CylinderCompressionInput } from './input';

/** Computed values that the checks after loading look at. */
export interface Computed {
  readonly strength?: Exact | undefined;
  readonly ratio?: Exact | undefined;
  readonly density?: Exact | undefined;
  readonly corrected: boolean;
}

/** What the load, the rate, the fracture and the result itself say. */
export function findingsAfterLoad(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
  computed: Computed,
): Finding[] {
  return [
    ...loadFindings(input),
    ...fractureFindings(input),
    ...ratioFindings(input, limits, computed),
    ...resultFindings(input, setup, limits, computed),
  ];
}

function loadFindings(input: CylinderCompressionInput): Finding[] {
  const load = readMeasure(input, 'maximumLoad');
  if (!load) return [];
  if (load.value.isZero()) {
    return [
      finding({
        id: 'cylinder.no-load',
        severity: 'invalid',
        fields: ['maximumLoad'],
        message: 'A maximum load of zero is no test.',
        action:
          'Type the peak. If it was lost before it was read, there is no result: say so in the remarks.',
      }),
    ];
  }
  return [];
}

const SUGGESTS: Readonly<Record<string, string>> = {
  '2': 'one end was held less: look for a thin or soft cap, or one worn pad.',
  '3': 'both ends slipped: look for soft or thick caps, oily faces, worn pads, planeness.',
  '4': 'check plumb, centring and the seat; tap it: a cone may still come free, which makes it type 1.',
  '5': 'edge loading is common with pads; check squareness and centring, and that loading was carried on.',
  '6': 'edge loading is common with pads; check squareness and centring, and that loading was carried on.',
};

/** What a low result together with a fracture type suggests looking at; common practice, no source. */
export function fractureSuggests(fracture: string | undefined): string {
  return SUGGESTS[fracture ?? ''] ?? 'the ends were sound: look at air, water, curing and the mix.';
}

function fractureFindings(input: CylinderCompressionInput): Finding[] {
  if (input.fracture !== 'other' || input.fractureWords?.trim()) return [];
  return [
    finding({
      id: 'cylinder.fracture-words',
      severity: 'departure',
      fields: ['fractureWords'],
      message: 'No fracture type fits, and the break is not described.',
      action: 'Describe or sketch the break in words before the pieces are moved.',
      remark: 'Fracture not described.',
    }),
  ];
}

function ratioFindings(input: CylinderCompressionInput, limits: Limits, computed: Computed): Finding[] {
  const { ratio } = computed;
  if (!ratio) return [];
  const smallest = limits.of('factor.smallest', input.system);
  if (!isWithin(ratio, smallest)) {
    return [
      finding({
        id: 'factor.smallest',
        severity: 'invalid',
        beforeLoad: true,
        fields: ['length'],
        limit: cite(smallest),
        message: `L/D is ${ratio.toFixed(2)}: the table of factors ends at ${smallest.low}, and it is never extended.`,
        action: 'Measure the length again. If it stands, no strength can be reported for this specimen.',
      }),
    ];
  }
  const found: Finding[] = [];
  const usual = limits.of('cylinder.length-needed', input.system);
  if (!isWithin(ratio, usual))
    found.push(
      finding({
        id: 'cylinder.length-needed',
        severity: 'advice',
        beforeLoad: true,
        fields: ['length'],
        limit: cite(usual),
        message: `L/D is ${ratio.toFixed(2)}: outside ${usual.text} the length counts.`,
        action: 'Read it to 0.05 of the diameter, at three places; it stands in the report with the factor.',
      }),
    );
  const range = limits.of('factor.strength-range', input.system);
  if (computed.corrected && computed.strength && !isWithin(computed.strength, range)) {
    found.push(
      finding({
        id: 'factor.strength-range',
        severity: 'departure',
        fields: ['length'],
        limit: cite(range),
        message: 'The factor for short cylinders was found for a narrower range of strengths than this one.',
        action: 'Report measured and corrected strength with this remark.',
        remark: `L/D factor used outside ${range.text}; at high strength it may be nearer to 1.`,
      }),
    );
  }
  return found;
}

function resultFindings(
  input: CylinderCompressionInput,
  setup: RunSetup,
  limits: Limits,
  computed: Computed,
): Finding[] {
  const found: Finding[] = [];
  const { strength, density } = computed;
  const usualDensity = limits.of('cylinder.density-usual', input.system);
  if (density && !isWithin(density, usualDensity)) {
    found.push(
      finding({
        id: 'cylinder.density-usual',
        severity: 'advice',
        fields: ['mass', 'length'],
        limit: cite(usualDensity),
        message: `Density ${plainOf(density, usualDensity.unit)} is unusual for normal concrete.`,
        action: 'Check mass, length and label; look for voids before blaming strength.',
      }),
    );
  }
  if (!strength) return found;
  const unit = STRESS_UNIT[input.system];
  const usual = limits.of('cylinder.strength-usual', input.system);
  if (!isWithin(strength, usual)) {
    found.push(
      finding({
        id: 'cylinder.strength-usual',
        severity: 'advice',
        fields: ['maximumLoad'],
        limit: cite(usual),
        message: `${plainOf(strength, unit)} is unusual for concrete.`,
        action: 'Check the load’s digits and unit, and the diameters.',
      }),
    );
  }
  const expected = expectedStrength(setup, input.system, limits);
  if (!expected) return found;
  const share = strength.div(expected);
  const low = limits.of('cylinder.low-against-expected', input.system);
  const high = limits.of('cylinder.high-against-expected', input.system);
  const kept = limits.number('cylinder.pieces-kept', input.system).toString();
  if (!isWithin(share, low)) {
    found.push(
      finding({
        id: 'cylinder.low-against-expected',
        severity: 'advice',
        fields: ['maximumLoad'],
        limit: { ...cite(low), text: `${percent(low.low)} of the ${plainOf(expected, unit)} expected` },
        message: `Low: ${percent(share)} of the strength expected at this age.`,
        action: `Photograph the pieces and keep them ${kept} d or until the set is accepted, bagged with set, label and result. Check load, area, age and label first. With this fracture, ${fractureSuggests(input.fracture)}`,
      }),
    );
  } else if (!isWithin(share, high)) {
    found.push(
      finding({
        id: 'cylinder.high-against-expected',
        severity: 'advice',
        fields: ['maximumLoad'],
        limit: { ...cite(high), text: `${percent(high.high)} of the ${plainOf(expected, unit)} expected` },
        message: `High: ${percent(share)} of the strength expected at this age.`,
        action: 'Check label, size, diameters, and which range the indicator was on.',
      }),
    );
  }
  return found;
}

function percent(share: Exact | undefined): string {
  return `${(share ?? exact(0)).times(100).toFixed(0)} %`;
}
