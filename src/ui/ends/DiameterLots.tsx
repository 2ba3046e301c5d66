import { Box, Typography } from '@mui/material';
import type { LotState } from '@/core/methods/cylinder-compression/lot-diameter';
import { TextLink } from '../parts/LinkButton';

interface Lot extends LotState {
  readonly id: string;
  readonly members: readonly {
    readonly id: string;
    readonly label: string;
    readonly drawn: boolean;
    readonly mean: string | null;
  }[];
}

/** Lots with the cylinders drawn to be measured, and what holds for the others. */
export function DiameterLots({ lots }: { lots: readonly Lot[] }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lots.map(({ id, lot, members, state, ...facts }) => (
        <Box component="li" key={id} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
          <Typography>
            <b>{lot}</b>
            {`: ${facts.drawn} of ${facts.count} are measured, drawn beforehand. `}
            <Box
              component="span"
              sx={{
                color: state === 'take' ? 'success.main' : state === 'wait' ? 'text.secondary' : 'error.main',
                fontWeight: 700,
              }}
            >
              {state === 'take'
                ? `✓ Within ${facts.range}: the others take ${facts.mean}.`
                : state === 'wait'
                  ? `… ${facts.measured} measured so far.`
                  : `✕ They differ by ${facts.range}: measure every one.`}
            </Box>
          </Typography>
          <Typography variant="body2" component="div" sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            {members
              .filter(({ drawn }) => drawn)
              .map((member) => (
                <span key={member.id}>
                  <TextLink href={`/bench/${member.id}`}>{member.label}</TextLink>
                  {member.mean ? ` ${member.mean}` : ' to be measured'}
                </span>
              ))}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
