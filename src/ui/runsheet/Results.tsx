'use client';
import { Box, IconButton, Tooltip, Typography } from '@mui/material';
import { fieldsOf, type Method, mainOf, mainQuantity, type Outcome, type Result } from '@/core/methods';
import { unitLabel } from '@/core/quantity';
import { isReportable } from '@/core/working';
import { useNotice } from '../parts/Notice';
import { MONO } from '../theme';

/** The main result as the largest thing on the sheet, the others under it. */
export function Results({
  outcome,
  method,
  values,
}: {
  outcome: Outcome;
  method: Method;
  /** The readings so far: one of them may have to be there before the number is. */
  values: Readonly<Record<string, string>>;
}) {
  const mainResult = mainQuantity(method);
  const first = fieldsOf(method.Input).find(({ name }) => name === method.looksFirst);
  const looksFirst = first && !values[first.name] ? first.label : undefined;
  const main = mainOf(method, outcome);
  const others = outcome.results.filter((result) => result !== main);
  const valid = isReportable(outcome.findings);
  if (looksFirst && main)
    return (
      <Typography sx={{ fontSize: '1.2rem', py: 1 }}>
        {`The number is kept back until it is said: ${looksFirst.charAt(0).toLowerCase()}${looksFirst.slice(1)}.`}
      </Typography>
    );
  return (
    <Box>
      {main ? (
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
          <Typography
            data-testid="main-result"
            sx={{
              fontFamily: MONO,
              fontSize: '3.2rem',
              lineHeight: 1.1,
              fontWeight: 500,
              textDecoration: valid ? 'none' : 'line-through',
              color: valid ? 'text.primary' : 'error.main',
            }}
          >
            {main.text}
          </Typography>
          <Typography sx={{ fontSize: '1.4rem' }}>{unitLabel(main.unit)}</Typography>
          <Copy result={main} />
        </Box>
      ) : (
        <Typography color="text.secondary" sx={{ py: 2 }}>
          {`No ${mainResult} yet.`}
        </Typography>
      )}
      {main &&
      (main.about || method.yields.some(({ quantity, named }) => named && quantity === main.quantity)) ? (
        <Typography color="text.secondary">
          {[main.about, main.quantity].filter(Boolean).join(', ')}
        </Typography>
      ) : null}
      {main?.converted ? (
        <Typography color="text.secondary">
          {`${main.converted.text} ${unitLabel(main.converted.unit)}, converted`}
        </Typography>
      ) : null}
      {main?.provisional ? (
        <Typography color="warning.main">{`Provisional: ${main.provisional}.`}</Typography>
      ) : null}
      {others.map((result) => (
        <Typography key={`${result.quantity} ${result.about}`} color="text.secondary">
          {`${result.about ? `${result.about}, ` : ''}${result.quantity}: `}
          <Box component="span" className="mono" sx={{ color: 'text.primary' }}>
            {`${result.text} ${unitLabel(result.unit)}`}
          </Box>
        </Typography>
      ))}
      {outcome.verdicts.map((each) => (
        <Typography
          key={each.criterion}
          sx={{
            mt: 1,
            fontWeight: 700,
            color:
              each.state === 'meets'
                ? 'success.main'
                : each.state === 'does not meet'
                  ? 'error.main'
                  : 'text.secondary',
          }}
        >
          {each.sentence}
        </Typography>
      ))}
    </Box>
  );
}

function Copy({ result }: { result: Result }) {
  const notice = useNotice();
  const text = `${result.text} ${unitLabel(result.unit)}`;
  return (
    <Tooltip title="Copy with its unit">
      <IconButton
        size="small"
        aria-label={`Copy ${text}`}
        className="no-print"
        onClick={() =>
          navigator.clipboard
            ?.writeText(text)
            .then(() => notice(`${text} copied.`))
            .catch(() => notice('The browser does not let this page copy.', 'error'))
        }
      >
        <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
          <path d="M5 1h10v10h-4v4H1V5h4zM5 5v6h6" fill="none" stroke="currentColor" strokeWidth="1.5" />
        </svg>
      </IconButton>
    </Tooltip>
  );
}
