import { computeRecord } from '../../src/core/interchange';
import { Limits } from '../../src/core/limits';
import { columnsOfRows, type FieldSpec, fieldsOf, type Method } from '../../src/core/methods';
import { limitsRead } from '../../src/core/methods/limits-read';
import { findMethod, METHODS } from '../../src/core/methods/registry';
import { sourceText } from '../../src/core/working';

const USAGE = `compute <method> [file|-]   reads a run as JSON, prints results, working and findings as JSON
compute <method> --describe  the method's readings, with units, limits and an example
compute --list               the methods`;

/** What a command ends with: the status of its process, and what it says on each side. */
export interface Answer {
  readonly status: 0 | 2;
  readonly out?: unknown;
  readonly error?: string;
}

const failed = (errors: Readonly<Record<string, string>>): Answer => ({
  status: 2,
  error: Object.entries(errors)
    .map(([field, message]) => `${field ? `${field}: ` : ''}${message}\n`)
    .join(''),
});

/**
 * What the command line answers.
 * @param args as they were typed @param read the text of a file, of standard input for `-`; throws where it cannot be read
 */
export function command(args: readonly string[], read: (file: string) => string): Answer {
  const [first, second] = args;
  if (first === '--list')
    return {
      status: 0,
      out: METHODS.map(({ id, title, designations }) => ({
        id,
        title,
        designations: designations.map(sourceText),
      })),
    };
  if (!first || first === '--help') return { status: first ? 0 : 2, error: `${USAGE}\n` };
  const method = findMethod(first);
  if (!method) return failed({ method: `there is no method "${first}"; --list names them.` });
  if (second === '--describe') return { status: 0, out: descriptionOf(method) };
  let text: string;
  try {
    // Some editors begin a file with a mark of its encoding.
    text = read(second ?? '-').replace(/^\uFEFF/u, '');
  } catch {
    return failed({ file: `${second} cannot be read.` });
  }
  let record: unknown;
  try {
    record = JSON.parse(text);
  } catch (error) {
    return failed({ file: `this is not JSON: ${error instanceof Error ? error.message : 'unreadable'}.` });
  }
  const answer = computeRecord(first, record);
  return answer.ok ? { status: 0, out: answer.record } : failed({ ...answer.errors });
}

function describeField(field: FieldSpec): Record<string, unknown> {
  const common = {
    name: field.name,
    label: field.label,
    kind: field.kind,
    required: field.required ?? false,
    ...(field.help ? { help: field.help } : {}),
    example: field.example,
  };
  if (field.kind === 'measure') {
    return { ...common, unit: field.unit, readTo: field.step, possible: field.possible };
  }
  if (field.kind === 'choice') return { ...common, options: field.options };
  if (field.kind === 'rows') return { ...common, columns: columnsOfRows(field).map(describeField) };
  if (field.kind === 'equipment') return { ...common, equipmentKind: field.equipmentKind };
  return common;
}

/** The limits the method holds its readings against, as they ship, with source and status. */
function limitsOf(method: Method): Record<string, unknown>[] {
  const limits = new Limits();
  return limitsRead(method).map((id) => {
    const entry = limits.entry(id);
    return {
      id,
      title: entry.title,
      US: limits.of(id, 'US').text,
      SI: limits.of(id, 'SI').text,
      source: sourceText(entry.source),
      status: entry.status,
    };
  });
}

function descriptionOf(method: Method): Record<string, unknown> {
  return {
    method: method.id,
    title: method.title,
    designations: method.designations.map(sourceText),
    runOn: method.runOn,
    yields: method.yields,
    fields: [
      { name: 'system', label: 'System of units', kind: 'choice', required: true, options: ['US', 'SI'] },
      ...fieldsOf(method.Input).map(describeField),
    ],
    facts: method.facts ?? {},
    limits: limitsOf(method),
    plan: {
      US: method.plan('US', method.example('US').setup),
      SI: method.plan('SI', method.example('SI').setup),
    },
    example: { US: method.example('US'), SI: method.example('SI') },
  };
}
