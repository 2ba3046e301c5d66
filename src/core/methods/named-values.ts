import { registerDecorator, type ValidationArguments } from 'class-validator';
import { LIMIT_IDS, limitChangeProblem } from '../limits';
import { readInstant } from '../quantity';
import { recordProblem } from '../records/record-problem';
import { didYouMean } from './nearest';

/** An object whose names are known ones and whose values are each of one kind. */
function NamedValues(
  rule: string,
  problemOf: (name: string, value: unknown) => string | null,
): PropertyDecorator {
  const first = (given: unknown): string | null => {
    if (typeof given !== 'object' || given === null || Array.isArray(given)) return 'an object is expected.';
    for (const [name, value] of Object.entries(given)) {
      const problem = problemOf(name, value);
      if (problem) return `"${name.slice(0, 60)}": ${problem}`;
    }
    return null;
  };
  return (target, key) => {
    registerDecorator({
      name: rule,
      target: target.constructor,
      propertyName: String(key),
      options: { always: true },
      validator: {
        validate: (value: unknown) => first(value) === null,
        defaultMessage: (args?: ValidationArguments) => `${String(key)}: ${first(args?.value) ?? ''}`,
      },
    });
  };
}

/** Instants by name. @param names the names there are; absent when any name may stand */
export function AreInstants(names?: readonly string[]): PropertyDecorator {
  return NamedValues('areInstants', (name, value) => {
    if (names && !names.includes(name)) return `there is no such name.${didYouMean(name, names)}`;
    const read = readInstant(value);
    return read.ok ? null : read.problem;
  });
}

/** Changes of the limits register by the entry's name. */
export function AreLimitChanges(): PropertyDecorator {
  return NamedValues('areLimitChanges', (name, value) => {
    const problem = limitChangeProblem(name, value);
    return problem === 'there is no such limit.' ? `${problem}${didYouMean(name, LIMIT_IDS)}` : problem;
  });
}

/** Records by the names of their readings. */
export function AreRecords(): PropertyDecorator {
  return NamedValues('areRecords', (_, value) => recordProblem(value));
}
