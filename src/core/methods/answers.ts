import { cite, isWithin, type Limits } from '../limits';
import { plainOf } from '../quantity';
import { type Finding, finding } from '../working';
import { type FieldSpec, fieldsOf, type RunInput, readMeasure } from './fields';
import type { Held, Means } from './means';

/** What an answer given at a field means; undefined for one that means nothing by itself. */
function meansOf(field: FieldSpec, answer: unknown): Means | undefined {
  if (field.kind === 'check')
    return answer === true ? field.means : answer === false ? field.missed : undefined;
  return field.kind === 'choice' ? field.options.find(({ value }) => value === answer)?.means : undefined;
}

/** A reading outside its row. */
function heldFinding(name: string, held: Held, input: RunInput, limits: Limits): Finding[] {
  const { limit: id, what, ...about } = held;
  const read = readMeasure(input, name);
  const limit = limits.of(id, input.system);
  if (!read || isWithin(read.value, limit)) return [];
  const said = `${what} ${plainOf(read.value, read.unit)}`;
  const words = { message: `${said}.`, remark: `${said}; ${limit.text}.` };
  return [finding({ id, fields: [name], limit: cite(limit), ...words, ...about })];
}

/** The findings that answers and readings make by themselves, each at its field, in the order of the fields. */
export function answerFindings(type: new () => RunInput, input: RunInput, limits: Limits): Finding[] {
  const answers = input as unknown as Readonly<Record<string, unknown>>;
  return fieldsOf(type).flatMap((field) => {
    if (field.kind === 'measure') return field.held ? heldFinding(field.name, field.held, input, limits) : [];
    const means = meansOf(field, answers[field.name]);
    if (!means) return [];
    const { limit, ...words } = means;
    const cited = limit ? { limit: cite(limits.of(limit, input.system)) } : {};
    return [finding({ ...words, ...cited, fields: [field.name] })];
  });
}
