import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Limits } from '@/core/limits';
import type { Role } from '@/core/material/contract';
import { formText } from '@/core/materials/forms';
import { findMethod } from '@/core/methods/registry';
import { isHeld } from '@/core/moulds';
import { unitLabel } from '@/core/quantity';
import { WHOLE } from '@/core/report';
import { ageText, windowState } from '@/core/windows';
import { capital } from '@/core/words';
import { isReportable } from '@/core/working';
import type { SpecimenView } from '@/server/queries/dossier';
import { isCut } from '@/server/queries/together';
import { columnsOf } from '@/server/reports/content';
import { TextLink } from '@/ui/parts/LinkButton';
import { WindowBadge } from '@/ui/parts/WindowBadge';
import { dayTime } from '@/ui/time';

interface Props {
  readonly specimens: readonly SpecimenView[];
  /** What one of them is called. */
  readonly word: string;
  /** True where they have an age, and with it a window. */
  readonly aged: boolean;
  readonly zone: string;
  readonly limits: Limits;
  readonly now: number;
  /** Labels lead to the specimen's own page. */
  readonly linked: boolean;
  /** What specimens of one form are for; empty where there is one test for them. */
  readonly roles: readonly Role[];
}

/** The specimens of a sample: how each stands, what its method shows of it, what it came to. */
export function SpecimenTable({ specimens, word, aged, zone, limits, now, linked, roles }: Props) {
  const headings = [
    ...new Set(
      specimens.flatMap(({ run }) =>
        (run ? (findMethod(run.method)?.columns ?? []) : []).map(({ heading }) => heading),
      ),
    ),
  ];
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {[
              capital(word),
              ...(aged ? ['Age'] : []),
              'Form',
              ...(roles.length > 0 ? ['For'] : []),
              ...(aged ? ['Window'] : []),
              'State',
              ...headings,
              'Result',
            ].map((each) => (
              <TableCell key={each}>{each}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {specimens.map((view) => {
            const columns = view.run ? columnsOf(view.run, zone) : [];
            return (
              <TableRow key={view.id}>
                <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                  {linked ? <TextLink href={`/specimens/${view.id}`}>{view.label}</TextLink> : view.label}
                </TableCell>
                {aged ? (
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>
                    {view.ageHours ? ageText(view.ageHours) : 'held'}
                  </TableCell>
                ) : null}
                <TableCell>{formText(view.form)}</TableCell>
                {roles.length > 0 ? (
                  <TableCell>{roles.find(({ id }) => id === view.role)?.text ?? ''}</TableCell>
                ) : null}
                {aged ? (
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>
                    {view.opensAt && view.closesAt
                      ? `${dayTime(view.opensAt, zone)} to ${dayTime(view.closesAt, zone)}`
                      : ''}
                  </TableCell>
                ) : null}
                <TableCell>
                  {isCut(view, specimens) ? 'cut' : <State view={view} limits={limits} now={now} />}
                </TableCell>
                {headings.map((heading) => {
                  const text = columns.find(([own]) => own === heading)?.[1] ?? '';
                  // A number keeps its unit.
                  return (
                    <TableCell key={heading} sx={WHOLE.test(text) ? { whiteSpace: 'nowrap' } : {}}>
                      {text}
                    </TableCell>
                  );
                })}
                <Came view={view} />
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}

/** How a specimen stands: its window where it has one, else what has become of it. */
function State({ view, limits, now }: { view: SpecimenView; limits: Limits; now: number }) {
  const { opensAt, closesAt, testedAt, discarded, run } = view;
  if (discarded !== null) return `discarded: ${discarded}`;
  if (opensAt && closesAt) {
    const window = { opensAt: opensAt.getTime(), closesAt: closesAt.getTime() };
    return <WindowBadge state={windowState(window, now, limits, testedAt?.getTime() ?? null)} />;
  }
  if (isHeld(view)) return 'held';
  if (testedAt) return isReportable(run?.outcome?.findings ?? []) ? 'tested' : 'no valid test';
  return run ? 'being tested' : 'waits';
}

/** What a specimen came to, and what tests said that left it whole. */
function Came({ view: { run, whole } }: { view: SpecimenView }) {
  const valid = isReportable(run?.outcome?.findings ?? []);
  const main = run?.main;
  return (
    <TableCell
      className="mono"
      sx={{ whiteSpace: 'nowrap', ...(valid ? {} : { textDecoration: 'line-through' }) }}
    >
      {main ? `${main.text} ${unitLabel(main.unit)}` : ''}
      {run?.apart && main ? <Typography variant="body2">{main.quantity}</Typography> : null}
      {whole.map((each) => (
        <Typography key={each.id} variant="body2" className="mono">
          {each.main
            ? `${findMethod(each.method)?.title}: ${each.main.text} ${unitLabel(each.main.unit)}`
            : ''}
        </Typography>
      ))}
    </TableCell>
  );
}
