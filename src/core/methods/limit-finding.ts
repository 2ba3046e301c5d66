import { cite, type LimitId, type Limits } from '../limits';
import type { System } from '../quantity';
import { type Finding, finding, type Severity } from '../working';

/** What a finding says, without what it is held against. */
export interface FindingWords {
  readonly message: string;
  readonly action: string;
  readonly remark?: string;
}

/** A finding that is named after the limit it is held against, and cites it. */
export function limitFinding(
  limits: Limits,
  system: System,
  about: {
    readonly id: LimitId;
    readonly severity: Severity;
    readonly fields: readonly string[];
    readonly needsReason?: boolean;
    readonly beforeLoad?: boolean;
  },
  words: FindingWords,
): Finding {
  return finding({ ...about, limit: cite(limits.of(about.id, system)), ...words });
}
