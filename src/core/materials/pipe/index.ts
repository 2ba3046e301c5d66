import { Limits } from '../../limits';
import type { Material, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import type { RegisterAbout } from '../../material/registration';
import { classOf, lengthOf, loadsAsked, PIPE_CLASSES, strengthOf } from '../../pipe/product';
import { plainOf, type System } from '../../quantity';
import { across } from './across';
import { CRITERIA } from './criteria';
import { Asked, Drawn, Lot } from './fields';
import { FORMS } from './forms';
import { saidOf } from './said';

/** The system that a product is written in, by the unit of its diameter. */
const systemOf = ({ span }: Stored): System => (/mm$/u.test(String(span)) ? 'SI' : 'US');

const LIMITS = new Limits();

/** Concrete pipe: one size and class, its years of making, the pipes that are drawn of it. */
export const pipe: Material = {
  id: 'pipe',
  title: 'Concrete pipe',
  words: {
    specification: ['size and class', 'sizes and classes'],
    lot: ['year of making', 'years of making'],
    sample: ['pipe', 'pipes'],
    specimen: ['specimen', 'specimens'],
    report: 'Report of tests on concrete pipe',
    onSample: 'Other tests',
    onSpecimens: 'The pipe and its parts',
  },
  Asked,
  Lot,
  Sample: Drawn,
  lotFields: {
    title: 'Year of making',
    titleHelp: 'Size and year, as the plant calls it.',
    startsAt: 'First pipe made',
  },
  usual: { joint: 'tongue' },
  madeBy: 'plant',
  forms: FORMS,
  registers: [
    {
      id: 'pipe',
      begin: 'Take it to the press',
      title: 'The pipe itself',
      intro: 'It gets a label beside its own mark. It is tested once only.',
      done: 'It is registered.',
      countHelp: 'One: another pipe is drawn by itself.',
      usual: 1,
      most: 1,
      place: 'Where it stands',
      forms: () => ['pipe'],
      event: 'received',
      register: ofPipe,
    },
    {
      id: 'pieces',
      begin: 'Break out pieces',
      title: 'Pieces of its wall',
      intro:
        'Of the whole thickness, sound, without cracks or shattered edges; for absorption. Each gets a label of its own.',
      done: 'They are registered.',
      countHelp: 'At most 12 at once.',
      usual: 1,
      most: 12,
      place: 'Where in the wall',
      forms: () => ['pipe-wall'],
      event: 'received',
      register: ofPipe,
    },
    {
      id: 'cores',
      begin: 'Core it',
      title: 'Cores of its wall',
      intro:
        'One of a group; where it is low another of the same pipe. No wider than the wall that is left, or it is shorter than wide. Locate the cage first.',
      done: 'They are registered.',
      countHelp: 'At most 6 at once.',
      usual: 1,
      most: 6,
      place: 'Where in the pipe',
      forms: () => ['pipe-core'],
      event: 'drilled',
      register: ofPipe,
    },
  ],
  sampleProblems: ({ mark, drawn, retestOf }, before): Record<string, string> => {
    if (before.some((each) => each.mark === mark))
      return { mark: 'This pipe is drawn already: another test of the same pipe is no retest.' };
    if (drawn === 'retest' && !retestOf) return { retestOf: 'Say which one failed, by its mark.' };
    if (retestOf && !before.some((each) => each.mark === retestOf))
      return { retestOf: 'No pipe of this year has that mark.' };
    return {};
  },
  summary: (asked) => [
    ['Class', PIPE_CLASSES.find(({ value }) => value === asked.design)?.label ?? ''],
    ['Inside', [measureWords(asked.span), measureWords(asked.rise)].filter(Boolean).join(' × ')],
    ['Test length', lengthWords(asked)],
    ['Design load', loadWords(asked, 'crack')],
    ['Ultimate load', loadWords(asked, 'most')],
    ['Tests a year', yearWords(asked)],
  ],
  problems,
  lotProblems: ({ year }): Record<string, string> =>
    /^(?:19[9]\d|2[01]\d\d)$/u.test(String(year)) ? {} : { year: 'The year in four digits, as 2031.' },
  opens: () => [],
  onLot: ['pipe-year', 'pipe-cylinders', 'manhole-step'],
  across,
  criteria: CRITERIA.map(({ id }) => id),
};

/** A pipe is as old as its own casting says. */
function ofPipe(_: Stored, { sample, sampledAt }: RegisterAbout) {
  const cast = Date.parse(String(sample.castAt));
  return { ok: true as const, value: { since: Number.isNaN(cast) ? sampledAt : cast, about: {} } };
}

function problems(asked: Stored): Record<string, string> {
  const system = systemOf(asked);
  const said = saidOf(asked);
  const shape = classOf(said)?.shape;
  const [span, rise] = (['span', 'rise'] as const).map((name) => said.asked(name, 'mm'));
  if (shape && shape !== 'round' && !rise)
    return { rise: 'An arch or an ellipse has a rise too: type both openings as it lies.' };
  if (asked.judged === 'together' && asked.design !== 'c655')
    return { judged: 'Only pipe that is ordered by C655 is judged together.' };
  if (span && rise && shape === 'flat' && rise.greaterThanOrEqualTo(span))
    return { rise: 'Its long axis lies flat, so its rise is the smaller number.' };
  if (span && rise && shape === 'upright' && rise.lessThanOrEqualTo(span))
    return { span: 'It stands upright: its span, from side to side, is the smaller number.' };
  if (asked.joint === 'special' && !(asked.testLength && asked.testLengthFrom))
    return asked.testLength
      ? { testLengthFrom: 'Say which drawing it is from.' }
      : { testLength: 'A special end: type the length by its drawing.' };
  if ((asked.joint === 'tongue' || asked.joint === 'bell') && !asked.jointDepth)
    return { jointDepth: 'By the drawing of the joint: without it the test has no load to stop at.' };
  if ((asked.yearShare || asked.yearEach) && !asked.yearFrom)
    return { yearFrom: 'Say whose rule it is, with its date.' };
  const own = classOf(said);
  if (asked.classNumber && !/^\d{1,3}(?:\.\d)?$/u.test(String(asked.classNumber)))
    return { classNumber: 'A number, as 135 or 4.' };
  if (own?.metre && system === 'US')
    return { span: `${own.standard} is metric: type the sizes in mm and m.` };
  if (own?.metre && !strengthOf(said, LIMITS, system)) return missingOnMetre(asked);
  if (!strengthOf(said, LIMITS, system))
    return own?.plain !== undefined
      ? { footLoad: 'This class has no row for this size here: type what it has to bear.' }
      : {
          crackLoad:
            'Nothing says its D-load in these units: type it as it is ordered. A class of the other system is never converted.',
        };
  return {};
}

/** What is not said yet of a pipe that goes by its loads on a metre. */
function missingOnMetre({ design, footCrackLoad, classNumber }: Stored): Record<string, string> {
  if (design === 'en1916') return { classNumber: 'Its strength class, or type its ultimate load below.' };
  if (!footCrackLoad)
    return { footCrackLoad: 'Type the load at which the crack is looked for, by its standard.' };
  return design === 'as4058' && !classNumber
    ? { classNumber: 'Its class says how far the ultimate load lies above the proof load.' }
    : { footLoad: 'Type the ultimate load of its class and size.' };
}

function lengthWords(asked: Stored): string {
  const system = systemOf(asked);
  const found = lengthOf(saidOf(asked), system);
  return found
    ? `${plainOf(found.length.toDecimalPlaces(3), system === 'US' ? 'ft' : 'm')}, ${found.words}`
    : '';
}

function loadWords(asked: Stored, what: 'crack' | 'most'): string {
  const system = systemOf(asked);
  const said = saidOf(asked);
  const strength = strengthOf(said, LIMITS, system);
  const [span, tested] = [said.asked('span', system === 'US' ? 'in' : 'mm'), lengthOf(said, system)];
  if (!strength || !span || !tested) return '';
  const load = loadsAsked(strength, span, tested.length, system)[what];
  return load ? plainOf(load.toSignificantDigits(5), system === 'US' ? 'lbf' : 'kN') : '';
}

function yearWords({ yearTests, yearShare, yearEach, yearFrom }: Stored): string {
  const rules = [
    `${yearTests ?? '1'} a year`,
    ...(yearShare ? [`${measureWords(yearShare)} of them`] : []),
    ...(yearEach ? [`one for ${measureWords(yearEach)}`] : []),
  ];
  return `${rules.join(', ')}${yearFrom ? ` (${String(yearFrom)})` : ''}`;
}
