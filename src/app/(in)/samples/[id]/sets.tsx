import { Box, Typography } from '@mui/material';
import { findCriterion } from '@/core/acceptance/criteria';
import { unitLabel } from '@/core/quantity';
import { isReportable } from '@/core/working';
import type { SpecimenSet } from '@/server/sets';
import { Card, Facts } from '@/ui/parts/Card';
import { Findings } from '@/ui/parts/Findings';
import { SetPicture } from '@/ui/parts/SetPicture';
import { VerdictMark } from '@/ui/parts/Verdict';
import { Working } from '@/ui/parts/Working';

/** The sets of a sample that have something to say: drawn where their method draws them, then what they come to. */
export function SetCards({ sets, title }: { sets: readonly SpecimenSet[]; title: string }) {
  const said = sets.filter(({ test, note, verdicts }) => test.value !== null || note || verdicts.length > 0);
  return (
    <>
      {sets
        .filter(({ derived }) => derived?.plot)
        .map((set) => (
          <Card key={set.key} title={title}>
            <SetPicture
              method={set.method}
              pieces={piecesOf(set)}
              mean={set.test.text === null ? null : Number(set.test.text.replaceAll(',', ''))}
              unit={unitLabel(set.test.unit)}
              plot={set.derived?.plot}
            />
          </Card>
        ))}
      {said.length > 0 ? (
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
            alignItems: 'start',
          }}
        >
          {said.map((set) => (
            <SetCard key={set.key} set={set} />
          ))}
        </Box>
      ) : null}
    </>
  );
}

/** What a set comes to, what it is held against, and the working. */
function SetCard({ set }: { set: SpecimenSet }) {
  const { title, test, note, what, verdicts, derived } = set;
  return (
    <Card title={title}>
      <Typography className="mono" sx={{ fontSize: '1.8rem' }}>
        {test.text ? `${test.text} ${unitLabel(test.unit)}` : ''}
        {test.state === 'pending' ? ' so far' : ''}
      </Typography>
      {note ? <Typography>{note}</Typography> : null}
      {what && (test.text || !note)
        ? verdicts.map(({ criterion, state, sentence }) => (
            <Typography key={criterion}>
              <VerdictMark state={state} word={findCriterion(criterion)?.title ?? criterion} />
              {` ${sentence}`}
            </Typography>
          ))
        : null}
      {derived ? (
        <Box sx={{ mt: 1 }}>
          <Facts pairs={derived.said} />
          {derived.remarks.map((text) => (
            <Typography key={text} sx={{ color: 'warning.main', mt: 0.5 }}>
              {text}
            </Typography>
          ))}
        </Box>
      ) : null}
      {test.findings.length > 0 ? <Findings findings={test.findings} /> : null}
      <Box sx={{ mt: 1 }}>
        <Working lines={test.lines} />
      </Box>
    </Card>
  );
}

/** The tested specimens of a set, as its picture takes them. */
function piecesOf({ specimens, test }: SpecimenSet) {
  return specimens.flatMap(({ id, label, run, testedAt }) => {
    if (!testedAt || !run?.outcome) return [];
    const { findings } = run.outcome;
    return [
      {
        id,
        label,
        value: run.main && !run.apart && isReportable(findings) ? Number(run.main.reported) : null,
        used: test.used.includes(label),
      },
    ];
  });
}
