import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { breakWords, type ReportContent, remarksOf, resultText, setName } from '@/core/report';
import { Card, Facts } from '../parts/Card';
import { VerdictMark } from '../parts/Verdict';
import { Working } from '../parts/Working';
import { SetCurves } from '../press/SetCurves';

/** A report on the screen: the same content as its PDF. */
export function ReportBody({ content }: { content: ReportContent }) {
  const { job, mix, placement, sample } = content;
  const remarks = remarksOf(content);
  return (
    <Stack spacing={2}>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Card title="What was tested">
          <Facts
            pairs={[
              ['Client', job.owner],
              ['Project', `${job.number} ${job.name}, ${job.location}`],
              [
                'Placement',
                `${placement.number}: ${[placement.element, placement.location, placement.volume].filter(Boolean).join(', ')}`,
              ],
              ['Mix', `${mix.code}, ${mix.title}`],
              ['Specified', `${mix.specified} at ${mix.age}`],
              ['Sample', `${sample.label}, ticket ${sample.ticket || 'not recorded'}`],
              ['Sampled', `${sample.sampledAt} by ${sample.sampledBy}`],
            ]}
          />
        </Card>
        <Card title="Against the project’s criteria">
          {content.verdicts.length === 0 ? (
            <Typography color="text.secondary">Nothing can be held against the criteria yet.</Typography>
          ) : (
            content.verdicts.map((verdict) => (
              <Box key={verdict.criterion} sx={{ mb: 1 }}>
                <VerdictMark
                  state={verdict.state}
                  word={verdict.criterion === 'individual' ? 'Single test' : 'Mean of three in a row'}
                />
                <Typography variant="body2">{verdict.sentence}</Typography>
              </Box>
            ))
          )}
          {content.fresh.map((test) => (
            <Box key={`${test.title}${test.attempt}`} sx={{ mt: 1 }}>
              <Typography>
                {`${test.title}: `}
                <span className="mono">{resultText(test)}</span>
              </Typography>
              {test.conformity.map((each) => (
                <Typography
                  key={each.criterion}
                  variant="body2"
                  color={each.verdict === 'does not meet' ? 'error' : 'text.secondary'}
                >
                  {each.sentence}
                </Typography>
              ))}
            </Box>
          ))}
        </Card>
      </Box>
      {content.specimens.length > 0 ? (
        <Card title="Hardened specimens">
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small">
              <TableHead>
                <TableRow>
                  {[
                    'Specimen',
                    'Test',
                    'Age',
                    'At test',
                    'Load',
                    'Result',
                    'Ends and fracture',
                    'Tested',
                  ].map((word) => (
                    <TableCell key={word}>{word}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {content.specimens.map((specimen) => (
                  <TableRow key={`${specimen.label} ${specimen.test.title}`}>
                    <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                      {specimen.label}
                    </TableCell>
                    <TableCell>{specimen.test.title}</TableCell>
                    <TableCell sx={{ whiteSpace: 'nowrap' }}>{specimen.designatedAge}</TableCell>
                    <TableCell sx={{ whiteSpace: 'nowrap' }}>{specimen.age}</TableCell>
                    <TableCell className="mono">
                      {specimen.test.readings.find(({ label }) => label === 'Maximum load')?.text}
                    </TableCell>
                    <TableCell className="mono" sx={{ fontWeight: 500 }}>
                      {resultText(specimen.test)}
                    </TableCell>
                    <TableCell>{breakWords(specimen.test)}</TableCell>
                    <TableCell>{`${specimen.test.at}, ${specimen.test.by}`}</TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
          {content.sets.map((set) => (
            <Typography key={`${setName(set)} ${set.age} ${set.cure}`} sx={{ mt: 1, fontWeight: 700 }}>
              {`${setName(set)} at ${set.age}: ${set.value ? `${set.value} ${set.unit}` : set.what ? 'no mean' : 'no valid result'}${set.state === 'pending' ? ' so far' : ''}`}
            </Typography>
          ))}
          <SetCurves
            curves={content.specimens.flatMap(({ label, test }) =>
              test.log ? [{ label, points: test.log.points, startAt: test.log.startAt }] : [],
            )}
          />
          {content.waiting.length > 0 ? (
            <Typography
              variant="body2"
              color="text.secondary"
            >{`Not tested yet: ${content.waiting.join(', ')}.`}</Typography>
          ) : null}
        </Card>
      ) : null}
      <Card title="Departures and remarks">
        {remarks.length === 0 ? (
          <Typography color="text.secondary">None.</Typography>
        ) : (
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {remarks.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </Box>
        )}
      </Card>
      {content.sets
        .filter(({ lines }) => lines.length > 0)
        .map((set) => (
          <Card
            key={`${setName(set)} ${set.age} ${set.cure}`}
            title={`Working: ${setName(set)} at ${set.age}`}
          >
            <Working lines={set.lines} />
          </Card>
        ))}
      <Card title="Methods and rules">
        <Typography variant="body2">
          {`${content.methods.join('; ')}. Rounding: ${content.rounding}. Limits register revision ${content.limitsRevision}.`}
          {content.recalledLimits
            ? ' Some limits are recalled from memory and not yet confirmed against the laboratory’s own copy.'
            : ''}
        </Typography>
        {content.statements.map((text) => (
          <Typography key={text} variant="body2" color="text.secondary">
            {text}
          </Typography>
        ))}
      </Card>
    </Stack>
  );
}
