'use client';
import { Button, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { Card } from '../parts/Card';
import { metresOf, type Units } from './lengths';
import { PictureButton } from './PictureButton';

/** A floor that has no plan: a room of a size, or a picture. */
export function BeginPlan({
  system,
  lotId,
  begin,
}: {
  readonly system: Units;
  readonly lotId: string;
  readonly begin: (width: number, height: number, pictureId: string | null) => void;
}) {
  const [width, setWidth] = useState('');
  const [depth, setDepth] = useState('');
  const read = [width, depth].map((text) => (text.trim() ? metresOf(text, system) : undefined));
  const metres = read.map((each) => (each && 'metres' in each ? each.metres : undefined));
  const why = (place: number): string => {
    const each = read[place];
    return each && 'why' in each ? each.why : '';
  };
  return (
    <Card title="Draw the floor">
      <Typography sx={{ mb: 1.5 }}>
        A room of a size, or a picture or PDF page that is brought to scale by two places a known way apart.
      </Typography>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <TextField
          label="Width"
          value={width}
          onChange={(event) => setWidth(event.target.value)}
          error={why(0) !== ''}
          helperText={why(0) || (system === 'US' ? 'As 42 ft' : 'As 12.8 m')}
        />
        <TextField
          label="Depth"
          value={depth}
          onChange={(event) => setDepth(event.target.value)}
          error={why(1) !== ''}
          helperText={why(1) || ' '}
        />
        <Button
          variant="contained"
          sx={{ minHeight: 56 }}
          disabled={!metres[0] || !metres[1]}
          onClick={() => metres[0] && metres[1] && begin(metres[0], metres[1], null)}
        >
          Begin with a rectangle
        </Button>
        <PictureButton lotId={lotId} done={(id, aspect) => begin(20 * aspect, 20, id)} />
      </Stack>
    </Card>
  );
}
