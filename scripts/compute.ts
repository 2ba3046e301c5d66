import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { computeRecord } from '../src/core/interchange';
import { Limits } from '../src/core/limits';
import { columnsOfRows, type FieldSpec, fieldsOf, type Method } from '../src/core/methods';
import { limitsRead } from '../src/core/methods/limits-read';
import { findMethod, METHODS } from '../src/core/methods/registry';
import { sourceText } from '../src/core/working';

const USAGE = `compute <method> [file|-]   reads a run as JSON, prints results, working and findings as JSON
compute <method> --describe  the method's readings, with units, limits and an example
compute --list               the methods`;

function fail(errors: Record<string, string>): never {
  for (const [field, message] of Object.entries(errors)) {
    process.stderr.write(`${field ? `${field}: ` : ''}${message}\n`);
  }
  process.exit(2);
}

function print(value: unknown): void {
  process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
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

function read(file: string | undefined): unknown {
  let text: string;
  try {
    // Some editors begin a file with a mark of its encoding.
    text = readFileSync(file === undefined || file === '-' ? 0 : file, 'utf8').replace(/^\uFEFF/u, '');
  } catch {
    fail({ file: `${file} cannot be read.` });
  }
  try {
    return JSON.parse(text);
  } catch (error) {
    fail({ file: `this is not JSON: ${error instanceof Error ? error.message : 'unreadable'}.` });
  }
}

const [first, second] = process.argv.slice(2);
if (first === '--list') {
  print(
    METHODS.map(({ id, title, designations }) => ({ id, title, designations: designations.map(sourceText) })),
  );
} else if (!first || first === '--help') {
  process.stderr.write(`${USAGE}\n`);
  process.exit(first ? 0 : 2);
} else {
  const method = findMethod(first);
  if (!method) fail({ method: `there is no method "${first}"; --list names them.` });
  if (second === '--describe') print(descriptionOf(method));
  else {
    const answer = computeRecord(first, read(second));
    if (!answer.ok) fail({ ...answer.errors });
    print(answer.record);
  }
}
