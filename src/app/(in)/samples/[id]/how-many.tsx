import { Box, Typography } from '@mui/material';
import type { Material, MaterialWords } from '@/core/material/contract';
import { formText } from '@/core/materials/forms';
import { isReportable } from '@/core/working';
import type { sampleDossier } from '@/server/queries/sample';
import { isCut } from '@/server/queries/together';
import { Card } from '@/ui/parts/Card';

/** How many specimens a sample wants, of one form where each has its own plan, and how it stands. */
export interface PlanStands {
  readonly form: string | undefined;
  readonly count: number;
  readonly take: number;
  readonly why: string;
  readonly here: number;
  readonly done: number;
  readonly waiting: number;
}

/** The plans of a sample against what there is. */
export function plansOf(
  material: Material | undefined,
  { sample, specimens, mix, planOf }: Awaited<ReturnType<typeof sampleDossier>>,
): PlanStands[] {
  const forms = material?.plannedForms?.({ ...mix.asked }, sample.about) ?? [undefined];
  return forms.flatMap((form) => {
    const plan = planOf(form);
    const own = specimens.filter((each) => form === undefined || each.form === form);
    if (!plan) return [];
    return [
      {
        form,
        ...plan,
        here: own.length,
        done: own.filter(
          ({ testedAt, run }) =>
            testedAt !== null && isReportable(run?.outcome?.findings ?? []) && !run?.apart,
        ).length,
        waiting: own.filter((each) => !each.testedAt && each.discarded === null && !isCut(each, specimens))
          .length,
      },
    ];
  });
}

/** The card that says it. */
export function HowMany({
  plans,
  words,
}: {
  plans: readonly PlanStands[];
  words: MaterialWords | undefined;
}) {
  const word = words?.sample[0] ?? 'sample';
  return (
    <Card title="How many">
      {plans.map(({ form, count, take, why, done, waiting }) => (
        <Box key={form ?? ''} sx={{ mb: 1 }}>
          <Typography className="mono" sx={{ fontSize: form ? '1.2rem' : '1.6rem' }}>
            {form
              ? `${formText(form)}: ${done} valid of ${count}`
              : `${done} valid, ${count} make ${/^[aeiou]/u.test(word) ? 'an' : 'a'} ${word}`}
          </Typography>
          <Typography>{`Take ${take}: ${why}`}</Typography>
          {count > done ? (
            <Typography sx={{ color: 'warning.main', fontWeight: 700 }} role="status">
              {`${count - done} valid ${count - done === 1 ? 'test is' : 'tests are'} still wanted${waiting > 0 ? `; ${waiting} ${waiting === 1 ? words?.specimen[0] : words?.specimen[1]} wait` : ''}.`}
            </Typography>
          ) : null}
        </Box>
      ))}
    </Card>
  );
}
