import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { plotMarks, type ReportContent, rulesText, type Section, sectionsOf, WHOLE } from '@/core/report';
import { Card, Facts } from '../parts/Card';
import { VerdictMark } from '../parts/Verdict';
import { Working } from '../parts/Working';
import { SetCurves } from '../press/SetCurves';
import { ReportDrawing } from './ReportDrawing';

/** A report on the screen: the same sections as its PDF. */
export function ReportBody({ content }: { content: ReportContent }) {
  return (
    <Stack spacing={2}>
      {content.laboratory ? (
        <Typography color="text.secondary">
          {[content.laboratory.name, ...content.laboratory.lines].join(', ')}
        </Typography>
      ) : null}
      <Card title="What was tested">
        <Facts pairs={content.facts} />
      </Card>
      {sectionsOf(content).map((section) => (
        <Card key={section.title} title={section.title}>
          <SectionBody section={section} />
        </Card>
      ))}
      <Card title="Methods and rules">
        <Typography variant="body2">{rulesText(content)}</Typography>
        {content.statements.map((text) => (
          <Typography key={text} variant="body2" color="text.secondary">
            {text}
          </Typography>
        ))}
      </Card>
    </Stack>
  );
}

/** A sheet to be filled in by hand: what it rests on, then room to write. */
function Release({
  sheet: { said, blanks, words },
}: {
  sheet: Extract<Section, { kind: 'release' }>['sheets'][number];
}) {
  return (
    <Box sx={{ mb: 2 }}>
      <Facts pairs={said} />
      <Typography variant="body2" sx={{ my: 1 }}>
        {words}
      </Typography>
      {blanks.map((blank) => (
        <Box
          key={blank}
          sx={{ display: 'flex', gap: 2, borderBottom: 1, borderColor: 'text.primary', pt: 2.5 }}
        >
          <Typography variant="body2" color="text.secondary">
            {blank}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

function SectionBody({ section }: { section: Section }) {
  switch (section.kind) {
    case 'table':
      return <SectionTable section={section} />;
    case 'verdicts':
      return section.rows.map(({ title, state, sentence }) => (
        <Box key={`${title} ${sentence}`} sx={{ mb: 1 }}>
          <VerdictMark state={state} word={title} />
          <Typography variant="body2">{sentence}</Typography>
        </Box>
      ));
    case 'list':
      return section.items.length === 0 ? (
        <Typography color="text.secondary">{section.none}</Typography>
      ) : (
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          {section.items.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </Box>
      );
    case 'release':
      return section.sheets.map((sheet) => <Release key={sheet.said.join()} sheet={sheet} />);
    case 'plots':
      return section.plots.map((each) => <Plot key={each.of} {...each} />);
    case 'drawing':
      return (
        <>
          <ReportDrawing drawing={section.drawing} picture={section.picture} />
          {section.notes.map((text) => (
            <Typography key={text} variant="body2" color="text.secondary">
              {text}
            </Typography>
          ))}
        </>
      );
    case 'photographs':
      return (
        <Stack direction="row" sx={{ flexWrap: 'wrap', gap: 2 }}>
          {section.photographs.map(({ of, photo }) => (
            <Box key={photo.id} component="figure" sx={{ m: 0, width: 260, maxWidth: '100%' }}>
              <a href={`/api/${section.from}/${photo.id}`} target="_blank" rel="noreferrer">
                {photo.mime === 'application/pdf' ? (
                  photo.name
                ) : (
                  // biome-ignore lint/performance/noImgElement: a record of the laboratory, shown as it was kept
                  <img
                    src={`/api/${section.from}/${photo.id}`}
                    alt={`${of}: ${photo.name}`}
                    style={{ width: '100%' }}
                  />
                )}
              </a>
              <Typography component="figcaption" variant="body2" color="text.secondary">
                {`${of}, ${photo.at}`}
              </Typography>
            </Box>
          ))}
        </Stack>
      );
    case 'curves':
      return (
        <SetCurves
          axis={section.axis}
          curves={section.curves.map(({ label, log }) => ({
            label,
            points: log.points,
            startAt: log.startAt,
          }))}
        />
      );
    default:
      return (
        <Stack spacing={1}>
          {section.sheets.map(({ title, lines }) => (
            <details key={title}>
              <summary>{title}</summary>
              <Box sx={{ mt: 1 }}>
                <Working lines={lines} />
              </Box>
            </details>
          ))}
        </Stack>
      );
  }
}

const PLOT = { width: 420, height: 230 };

/** Points with their line, as they are printed. */
function Plot({ of, plot }: Extract<Section, { kind: 'plots' }>['plots'][number]) {
  const { points, line, xs, ys } = plotMarks(plot, PLOT.width, PLOT.height);
  return (
    <Box sx={{ mb: 2 }}>
      <Typography sx={{ fontWeight: 700 }}>{of}</Typography>
      <Box
        component="svg"
        viewBox={`-44 -6 ${PLOT.width + 54} ${PLOT.height + 28}`}
        sx={{ width: '100%', maxWidth: 560, color: 'text.primary' }}
        role="img"
        aria-label={`${plot.y} over ${plot.x} of ${points.length} specimens`}
      >
        {xs.map(({ at, value }) => (
          <g key={value} opacity={0.6}>
            <path d={`M${at} 0V${PLOT.height}`} stroke="currentColor" strokeWidth={0.3} />
            <text x={at} y={PLOT.height + 16} fontSize={12} textAnchor="middle" fill="currentColor">
              {value}
            </text>
          </g>
        ))}
        {ys.map(({ at, value }) => (
          <g key={value} opacity={0.6}>
            <path d={`M0 ${at}H${PLOT.width}`} stroke="currentColor" strokeWidth={0.3} />
            <text x={-6} y={at + 4} fontSize={12} textAnchor="end" fill="currentColor">
              {value}
            </text>
          </g>
        ))}
        {line ? <path d={line} fill="none" stroke="currentColor" strokeWidth={1.5} /> : null}
        {points.map(({ label, x, y }) => (
          <circle key={label} cx={x} cy={y} r={3.5} fill="currentColor">
            <title>{label}</title>
          </circle>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {`Across ${plot.x}, up ${plot.y}, both by powers of ten.`}
      </Typography>
    </Box>
  );
}

function SectionTable({ section }: { section: Extract<Section, { kind: 'table' }> }) {
  const { columns, rows, sentences, notes } = section;
  return (
    <>
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small">
          <TableHead>
            <TableRow>
              {columns.map(({ heading }) => (
                <TableCell key={heading}>{heading}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map((row) => (
              <TableRow key={row.join('|')}>
                {columns.map(({ heading, as }, place) => (
                  <TableCell
                    key={heading}
                    className={as === 'mono' || as === 'strong' ? 'mono' : ''}
                    sx={{
                      ...(as === 'strong' ? { fontWeight: 500 } : {}),
                      ...(WHOLE.test(row[place] ?? '') ? { whiteSpace: 'nowrap' } : {}),
                    }}
                  >
                    {row[place]}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {sentences.map((text) => (
        <Typography key={text} sx={{ mt: 1, fontWeight: 700 }}>
          {text}
        </Typography>
      ))}
      {notes.map((text) => (
        <Typography key={text} variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          {text}
        </Typography>
      ))}
    </>
  );
}
