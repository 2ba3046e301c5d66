import type { Limits } from '../limits';
import { type Exact, exact, type System, type UnitId } from '../quantity';
import { C76 } from './load';

/** What is said of a pipe product: words by name, measures by name in a unit. A setup, a form and a criterion can all say it. */
export interface PipeSaid {
  said(name: string): string | undefined;
  asked(name: string, unit: UnitId): Exact | undefined;
}

/** The shapes of pipe; of an ellipse which way its long axis lies. */
export type PipeShape = 'round' | 'arch' | 'flat' | 'upright';

type Pair = readonly [crack: string, most: string];

/** A class as it is ordered: D-loads in lbf/ft/ft and, where its standard has them, in N/m/mm. */
interface PipeClass {
  readonly standard: string;
  readonly label: string;
  readonly shape: PipeShape;
  readonly US?: Pair;
  readonly SI?: Pair;
  /** The column of C14: no crack is asked of it, only what it bears. */
  readonly plain?: 0 | 1 | 2;
  /** Another country's, by loads on a metre of it; the crack that is looked for there, mm wide. */
  readonly metre?: { readonly wide: string; readonly rates: 'steady' | 'as here' };
}

const SI76: Readonly<Record<string, Pair>> = {
  I: ['40', '60'],
  II: ['50', '75'],
  III: ['65', '100'],
  IV: ['100', '150'],
  V: ['140', '175'],
};
const of76 = Object.entries(C76).map(([name, [crack, most]]): readonly [string, PipeClass] => [
  `c76-${name}`,
  {
    standard: 'ASTM C76/C76M',
    label: `C76 class ${name}`,
    shape: 'round',
    US: [crack.toFixed(), most.toFixed()],
    ...(SI76[name] ? { SI: SI76[name] } : {}),
  },
]);
const others = (
  standard: string,
  shape: PipeShape,
  rows: Readonly<Record<string, Pair>>,
): (readonly [string, PipeClass])[] => {
  const short = standard.replace('ASTM ', '');
  return Object.entries(rows).map(([name, US]) => [
    `${short.toLowerCase()}-${name}`,
    { standard, label: `${short} class ${name}`, shape, US },
  ]);
};
const plainPipe = ([0, 1, 2] as const).map((plain): readonly [string, PipeClass] => [
  `c14-${plain + 1}`,
  { standard: 'ASTM C14', label: `C14 class ${plain + 1}, not reinforced`, shape: 'round', plain },
]);

const byMetre: readonly (readonly [string, PipeClass])[] = [
  [
    'en1916',
    {
      ...{ standard: 'EN 1916', label: 'EN 1916, by its strength class', shape: 'round' },
      metre: { wide: '0.3', rates: 'steady' },
    },
  ],
  [
    'as4058',
    {
      ...{ standard: 'AS/NZS 4058', label: 'AS/NZS 4058, by class and proof load', shape: 'round' },
      metre: { wide: '0.15', rates: 'as here' },
    },
  ],
  [
    'is458',
    {
      ...{ standard: 'IS 458', label: 'IS 458, by the loads of its class', shape: 'round' },
      metre: { wide: '0.25', rates: 'as here' },
    },
  ],
];

/** Every class that a pipe can be ordered by. Source: ASTM C76, C506, C507, C655, C14, their tables (from memory). */
const CLASSES: ReadonlyMap<string, PipeClass> = new Map<string, PipeClass>([
  ...of76,
  ['c655', { standard: 'ASTM C655', label: 'C655, by the D-load that is ordered', shape: 'round' }],
  ...others('ASTM C506', 'arch', {
    'A-II': ['1000', '1500'],
    'A-III': ['1350', '2000'],
    'A-IV': ['2000', '3000'],
  }),
  ...others('ASTM C507', 'flat', {
    'HE-A': ['600', '900'],
    'HE-I': ['800', '1200'],
    'HE-II': ['1000', '1500'],
    'HE-III': ['1350', '2000'],
    'HE-IV': ['2000', '3000'],
  }),
  ...others('ASTM C507', 'upright', {
    'VE-II': ['1000', '1500'],
    'VE-III': ['1350', '2000'],
    'VE-IV': ['2000', '3000'],
    'VE-V': ['3000', '3750'],
    'VE-VI': ['4000', '5000'],
  }),
  ...plainPipe,
  ...byMetre,
  ['own', { standard: 'the order', label: 'Special design, by its order', shape: 'round' }],
]);

export const PIPE_CLASSES = [...CLASSES].map(([value, { label }]) => ({ value, label }));
export const PIPE_CLASS_IDS = [...CLASSES.keys()];

