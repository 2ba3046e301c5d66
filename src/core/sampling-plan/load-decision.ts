/** Where a load stands after its preliminary samples; in our own words after the sense of ASTM C94/C94M (from memory). */
export type LoadState =
  | 'preliminary'
  | 'check'
  | 'adjust'
  | 'adjusted'
  | 'check after adjusting'
  | 'go'
  | 'failed'
  | 'out';

export type Against = 'in' | 'low' | 'high';

export interface LoadDecision {
  readonly state: LoadState;
  /** What is allowed next, and who decides. */
  readonly next: string;
}

const TELL =
  'Tell the purchaser’s representative now; the laboratory reports and does not decide on the load.';

const NEXT: Readonly<Record<LoadState, string>> = {
  preliminary: 'Take a preliminary sample after the first quarter of a cubic yard [metre].',
  check: 'High: take a check sample at once, nothing added.',
  adjust:
    'Low: one adjustment is allowed, water within the ratio or admixture; then 30 turns and a new sample.',
  adjusted: 'Sample the adjusted load after 30 turns.',
  'check after adjusting': 'Still out after the adjustment: take one check sample at once.',
  go: 'In tolerance: discharge may go on. The acceptance sample comes from the middle of the load.',
  failed: `Out of tolerance twice. ${TELL}`,
  out: `Out of tolerance and no adjustment is left. ${TELL}`,
};

/**
 * What may be done with a load after its preliminary samples, one after the other; slump and air alike.
 * @param results each preliminary result against the tolerance, in order
 * @param mayAdjust whether water or admixture is still permitted, and nothing but the preliminary portion is out
 */
export function loadDecision(results: readonly Against[], mayAdjust: boolean): LoadDecision {
  let state: LoadState = 'preliminary';
  for (const result of results) state = after(state, result, mayAdjust);
  return { state, next: NEXT[state] };
}

function after(state: LoadState, result: Against, mayAdjust: boolean): LoadState {
  switch (state) {
    case 'preliminary':
      if (result === 'in') return 'go';
      if (result === 'high') return 'check';
      return mayAdjust ? 'adjust' : 'out';
    case 'check':
      return result === 'in' ? 'go' : 'failed';
    case 'adjust':
    case 'adjusted':
      return result === 'in' ? 'go' : 'check after adjusting';
    case 'check after adjusting':
      return result === 'in' ? 'go' : 'failed';
    default:
      return state;
  }
}
