import type { System } from '../../quantity';
import type { Method, PressUse } from '../contract';
import { exampleInput } from '../example';
import type { Facts } from '../facts';
import { fieldsOf, type RunInput } from '../fields';
import type { LoadLogFacts } from '../setup';
import { examplePress } from './example';
import { specimenPlan } from './plan';
import { pressSteps } from './press-steps';

type Taken = 'runOn' | 'performedAt' | 'press' | 'steps' | 'plan' | 'example';

/** What one method in a press has of its own. */
interface Own<I extends RunInput> extends Omit<Method<I>, Taken> {
  readonly press: PressUse<I>;
  /** Its own steps, before, at and after those that all of them have. */
  readonly steps: Parameters<typeof pressSteps>[0] | Method<I>['steps'];
  /** What is to be known before loading; absent: the size, and what the press will show. */
  readonly plan?: Method<I>['plan'];
  /** The form of an example and what its readings are beside those of the fields. */
  readonly example: (system: System) => {
    readonly form: Parameters<typeof examplePress>[1];
    readonly input?: Readonly<Record<string, unknown>>;
    readonly facts?: Facts;
    readonly loadLog?: LoadLogFacts;
  };
}

/** A method that a press carries out on a specimen, with what is the same for all of them. */
export function pressed<I extends RunInput>({ steps, plan, example, ...own }: Own<I>): Method<I> {
  return {
    ...own,
    runOn: 'specimen',
    performedAt: 'testedAt',
    steps: 'measure' in steps ? pressSteps(steps) : steps,
    plan:
      plan ??
      ((system, setup) =>
        specimenPlan(own.press.test(Object.assign(new own.Input(), { system }), setup), setup, system)),
    example: (system) => {
      const { form, input, facts, loadLog } = example(system);
      return {
        input: { ...exampleInput(fieldsOf(own.Input), system), system, ...input },
        setup: { ...examplePress(system, form, facts), ...(loadLog ? { loadLog } : {}) },
      };
    },
  };
}