/** What its class says of a pipe; undefined where none is asked for. */
export function classOf({ said }: Pick<PipeSaid, 'said'>): PipeClass | undefined {
  return CLASSES.get(said('design') ?? '');
}

/** Least ultimate load of pipe that is not reinforced, lbf/ft, classes 1 to 3, by diameter in in. Source: ASTM C14 table (from memory). */
const PLAIN: ReadonlyMap<number, readonly [number, number, number]> = new Map([
  [4, [1500, 2000, 2400]],
  [6, [1500, 2000, 2400]],
  [8, [1500, 2000, 2400]],
  [10, [1600, 2000, 2400]],
  [12, [1800, 2250, 2600]],
  [15, [2000, 2600, 2900]],
  [18, [2200, 3000, 3300]],
  [21, [2400, 3300, 3850]],
  [24, [2600, 3600, 4400]],
  [27, [2800, 3950, 4600]],
  [30, [3000, 4300, 4750]],
  [33, [3150, 4400, 4850]],
  [36, [3300, 4500, 5000]],
]);

/** What a pipe has to bear. */
export interface PipeStrength {
  /** D-loads, lbf/ft/ft or N/m/mm. */
  readonly crack?: Exact;
  readonly most?: Exact;
  /** Of pipe that goes by its length: at its end, and at the crack where one is asked for; lbf/ft or kN/m. */
  readonly foot?: Exact;
  readonly footCrack?: Exact;
  /** It is loaded at one rate throughout, kN/m a minute. */
  readonly steady?: Exact;
  readonly standard: string;
}

/**
 * What a pipe of a product has to bear: what its order says, else its class; never a class of the other system converted.
 * @returns undefined where neither says anything in this system
 * Source: the standards of the classes (from memory); C655's ultimate D-load is 1.5 times the ordered one up to 2,000,
 *   1.25 from 3,000 on and linear between (from memory).
 */
export function strengthOf(about: PipeSaid, limits: Limits, system: System): PipeStrength | undefined {
  const own = classOf(about);
  if (!own) return undefined;
  const { standard } = own;
  const ordered = (name: string): Exact | undefined =>
    about.asked(name, system === 'US' ? 'lbf/ft/ft' : 'N/m/mm');
  if (own.plain !== undefined) {
    const typed = about.asked('footLoad', system === 'US' ? 'lbf/ft' : 'kN/m');
    const size = system === 'US' ? about.asked('span', 'in')?.toNumber() : undefined;
    const listed = size === undefined ? undefined : PLAIN.get(size)?.[own.plain];
    const foot = typed ?? (listed === undefined ? undefined : exact(listed));
    return foot && { foot, standard };
  }
  if (own.metre) return byMetreOf(about, limits, system, standard);
  const [crack, most] = own[system] ?? [];
  const asked = ordered('crackLoad') ?? (crack === undefined ? undefined : exact(crack));
  if (!asked) return undefined;
  const ultimate =
    ordered('mostLoad') ??
    (most !== undefined
      ? exact(most)
      : about.said('design') === 'c655' && system === 'US'
        ? asked.times(ultimateFactor(asked, limits))
        : undefined);
  return { crack: asked, ...(ultimate ? { most: ultimate } : {}), standard };
}

/**
 * What other countries' pipe has to bear on a metre, kN/m: of EN its class by its diameter, of AS/NZS the proof load and its
 * share by class, of IS what its class says. All of them are metric.
 * Source: EN 1916, AS/NZS 4058, IS 458 (from memory): to be checked against the edition.
 */
function byMetreOf(
  about: PipeSaid,
  limits: Limits,
  system: System,
  standard: string,
): PipeStrength | undefined {
  if (system === 'US') return undefined;
  const [crack, most] = (['footCrackLoad', 'footLoad'] as const).map((name) => about.asked(name, 'kN/m'));
  const name = about.said('classNumber');
  const number = name === undefined || !/^\d{1,3}(?:\.\d)?$/u.test(name) ? undefined : exact(name);
  switch (about.said('design')) {
    case 'en1916': {
      const size = about.asked('span', 'mm');
      const foot = most ?? (number && size && number.times(size).div(1000));
      const share = limits.number('en1916.crack', 'SI');
      return (
        foot && {
          ...{ foot, standard },
          footCrack: crack ?? foot.times(share).div(100),
          steady: limits.of('en1916.rate', 'SI').high ?? exact(25),
        }
      );
    }
    case 'as4058': {
      if (!crack) return undefined;
      const share = number?.lessThanOrEqualTo(limits.number('as4058.class', 'SI'))
        ? limits.number('as4058.most-low', 'SI')
        : limits.number('as4058.most-high', 'SI');
      return number || most ? { footCrack: crack, foot: most ?? crack.times(share), standard } : undefined;
    }
    default:
      return crack && most ? { footCrack: crack, foot: most, standard } : undefined;
  }
}

