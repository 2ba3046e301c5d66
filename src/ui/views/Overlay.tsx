'use client';
import { Autocomplete, Box, LinearProgress, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useMemo, useTransition } from 'react';
import { Limits } from '@/core/limits';
import type { Picture } from '@/core/methods';
import { useMethodFolder } from '../methods/holding';

interface Offered {
  readonly id: string;
  readonly label: string;
  readonly of: string;
}

/** Tests of one method over one another: chosen from the newest, drawn as their method draws them. */
export function Overlay({
  id,
  most,
  offered,
  laid,
  register: { changes, revision, profile },
}: {
  readonly id: string;
  readonly most: number;
  readonly offered: readonly Offered[];
  readonly laid: readonly {
    readonly id: string;
    readonly label: string;
    readonly of: string;
    readonly picture: Picture;
  }[];
  /** The register in force where the first of them was made. */
  readonly register: Pick<Limits, 'changes' | 'revision' | 'profile'>;
}) {
  const router = useRouter();
  const [waits, start] = useTransition();
  const limits = useMemo(() => new Limits(changes, revision, profile), [changes, revision, profile]);
  const { Overlay: Drawn } = useMethodFolder();
  const own = laid.find((each) => each.id === id);
  const others = laid.filter((each) => each.id !== id);
  if (!Drawn || !own)
    return (
      <Typography color="text.secondary">
        Nothing of this test can be laid over another yet: complete it first.
      </Typography>
    );
  const choose = (ids: readonly string[]): void =>
    start(() =>
      router.replace(`/runs/${id}/beside${ids.length > 0 ? `?with=${ids.join()}` : ''}`, { scroll: false }),
    );
  return (
    <Box>
      <Autocomplete
        multiple
        options={offered.filter((each) => each.id !== id)}
        value={offered.filter((each) => others.some((other) => other.id === each.id))}
        getOptionLabel={({ label, of }) => `${label} ${of}`}
        getOptionKey={(option) => option.id}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        getOptionDisabled={() => laid.length >= most}
        onChange={(_, chosen) => choose(chosen.map((each) => each.id))}
        noOptionsText="No other test of this kind has been completed."
        renderInput={(params) => (
          <TextField
            {...params}
            label={`Lay over ${own.label} ${own.of}`}
            helperText={
              laid.length >= most ? `${most} at the most: take one away first.` : 'By label, lot or product.'
            }
          />
        )}
        sx={{ mb: 2 }}
      />
      {waits ? <LinearProgress aria-label="The others are read" sx={{ mb: 1 }} /> : null}
      <Drawn tests={laid} limits={limits} />
    </Box>
  );
}
