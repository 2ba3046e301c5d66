import { summarise } from '../../acceptance/evaluate';
import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { type PipeStanding, retestsOf, type TestedPipe } from '../../pipe/retests';

const STANDING: Readonly<Record<string, PipeStanding>> = { meets: 'meets', 'does not meet': 'fails' };

/** A pipe by the verdicts of its test; undefined for one that has none. */
function testedPipe({ about, verdicts }: SampleOfLot): TestedPipe[] {
  const own = verdicts.filter(({ method }) => method === 'three-edge');
  if (own.length === 0) return [];
  return [
    {
      mark: String(about.mark),
      standing: STANDING[summarise(own)] ?? 'open',
      ...(about.retestOf ? { retestOf: String(about.retestOf) } : {}),
    },
  ];
}

/**
 * How the pipes of a year stand together: one that failed asks for two others, which all have to pass.
 * @returns null while no pipe was tested
 * Source: ASTM C76/C76M (from memory).
 */
export function across(samples: readonly SampleOfLot[], { limits, system }: LotAbout): LotSays | null {
  const tested = samples.flatMap(testedPipe);
  if (tested.length === 0) return null;
  const each = limits.number('teb.retests', system).toNumber();
  const { failed, owed, lost } = retestsOf(tested, each);
  const says = (state: NonNullable<LotSays['verdict']>['state'], sentence: string): LotSays => ({
    results: [],
    lines: [],
    remarks: [],
    verdict: { state, sentence },
  });
  if (lost)
    return says(
      'does not meet',
      `${lost}, tested in place of one that failed, fails too: what is left is rejected, or each pipe is tested by itself. The owner’s engineer decides.`,
    );
  if (owed > 0)
    return says(
      'does not meet',
      `${failed.join(' and ')} failed: ${owed} ${owed === 1 ? 'other is' : 'others are'} still to be tested, ${each} for each. The lot is accepted only if all of them pass.`,
    );
  if (tested.some(({ standing }) => standing === 'open'))
    return says(
      'not yet determinable',
      'A pipe is tested without an answer: probe on, or test another that was not loaded too fast.',
    );
  return says(
    'meets',
    failed.length > 0
      ? `${failed.join(' and ')} failed; all that were tested in their place pass. The failed ones are rejected.`
      : `${tested.length === 1 ? 'The pipe that was tested bears' : `All ${tested.length} pipes that were tested bear`} what its class asks for.`,
  );
}
