/**
 * `invalid`: the result must not be reported as a valid test; `departure`: reportable only with its remark;
 * `advice`: a careful technician would look.
 */
export type Severity = 'invalid' | 'departure' | 'advice';

/** What a check found: which reading, against which limit, from where, and what to do now. */
export interface Finding {
  /** Stable identifier of the check, `cylinder.diameter-spread`. */
  readonly id: string;
  readonly severity: Severity;
  /** The input fields concerned. */
  readonly fields: readonly string[];
  readonly message: string;
  /** What to do now. */
  readonly action: string;
  /** The limit it was held against, in words with its unit; absent when the check needs none. */
  readonly limit?: {
    readonly id: string;
    readonly text: string;
    readonly source: string;
    readonly status: string;
  };
  /** The remark that goes on the report with a departure. */
  readonly remark?: string;
  /** True when a reviewer must accept a recorded reason before the result can be reported. */
  readonly needsReason: boolean;
  /** True for what is known before the specimen is loaded: the go-ahead is withheld while it stands. */
  readonly beforeLoad: boolean;
}

/** Makes a finding: `invalid` ones ask for a reason, departures only where said. */
export function finding(
  request: Omit<Finding, 'needsReason' | 'beforeLoad'> & { needsReason?: boolean; beforeLoad?: boolean },
): Finding {
  return {
    ...request,
    needsReason: request.needsReason ?? request.severity === 'invalid',
    beforeLoad: request.beforeLoad ?? false,
  };
}

const ORDER: Record<Severity, number> = { invalid: 0, departure: 1, advice: 2 };

/** Findings, the most serious first, otherwise in the order they were found. */
export function bySeverity(findings: readonly Finding[]): Finding[] {
  return findings.toSorted((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}

/** True when nothing found forbids reporting the result as a valid test. */
export function isReportable(findings: readonly Finding[]): boolean {
  return findings.every((found) => found.severity !== 'invalid');
}
