import { registerDecorator, type ValidationArguments } from 'class-validator';
import { isZone, readDay, readInstant } from '../quantity';

function rule(
  name: string,
  problemOf: (value: unknown) => string | null,
  label: string | undefined,
): PropertyDecorator {
  return (target, key) => {
    const words = label ?? String(key);
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: String(key),
      options: { always: true },
      validator: {
        validate: (value: unknown) => problemOf(value) === null,
        defaultMessage: (args?: ValidationArguments) => `${words}: ${problemOf(args?.value) ?? ''}`,
      },
    });
  };
}

/** An instant, ISO 8601 with its offset, within the years of a record. @param label how the form calls it */
export function IsInstant(label?: string): PropertyDecorator {
  return rule(
    'isInstant',
    (value) => {
      const read = readInstant(value);
      return read.ok ? null : read.problem;
    },
    label,
  );
}

/** A calendar day, `2031-05-14`. @param label how the form calls it */
export function IsDay(label?: string): PropertyDecorator {
  return rule(
    'isDay',
    (value) => {
      if (readDay(value) !== undefined) return null;
      const shaped = typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/u.test(value);
      return shaped ? 'there is no such day.' : 'a date, as 2031-05-14.';
    },
    label,
  );
}

/** A time zone by its name. @param label how the form calls it */
export function IsZone(label?: string): PropertyDecorator {
  return rule(
    'isZone',
    (value) =>
      typeof value === 'string' && isZone(value)
        ? null
        : 'choose one as Area/City, such as America/New_York.',
    label,
  );
}