/**
 * The loads on a pipe of what it has to bear: its D-loads on its diameter as designated and its length, else its load on a foot.
 * @param bore in or mm @param length of the test, ft or m
 * @returns lbf or kN; a load that is not asked for is left out
 * Source: ASTM C76/C76M, the definition of the D-load; ASTM C14 (from memory).
 */
export function loadsAsked(
  { crack, most, foot, footCrack }: PipeStrength,
  bore: Exact,
  length: Exact,
  system: System,
): { readonly crack: Exact | undefined; readonly most: Exact | undefined } {
  // lbf by diameters in in, kN by N/m/mm.
  const under = system === 'US' ? 12 : 1000;
  const of = (d: Exact | undefined): Exact | undefined => d?.times(bore).times(length).div(under);
  return { crack: of(crack) ?? footCrack?.times(length), most: of(most) ?? foot?.times(length) };
}

function ultimateFactor(ordered: Exact, limits: Limits): Exact {
  const of = (id: 'c655.low' | 'c655.high' | 'c655.most-low' | 'c655.most-high'): Exact =>
    limits.number(id, 'US');
  const [low, high] = [of('c655.low'), of('c655.high')];
  const [most, least] = [of('c655.most-low'), of('c655.most-high')];
  if (ordered.lessThanOrEqualTo(low)) return most;
  if (ordered.greaterThanOrEqualTo(high)) return least;
  return most.minus(most.minus(least).times(ordered.minus(low)).div(high.minus(low)));
}

/** The length that a D-load is told by, and what it follows from. */
export interface TestLength {
  /** ft or m. */
  readonly length: Exact;
  readonly overall: Exact;
  readonly words: string;
}

export const JOINTS = [
  { value: 'plain', label: 'Plain ends' },
  { value: 'tongue', label: 'Tongue and groove, or a spigot within the wall' },
  { value: 'bell', label: 'Bell and spigot' },
  { value: 'special', label: 'Special end: L by its drawing' },
] as const;

/**
 * The length of a pipe in its D-load, by its joint: never by a tape over the bell.
 * @returns undefined while its joint does not say it yet
 * Source: ASTM C497, the drawing of its joints (from memory): overall, or less the tongue, or less the depth of the bell.
 */
export function lengthOf({ said, asked }: PipeSaid, system: System): TestLength | undefined {
  const [long, small] = system === 'US' ? (['ft', 'in'] as const) : (['m', 'mm'] as const);
  const overall = asked('overall', long);
  if (!overall) return undefined;
  const joint = said('joint');
  if (joint === 'plain') return { length: overall, overall, words: 'overall length, plain ends' };
  if (joint === 'special') {
    const drawn = asked('testLength', long);
    return drawn && { length: drawn, overall, words: `by ${said('testLengthFrom') ?? 'its drawing'}` };
  }
  const depth = asked('jointDepth', small);
  if (!depth || (joint !== 'tongue' && joint !== 'bell')) return undefined;
  return {
    length: overall.minus(depth.div(system === 'US' ? 12 : 1000)),
    overall,
    words: `overall length less the ${joint === 'tongue' ? 'tongue' : 'depth of the bell'}`,
  };
}

/** What the wall of a round pipe is designed to, in; letter B is an inch more than a foot of it has, C ¾ in more than that. Source: ASTM C76 tables (from memory). */
const WALL_A: ReadonlyMap<number, string> = new Map([
  [12, '1.75'],
  [15, '1.875'],
  [18, '2'],
  [21, '2.25'],
  [24, '2.5'],
  [27, '2.625'],
  [30, '2.75'],
  [33, '2.875'],
]);

/** The wall that a pipe is designed with, in or mm: as ordered, else by its letter, which is of round pipe in inches. */
export function wallOf({ said, asked }: PipeSaid, system: System): Exact | undefined {
  const typed = asked('wall', system === 'US' ? 'in' : 'mm');
  if (typed || system === 'SI') return typed;
  const [size, letter] = [asked('span', 'in'), said('wallLetter')];
  if (!size || !letter) return undefined;
  const foot = size.div(12);
  if (letter === 'A') {
    const listed = WALL_A.get(size.toNumber());
    return listed ? exact(listed) : size.greaterThanOrEqualTo(36) ? foot : undefined;
  }
  return letter === 'B' ? foot.plus(1) : letter === 'C' ? foot.plus('1.75') : undefined;
}
