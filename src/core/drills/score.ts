import {
  fieldAt,
  fieldsOf,
  type MeasureSpec,
  type Method,
  type Outcome,
  type RunSetup,
  typedInput,
  usableInput,
} from '../methods';
import { findMethod } from '../methods/registry';
import { type Exact, measureIn, parseMeasure, type System } from '../quantity';
import {
  DECISIONS,
  type Drill,
  type DrillAnswers,
  type DrillScore,
  type DrillScript,
  type DrillStep,
  FAULTS,
  type ItemScore,
} from './types';

/** The readings of a drill as the method's input. */
export function drillInput(
  method: Method,
  system: System,
  values: Readonly<Record<string, string>>,
): Record<string, unknown> {
  const known = Object.entries(values).filter(([path]) => fieldAt(method.Input, path));
  return typedInput(method.Input, system, known);
}

/** What the method makes of a drill's readings: the same computation as on site. */
export function drillOutcome(
  drill: Drill,
  system: System,
  values: Readonly<Record<string, string>>,
  setup: RunSetup,
): Outcome {
  const method = findMethod(drill.method) as Method;
  const { input } = usableInput(method, drillInput(method, system, values));
  return method.compute(input, setup);
}

/**
 * Judges a drill that was carried to its end.
 * @param script as it was played
 * @returns every item with its reason; passed when every starred item, the fault and the decision are right
 */
export function scoreDrill(
  drill: Drill,
  script: DrillScript,
  system: System,
  answers: DrillAnswers,
): DrillScore {
  const values = { ...script.given, ...answers.values };
  const outcome = drillOutcome(drill, system, values, script.setup);
  const items: ItemScore[] = [
    ...script.steps
      .filter((step) => step.kind !== 'seen')
      .map((step) => ({
        id: step.id,
        item: step.item,
        starred: step.starred,
        ...judge(step, drill, system, answers, outcome),
      })),
    {
      id: 'noticed',
      item: 'What was wrong',
      starred: true,
      passed: answers.noticed === script.fault,
      why:
        answers.noticed === script.fault
          ? `${FAULTS[script.fault]}.`
          : `You said: ${FAULTS[answers.noticed].toLowerCase()}. It was: ${FAULTS[script.fault].toLowerCase()}.`,
    },
    {
      id: 'decision',
      item: 'What is done with it',
      starred: true,
      passed: answers.decision === script.decision.right,
      why: `${DECISIONS[script.decision.right]}. ${script.decision.why}`,
    },
  ];
  const starred = items.filter((each) => each.starred);
  return {
    items,
    starred: starred.length,
    starredPassed: starred.filter(({ passed }) => passed).length,
    passed: starred.every(({ passed }) => passed),
    fault: script.fault,
  };
}

function judge(
  step: DrillStep,
  drill: Drill,
  system: System,
  answers: DrillAnswers,
  outcome: Outcome,
): { passed: boolean; why: string } {
  switch (step.kind) {
    case 'choice': {
      const chosen = step.options[answers.choices[step.id] ?? -1];
      const right = step.options.find((option) => option.right);
      if (!chosen) return { passed: false, why: `Left out. ${right?.text}: ${right?.why}` };
      return chosen.right
        ? { passed: true, why: chosen.why }
        : { passed: false, why: `${chosen.why} Right: ${right?.text}. ${right?.why}` };
    }
    case 'press': {
      if (!answers.values[step.field]) return { passed: false, why: 'Not stamped.' };
      const missed = outcome.findings.find(({ id }) => step.fails.includes(id));
      return missed
        ? { passed: false, why: `${missed.message} ${missed.action}` }
        : { passed: true, why: step.fails.length > 0 ? 'In its time.' : 'Stamped.' };
    }
    case 'read': {
      const off = Object.entries(step.truth).filter(
        ([field, truth]) => !agrees(drill, system, field, answers.values[field] ?? '', truth, step.near),
      );
      if (off.length === 0) return { passed: true, why: 'As it was to be seen.' };
      const fields = fieldsOf((findMethod(drill.method) as Method).Input);
      const label = (name: string): string => fields.find((field) => field.name === name)?.label ?? name;
      return {
        passed: false,
        why: off
          .map(
            ([field, truth]) =>
              `${label(field)}: ${answers.values[field] ? `you entered ${answers.values[field]}` : 'left empty'}, it was ${truth}.`,
          )
          .join(' '),
      };
    }
    default:
      return { passed: true, why: '' };
  }
}

/** True when what was typed is what was to be seen: numbers within `near`, everything else word for word. */
function agrees(
  drill: Drill,
  system: System,
  field: string,
  typed: string,
  truth: string,
  near: number,
): boolean {
  const method = findMethod(drill.method) as Method;
  const spec = fieldsOf(method.Input).find(({ name }) => name === field);
  if (spec?.kind !== 'measure') {
    return typed.trim().replace(/\s+/g, ' ') === truth;
  }
  const [got, wanted] = [numberIn(spec, typed, system), numberIn(spec, truth, system)];
  return got !== undefined && wanted !== undefined && got.minus(wanted).abs().lessThanOrEqualTo(near);
}

function numberIn(spec: MeasureSpec, typed: string, system: System): Exact | undefined {
  const unit = spec.unit[system];
  const parsed = parseMeasure(typed, spec.dimension, unit);
  return parsed.ok ? measureIn(parsed.measure, unit).value : undefined;
}
