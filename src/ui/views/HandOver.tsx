'use client';
import {
  Alert,
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  MenuItem,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { type FormEvent, useRef, useState } from 'react';
import { CONDITIONS, type HAND_OVERS } from '@/core/identity/custody';
import { type Failure, perform } from '../api';
import { timeNow } from '../clock';
import { newId } from '../ids';
import { Card, Empty } from '../parts/Card';
import { useNotice } from '../parts/Notice';
import { fromLocalInput, localInput } from '../time';

interface Props {
  readonly zone: string;
  readonly now: number;
  readonly me: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly specimens: readonly { readonly id: string; readonly label: string; readonly state: string }[];
  readonly past: readonly { readonly id: string; readonly text: string }[];
}

/** Specimens change hands: scan or tick, count, both names, the condition. */
export function HandOver({ zone, now, me, people, specimens, past }: Props) {
  const router = useRouter();
  const notice = useNotice();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [scan, setScan] = useState('');
  const [kind, setKind] = useState<(typeof HAND_OVERS)[number]>('collected');
  const [from, setFrom] = useState(people.find(({ name }) => name !== me)?.id ?? people[0]?.id ?? '');
  const [count, setCount] = useState('');
  const [condition, setCondition] = useState<string>('in order');
  const [place, setPlace] = useState('');
  const [note, setNote] = useState('');
  const [at, setAt] = useState<string | null>(null);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [busy, setBusy] = useState(false);
  const id = useRef(newId());
  const errors = failure?.errors ?? {};

  const scanned = (event: FormEvent): void => {
    event.preventDefault();
    const found = specimens.find(({ label }) => label.toLowerCase() === scan.trim().toLowerCase());
    setScan('');
    if (!found) {
      notice(
        `${scan.trim() || 'Nothing'}: no specimen of this placement. Keep it apart, and do not guess.`,
        'error',
      );
      return;
    }
    setChosen((all) => new Set(all).add(found.id));
  };
  const send = async (): Promise<void> => {
    const when = at === null ? new Date(timeNow()).toISOString() : fromLocalInput(at, zone);
    if (!when) return notice('There is no such time here: check day and clock.', 'error');
    setBusy(true);
    const reply = await perform('hand-over', {
      id: id.current,
      kind,
      specimenIds: [...chosen],
      fromPersonId: from,
      at: when,
      place,
      condition,
      count: Number(count),
      ...(note.trim() ? { note } : {}),
    });
    setBusy(false);
    setFailure(reply.ok ? null : reply);
    if (!reply.ok) return;
    id.current = newId();
    setChosen(new Set());
    setCount('');
    notice('Handed over, with both names.');
    router.refresh();
  };
  if (specimens.length === 0) {
    return (
      <Card>
        <Empty>No specimens have been made at this placement yet.</Empty>
      </Card>
    );
  }
  const message = failure
    ? (errors.specimenIds ?? errors[''] ?? (Object.keys(errors).length > 0 ? '' : failure.message))
    : '';
  return (
    <Stack spacing={2}>
      <Card title="Which specimens">
        <form onSubmit={scanned}>
          <TextField
            label="Scan or type a label"
            size="medium"
            value={scan}
            onChange={(event) => setScan(event.target.value)}
            autoComplete="off"
            autoFocus
            fullWidth
            helperText="Enter takes it."
          />
        </form>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, mt: 1 }}>
          {specimens.map(({ id: specimenId, label, state }) => (
            <FormControlLabel
              key={specimenId}
              control={
                <Checkbox
                  checked={chosen.has(specimenId)}
                  onChange={(_, on) =>
                    setChosen((all) => {
                      const next = new Set(all);
                      if (on) next.add(specimenId);
                      else next.delete(specimenId);
                      return next;
                    })
                  }
                />
              }
              label={
                <Box component="span">
                  <Box component="span" className="mono">
                    {label}
                  </Box>
                  {`  ${state}`}
                </Box>
              }
              sx={{ minHeight: 56 }}
            />
          ))}
        </Box>
        <Typography sx={{ fontWeight: 700 }}>{`${chosen.size} scanned or ticked`}</Typography>
      </Card>
      <Card title="From hand to hand">
        <Stack spacing={2}>
          {message ? <Alert severity="error">{message}</Alert> : null}
          <TextField
            select
            label="What happens"
            size="medium"
            value={kind}
            onChange={(event) => setKind(event.target.value as typeof kind)}
          >
            <MenuItem value="collected">Collected on site</MenuItem>
            <MenuItem value="received">Received at the laboratory</MenuItem>
          </TextField>
          <TextField
            select
            label="Given by"
            size="medium"
            value={from}
            onChange={(event) => setFrom(event.target.value)}
            error={errors.fromPersonId !== undefined}
            helperText={errors.fromPersonId ?? `Taken by ${me}, who is signed in.`}
          >
            {people.map((person) => (
              <MenuItem key={person.id} value={person.id}>
                {person.name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label="Counted by hand"
            size="medium"
            value={count}
            onChange={(event) => setCount(event.target.value.replace(/\D/g, ''))}
            error={errors.count !== undefined}
            helperText={errors.count}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          />
          <TextField
            select
            label="Condition"
            size="medium"
            value={condition}
            onChange={(event) => setCondition(event.target.value)}
          >
            {CONDITIONS.map((each) => (
              <MenuItem key={each} value={each}>
                {each}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label={condition === 'in order' ? 'Note (optional)' : 'Which, and what is wrong'}
            size="medium"
            value={note}
            onChange={(event) => setNote(event.target.value)}
            error={errors.note !== undefined}
            helperText={errors.note}
            multiline
          />
          <TextField
            label="Where to (optional)"
            size="medium"
            value={place}
            onChange={(event) => setPlace(event.target.value)}
          />
          <TextField
            type="datetime-local"
            label="When"
            size="medium"
            value={at ?? localInput(now, zone)}
            onChange={(event) => setAt(event.target.value)}
            error={errors.at !== undefined}
            helperText={errors.at ?? 'Now, unless you change it.'}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <Button
            variant="contained"
            size="large"
            onClick={send}
            loading={busy}
            disabled={chosen.size === 0 || count === ''}
          >
            {`Take over ${chosen.size} ${chosen.size === 1 ? 'specimen' : 'specimens'}`}
          </Button>
        </Stack>
      </Card>
      {past.length > 0 ? (
        <Card title="Handed over before">
          {past.map(({ id: pastId, text }) => (
            <Typography key={pastId} variant="body2" sx={{ py: 0.5 }}>
              {text}
            </Typography>
          ))}
        </Card>
      ) : null}
      <Typography variant="body2" color="text.secondary">
        What is missing is recorded as lost on the specimen’s own page.
      </Typography>
    </Stack>
  );
}
