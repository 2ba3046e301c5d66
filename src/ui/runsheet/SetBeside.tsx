import { Box, Typography } from '@mui/material';
import type { ComponentProps } from 'react';
import type { VerdictState } from '@/core/acceptance';
import { type UnitId, unitLabel } from '@/core/quantity';
import type { Finding } from '@/core/working';
import { Findings } from '../parts/Findings';
import { VerdictMark } from '../parts/Verdict';
import { type CurveScale, SetCurves } from '../press/SetCurves';

interface Member {
  readonly id: string;
  readonly label: string;
  readonly strength: string | null;
  readonly here: boolean;
}

/** The companions of a specimen and what their set has come to, to be looked at before the pieces are thrown away. */
export function SetBeside({
  members,
  value,
  state,
  unit,
  designated,
  findings,
  note,
  verdicts,
  curves,
  axis,
}: {
  members: readonly Member[];
  value: string | null;
  state: string;
  unit: UnitId;
  designated: boolean;
  findings: readonly Finding[];
  /** What the set says where that is no strength test. */
  note: string | null;
  /** What it is held against by itself. */
  verdicts: readonly {
    readonly criterion: string;
    readonly title: string;
    readonly state: VerdictState;
    readonly sentence: string;
  }[];
  curves: ComponentProps<typeof SetCurves>['curves'];
  axis: CurveScale;
}) {
  return (
    <Box sx={{ mt: 2, pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {designated ? 'Its set' : 'Its set, for information'}
      </Typography>
      {members.map((member) => (
        <Box key={member.id} sx={{ display: 'flex', justifyContent: 'space-between' }}>
          <Typography className="mono" sx={{ fontWeight: member.here ? 700 : 400 }}>
            {member.label}
          </Typography>
          <Typography {...(member.strength ? { className: 'mono' } : { color: 'text.secondary' })}>
            {member.strength ?? (member.here ? 'this one' : 'not tested')}
          </Typography>
        </Box>
      ))}
      {value ? (
        <Typography sx={{ fontWeight: 700, mt: 0.5 }}>
          {`Mean ${value} ${unitLabel(unit)}${state === 'pending' ? ' so far' : ''}`}
        </Typography>
      ) : null}
      {note ? <Typography sx={{ mt: 0.5 }}>{note}</Typography> : null}
      {verdicts.map(({ criterion, title, state: held, sentence }) => (
        <Typography key={criterion} sx={{ mt: 0.5 }}>
          <VerdictMark state={held} word={title} /> {sentence}
        </Typography>
      ))}
      <SetCurves curves={curves} axis={axis} />
      {findings.length > 0 ? (
        <Box sx={{ mt: 1 }}>
          <Findings findings={findings} />
        </Box>
      ) : null}
    </Box>
  );
}
