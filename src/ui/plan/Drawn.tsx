'use client';
import { Chip, Stack } from '@mui/material';

/** What was drawn of one kind, each to be taken away again. */
export function Drawn({
  items,
  remove,
}: {
  readonly items: readonly { readonly what: string }[];
  readonly remove: (place: number) => void;
}) {
  if (items.length === 0) return null;
  return (
    <Stack direction="row" spacing={0.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
      {items.map(({ what }, place) => (
        <Chip
          // biome-ignore lint/suspicious/noArrayIndexKey: two of them may be called the same, and none has another name
          key={`${what} ${place}`}
          label={what}
          onDelete={() => remove(place)}
          deleteIcon={
            <span role="img" aria-label={`Take away ${what}`}>
              ✕
            </span>
          }
        />
      ))}
    </Stack>
  );
}
