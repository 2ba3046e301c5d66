/** Where a fault can lie for which one result leaves the mean of its set. Source: ACI 318 26.12 and ASTM C31/C39 (from memory). */
export const FAULTS = ['sampling', 'moulding', 'curing or handling', 'testing'] as const;
