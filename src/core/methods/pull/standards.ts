import type { LimitId } from '../../limits';
import { factOption } from '../facts';
import type { RunSetup } from '../setup';
import { type Face, leadingPlane, type Plane } from './faces';

/** By which standard a dolly is pulled. */
export const PULL_STANDARDS = [
  { value: 'd7234', label: 'Coating on concrete, ASTM D7234' },
  { value: 'd4541', label: 'Coating on metal, ASTM D4541' },
  { value: 'iso4624', label: 'Coating on metal, ISO 4624' },
  { value: 'c1583', label: 'Overlay, repair or concrete surface, ASTM C1583' },
  { value: 'en1542', label: 'Overlay or repair, EN 1542' },
  { value: 'en1015', label: 'Mortar on what it lies on, EN 1015-12' },
  { value: 'en13892', label: 'Screed on what it lies on, EN 13892-8' },
  { value: 'en12636', label: 'Concrete glued to concrete, EN 12636' },
  { value: 'd7522', label: 'Fibre sheet glued to concrete, ASTM D7522' },
] as const;
export type PullStandard = (typeof PULL_STANDARDS)[number]['value'];
export const PULL_IDS: readonly PullStandard[] = PULL_STANDARDS.map(({ value }) => value);

/** What a standard has otherwise than the others. */
export interface PullRule {
  readonly designation: string;
  readonly rate: LimitId;
  /** Seconds from start to break, where it limits them. */
  readonly time?: LimitId;
  readonly step: LimitId;
  /** The area is that of the core, mean of two diameters at right angles; a break in the glue is another's to replace. */
  readonly cored?: true;
  /** How far it is cut into what the coat lies on. */
  readonly cut?: LimitId;
  /** Film from which it has to be cut through. */
  readonly cutFrom?: LimitId;
  readonly concrete?: true;
  /** What a pull has to bear where nothing is said. */
  readonly silent?: LimitId;
  /** It is cut through round the dolly whatever the thickness. */
  readonly always?: true;
  /** How it calls the planes, and what lets go there. */
  readonly modes?: Readonly<Partial<Record<Plane, Mode>>>;
  /** A break anywhere but in the concrete is put before the engineer, however strong. */
  readonly wantsConcrete?: true;
}

/** A plane by the letter of a standard. */
export interface Mode {
  readonly letter: string;
  readonly means: string;
}

/** The letters of a glued fibre sheet, the concrete G and what glues it D; E and G on one face are F. Source: ASTM D7522 (from memory). */
const FIBRE_MODES: PullRule['modes'] = {
  A: { letter: 'G', means: 'the concrete, as it should be' },
  'A/B': { letter: 'E', means: 'the resin let go of the concrete: dust, laitance, water?' },
  B: { letter: 'D', means: 'the resin itself: badly mixed, not cured?' },
  'B/C': { letter: 'C', means: 'the sheet let go of the resin: not wetted through?' },
  C: { letter: 'B', means: 'within the sheet: dry fibres, too little resin?' },
  '-/Y': { letter: 'A', means: 'the glue of the dolly let go of the sheet: not roughened, not clean?' },
  Y: { letter: 'A', means: 'the glue of the dolly itself: cold, badly mixed, not hard yet?' },
  'Y/Z': { letter: 'A', means: 'the glue did not hold the dolly: its face was not roughened' },
};

/** What the European tests of a bond have in common: cored, and reported alike. */
const EN_CORE = { step: 'pull.step-core', cored: true, concrete: true } as const satisfies Partial<PullRule>;

const PULL_RULES: Readonly<Record<PullStandard, PullRule>> = {
  d4541: {
    designation: 'ASTM D4541',
    rate: 'pull.rate-d4541',
    time: 'pull.time-d4541',
    step: 'pull.step-metal',
  },
  iso4624: {
    designation: 'ISO 4624',
    rate: 'pull.rate-iso4624',
    time: 'pull.time-iso4624',
    step: 'pull.step-metal',
    cutFrom: 'pull.cut-from-iso4624',
  },
  d7234: {
    designation: 'ASTM D7234',
    rate: 'pull.rate-d7234',
    time: 'pull.time-d7234',
    step: 'pull.step-concrete',
    cut: 'pull.cut-d7234',
    cutFrom: 'pull.cut-from-d7234',
    concrete: true,
  },
  c1583: {
    designation: 'ASTM C1583/C1583M',
    rate: 'pull.rate-c1583',
    step: 'pull.step-core',
    cored: true,
    cut: 'pull.cut-c1583',
    concrete: true,
  },
  en1542: { ...EN_CORE, designation: 'EN 1542', rate: 'pull.rate-en1542', cut: 'pull.cut-en1542' },
  en1015: { ...EN_CORE, designation: 'EN 1015-12', rate: 'pull.rate-en1015', time: 'pull.time-en1015' },
  en13892: { ...EN_CORE, designation: 'EN 13892-8', rate: 'pull.rate-en-near' },
  en12636: { ...EN_CORE, designation: 'EN 12636', rate: 'pull.rate-en-near' },
  d7522: {
    designation: 'ASTM D7522/D7522M',
    rate: 'pull.rate-d7522',
    step: 'pull.step-core',
    cut: 'pull.cut-d7522',
    concrete: true,
    silent: 'pull.fibre',
    always: true,
    modes: FIBRE_MODES,
    wantsConcrete: true,
  },
};

/** The mode of a face by the letter of its standard: of bond and concrete together a letter of its own; undefined where it has none. */
export function modeOf({ modes }: PullRule, face: Face): string | undefined {
  const lead = leadingPlane(face);
  if (!modes || !lead) return undefined;
  const both = (['A', 'A/B'] as const).every((plane) => face.some(([each]) => each === plane));
  return both && (lead === 'A' || lead === 'A/B') ? 'F' : modes[lead]?.letter;
}

/** The rule of a standard; of none that is named that of coatings on concrete: a floor names none. */
export function ruleNamed(name: string | undefined): PullRule {
  return PULL_RULES[PULL_IDS.find((each) => each === name) ?? 'd7234'];
}

/** The rule of the standard that a test is pulled by. */
export function ruleOf(setup: RunSetup): PullRule {
  return ruleNamed(factOption(setup, 'pullBy', PULL_IDS));
}
