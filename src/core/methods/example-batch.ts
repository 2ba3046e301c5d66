import type { RunSetup } from './setup';

/** The setup of an example of a batch: invented specimens of a form, and equipment in date. */
export function exampleBatch(
  label: string,
  labels: readonly string[],
  form: string,
  equipment: readonly { readonly kind: string; readonly number: string }[],
): RunSetup {
  return {
    zone: 'America/New_York',
    batch: { label, seed: 1, specimens: labels.map((each) => ({ label: each, form })) },
    equipment: equipment.map((each) => ({ ...each, verifiedOn: '2031-02-11' })),
  };
}
