import { unitLabel } from '@/core/quantity';
import { isReportable } from '@/core/working';
import type { SpecimenView } from '@/server/queries/dossier';
import type { PieceView } from '@/ui/materials/kit';

/** The specimens of a sample as the picture of their material takes them. */
export function piecesOf(specimens: readonly SpecimenView[]): PieceView[] {
  return specimens.map(({ id, label, role, parentId, run, testedAt, discarded }) => {
    const outcome = run?.outcome;
    const valid = isReportable(outcome?.findings ?? []);
    return {
      id,
      label,
      role,
      parentId,
      results: Object.fromEntries(
        valid
          ? (outcome?.results ?? []).map(({ quantity, text, unit }) => [
              quantity,
              `${text} ${unitLabel(unit)}`.trim(),
            ])
          : [],
      ),
      state: testedAt ? (valid ? 'done' : 'no valid test') : run ? 'being tested' : '',
      href: `/specimens/${id}`,
      gone: discarded !== null,
    };
  });
}
