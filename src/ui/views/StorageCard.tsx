'use client';
import { Box, Button, Typography } from '@mui/material';
import {
  DUTY_FACTS,
  type Duty,
  type DutyState,
  positionName,
  STORAGE_WORDS,
  type StorageKind,
} from '@/core/storage';
import { FormDialog } from '../form/FormDialog';
import { Card } from '../parts/Card';
import { TextLink } from '../parts/LinkButton';
import { fullDay } from '../time';

interface Storage {
  readonly id: string;
  readonly name: string;
  readonly kind: StorageKind;
  readonly rows: number;
  readonly columns: number;
  readonly count: number;
  readonly lime: string | null;
  readonly duties: readonly {
    readonly duty: Duty;
    readonly state: DutyState;
    readonly doneAt: number | null;
    readonly dueAt: number | null;
    readonly every: string;
    readonly most: string;
    readonly byName: string | null;
    readonly note: string;
  }[];
  readonly reviews: readonly {
    readonly at: number;
    readonly extremes: string;
    readonly outside: string | null;
    readonly byName: string | null;
  }[];
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly position: string | null;
  }[];
}

const LOOK: Readonly<Record<DutyState, readonly [string, string]>> = {
  'in order': ['✓', 'success.main'],
  'due soon': ['!', 'warning.main'],
  overdue: ['✕', 'error.main'],
  'never done': ['✕', 'error.main'],
};

/** One tank or room: its duties with their clocks, and the map of what stands in it. */
export function StorageCard({
  storage,
  canWrite,
  now,
  zone,
}: {
  storage: Storage;
  canWrite: boolean;
  now: string;
  zone: string;
}) {
  const flagged = storage.duties.some(({ state }) => state === 'overdue' || state === 'never done');
  const lost = storage.specimens.filter(({ position }) => position === null);
  return (
    <Card
      title={
        <>
          {storage.name}
          {flagged ? (
            <Typography component="span" color="error" sx={{ ml: 1.5 }}>
              ✕ a duty is owed: what stands in it is flagged
            </Typography>
          ) : null}
        </>
      }
    >
      <Typography color="text.secondary" sx={{ mb: 1 }}>
        {`${STORAGE_WORDS[storage.kind]}, ${storage.count} specimens, ${storage.rows * storage.columns} places${storage.lime ? `; ${storage.lime} of lime saturate its water` : ''}.`}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, mb: 2 }}>
        {storage.duties.map((each) => {
          const [mark, colour] = LOOK[each.state];
          const facts = DUTY_FACTS[each.duty];
          return (
            <Box
              key={each.duty}
              sx={{
                display: 'flex',
                gap: 1.5,
                alignItems: 'flex-start',
                borderLeft: 4,
                borderColor: colour,
                pl: 1.5,
              }}
            >
              <Box sx={{ flexGrow: 1 }}>
                <Typography sx={{ fontWeight: 700 }}>{facts.title}</Typography>
                <Typography variant="body2" sx={{ color: colour }}>
                  {`${mark} ${each.state}${each.dueAt ? `, by ${fullDay(new Date(each.dueAt), zone)}` : ''}`}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {each.doneAt
                    ? `Last on ${fullDay(new Date(each.doneAt), zone)}${each.byName ? `, ${each.byName}` : ''}${each.note ? `: ${each.note}` : ''}`
                    : 'Not recorded yet'}
                </Typography>
              </Box>
              {canWrite ? <DutyDone storageId={storage.id} duty={each.duty} now={now} zone={zone} /> : null}
            </Box>
          );
        })}
      </Box>
      {storage.reviews.length > 0 ? (
        <Box component="details" sx={{ mb: 2 }}>
          <Typography component="summary" sx={{ cursor: 'pointer' }}>
            {`Log of its temperatures (${storage.reviews.length})`}
          </Typography>
          {storage.reviews.map(({ at, extremes, outside, byName }) => (
            <Typography key={at} variant="body2" color={outside ? 'error' : 'text.secondary'}>
              {`${fullDay(new Date(at), zone)}: ${extremes}${outside ? ` ✕ outside ${outside}` : ''}${byName ? `, ${byName}` : ''}`}
            </Typography>
          ))}
        </Box>
      ) : null}
      <PlaceMap storage={storage} />
      {lost.length > 0 ? (
        <Typography variant="body2" sx={{ mt: 1 }}>
          {'Without a place of their own: '}
          {lost.map(({ id, label }) => (
            <TextLink key={id} href={`/specimens/${id}`} className="mono" sx={{ mr: 1 }}>
              {label}
            </TextLink>
          ))}
        </Typography>
      ) : null}
    </Card>
  );
}

