import { summarise } from '../../acceptance/evaluate';
import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { KNOWN } from '../../methods/three-edge/compute';
import { type CoreChain, type CoredPipe, coreChain } from '../../pipe/core-chain';
import { fewestOfLot, lotStatistic } from '../../pipe/lot-statistic';
import { strengthOf } from '../../pipe/product';
import { type PipeStanding, retestsOf, type TestedPipe } from '../../pipe/retests';
import { type Exact, exact, plainOf } from '../../quantity';
import { Sheet } from '../../working';
import { saidOf } from './said';

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

/** The cores of a pipe in their order, each with whether it came to what is asked. */
function coredPipe({ about, verdicts }: SampleOfLot): CoredPipe {
  const own = verdicts.filter(({ method, state }) => method === 'pipe-core' && STANDING[state]);
  return { mark: String(about.mark), cores: own.map(({ state }) => state === 'meets') };
}

const say = (state: NonNullable<LotSays['verdict']>['state'], sentence: string) => ({ state, sentence });

/** What the cores say, in words, and how the lot stands by them alone. */
function coresSay(chain: CoreChain): NonNullable<LotSays['verdict']> {
  switch (chain.state) {
    case 'accepted':
      return say('meets', 'Cores: the group meets.');
    case 'recore':
      return say('not yet determinable', `Cores: core ${chain.mark} again, the same pipe.`);
    case 'two more':
      return say(
        'does not meet',
        `Cores: ${chain.mark} is rejected; draw ${chain.owed} more ${chain.owed === 1 ? 'pipe' : 'pipes'} and core ${chain.owed === 1 ? 'it' : 'them'}.`,
      );
    case 'accepted without':
      return say('meets', `Cores: ${chain.mark} is rejected, the rest of the group meets.`);
    case 'each or reject':
      return say(
        'does not meet',
        `Cores: ${chain.mark} is rejected and one of the others is low too: the rest is rejected, or each pipe is cored and judged alone. The owner’s engineer decides.`,
      );
  }
}

/**
 * How the pipes of a year stand together: one that failed asks for two others, which all have to pass; cores are another way
 * to accept them, and decide where no pipe was loaded.
 * @returns null while no pipe was tested
 * Source: ASTM C76/C76M (from memory).
 */
export function across(samples: readonly SampleOfLot[], about: LotAbout): LotSays | null {
  const others = about.limits.number('pipe-core.others', about.system).toNumber();
  const chain = coreChain(samples.map(coredPipe), others);
  const cores = chain && coresSay(chain);
  const sheet = new Sheet(about.mode);
  const loaded = togetherSay(samples, about, sheet) ?? loadedSay(samples, about);
  const verdict = loaded ?? cores;
  if (!verdict) return null;
  return {
    ...{ results: [], lines: sheet.lines, verdict },
    remarks: loaded && cores ? [cores.sentence] : [],
  };
}

/** How a lot stands by mean and scatter of its D-loads, where its order says so; undefined where it does not. */
function togetherSay(
  samples: readonly SampleOfLot[],
  { asked, limits, system }: LotAbout,
  sheet: Sheet,
): NonNullable<LotSays['verdict']> | undefined {
  const strength = asked.judged === 'together' ? strengthOf(saidOf(asked), limits, system) : undefined;
  if (!strength?.crack || samples.every(({ verdicts }) => verdicts.length === 0)) return undefined;
  const loads = samples.flatMap(({ found }) => (found[KNOWN] ? [exact(found[KNOWN])] : []));
  const fewest = fewestOfLot(limits, system);
  if (loads.length < fewest)
    return say(
      'not yet determinable',
      `${loads.length} of at least ${fewest} pipes went to their crack: the lot is judged by them together.`,
    );
  const { mean, needed, holds } = lotStatistic(loads, strength.crack, { limits, system, sheet });
  const text = (value: Exact): string =>
    plainOf(value.toDecimalPlaces(1), system === 'US' ? 'lbf/ft/ft' : 'N/m/mm');
  return say(
    holds ? 'meets' : 'does not meet',
    `Mean of ${loads.length} pipes ${text(mean)}, ${text(needed)} asked by their scatter.${holds ? '' : ' The owner’s engineer decides.'}`,
  );
}

function loadedSay(
  samples: readonly SampleOfLot[],
  { limits, system }: LotAbout,
): NonNullable<LotSays['verdict']> | undefined {
  const tested = samples.flatMap(testedPipe);
  if (tested.length === 0) return undefined;
  const each = limits.number('teb.retests', system).toNumber();
  const { failed, owed, lost } = retestsOf(tested, each);
  if (lost)
    return say(
      'does not meet',
      `${lost}, tested in place of one that failed, fails too: what is left is rejected, or each pipe is tested by itself. The owner’s engineer decides.`,
    );
  if (owed > 0)
    return say(
      'does not meet',
      `${failed.join(' and ')} failed: ${owed} ${owed === 1 ? 'other is' : 'others are'} still to be tested, ${each} for each. The lot is accepted only if all of them pass.`,
    );
  if (tested.some(({ standing }) => standing === 'open'))
    return say(
      'not yet determinable',
      'A pipe is tested without an answer: probe on, or test another that was not loaded too fast.',
    );
  return say(
    'meets',
    failed.length > 0
      ? `${failed.join(' and ')} failed; all that were tested in their place pass. The failed ones are rejected.`
      : `${tested.length === 1 ? 'The pipe that was tested bears' : `All ${tested.length} pipes that were tested bear`} what its class asks for.`,
  );
}