function DutyDone({
  storageId,
  duty,
  now,
  zone,
}: {
  storageId: string;
  duty: Duty;
  now: string;
  zone: string;
}) {
  const facts = DUTY_FACTS[duty];
  const reviewed = duty === 'recorder-reviewed';
  return (
    <FormDialog
      title={facts.title}
      useCase="record-duty"
      zone={zone}
      fixed={{ storageId, duty }}
      initial={{ at: now }}
      intro={<Typography>{facts.how}</Typography>}
      fields={[
        { name: 'at', label: 'Done at', type: 'datetime' },
        ...(reviewed
          ? [
              { name: 'lowest', label: 'Lowest of the record', help: 'As 72.5 °F or 22.5 °C.' },
              { name: 'highest', label: 'Highest of the record' },
            ]
          : []),
        { name: 'note', label: 'Note', type: 'lines' as const, optional: true },
      ]}
      submit="Done"
      done="Recorded: its clock starts anew."
      button={(open) => (
        <Button size="small" variant="outlined" onClick={open} sx={{ whiteSpace: 'nowrap' }}>
          Done now
        </Button>
      )}
    />
  );
}

/** The places row by row; a taken one says which specimen stands there. */
function PlaceMap({ storage }: { storage: Storage }) {
  const at = new Map(storage.specimens.map((each) => [each.position, each]));
  return (
    <Box sx={{ overflowX: 'auto' }} role="figure" aria-label={`Places of ${storage.name}`}>
      <Box
        sx={{
          display: 'grid',
          gap: '2px',
          gridTemplateColumns: `24px repeat(${storage.columns}, minmax(44px, 1fr))`,
          minWidth: storage.columns * 46 + 24,
        }}
      >
        <span />
        {Array.from({ length: storage.columns }, (_, column) => (
          <Typography
            key={`column ${positionName(0, column)}`}
            variant="caption"
            color="text.secondary"
            sx={{ textAlign: 'center' }}
          >
            {column + 1}
          </Typography>
        ))}
        {Array.from({ length: storage.rows }, (_, row) => [
          <Typography key={`row ${positionName(row, 0)}`} variant="caption" color="text.secondary">
            {positionName(row, 0).slice(0, 1)}
          </Typography>,
          ...Array.from({ length: storage.columns }, (__, column) => {
            const name = positionName(row, column);
            const here = at.get(name);
            return (
              <Box
                key={name}
                title={here ? `${name}: ${here.label}` : `${name}: free`}
                sx={{
                  border: 1,
                  borderColor: here ? 'primary.main' : 'divider',
                  bgcolor: here ? 'background.paper' : 'background.default',
                  minHeight: 26,
                  textAlign: 'center',
                  fontSize: '0.72rem',
                  overflow: 'hidden',
                  whiteSpace: 'nowrap',
                }}
              >
                {here ? (
                  <TextLink href={`/specimens/${here.id}`} className="mono" sx={{ textDecoration: 'none' }}>
                    {here.label.split('-').slice(1).join('-')}
                  </TextLink>
                ) : null}
              </Box>
            );
          }),
        ])}
      </Box>
    </Box>
  );
}
