'use client';
import { Box, Checkbox, FormControlLabel, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { newId } from '../ids';
import { FileButton } from '../parts/FileButton';
import { useNotice } from '../parts/Notice';
import { sizedDown } from '../pictures';
import type { RunSheetData } from './types';

const LONGEST_SIDE = 1600;

/**
 * Photographs of the run, sized down on this device; drawing them anew drops everything else that was in the file. Where
 * they were taken is kept only when the person wants it, beside the picture.
 */
export function Photos({ data }: { data: RunSheetData }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const [withPlace, setWithPlace] = useState(false);
  const add = async (file: File): Promise<void> => {
    setBusy(true);
    try {
      const picture = await sizedDown(file, LONGEST_SIDE);
      const place = withPlace ? await placeOf(file) : null;
      const reply = await perform('attach', {
        id: newId(),
        runId: data.runId,
        name: file.name,
        data: picture,
        ...(place ? { place } : {}),
      });
      const kept =
        withPlace && !place
          ? 'Photograph kept with the run; the file says no place.'
          : 'Photograph kept with the run.';
      notice(reply.ok ? kept : reply.message, reply.ok ? 'success' : 'error');
      if (reply.ok) router.refresh();
    } catch {
      notice('This file is not a picture the browser can read. Take a JPEG, PNG or WebP.', 'error');
    }
    setBusy(false);
  };
  return (
    <Box sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
        {data.photos.map((photo) => (
          <Box key={photo.id}>
            <a href={`/api/attachments/${photo.id}`} target="_blank" rel="noreferrer">
              {/* biome-ignore lint/performance/noImgElement: served by ourselves, behind the sign-in, in one size */}
              <img src={`/api/attachments/${photo.id}`} alt={photo.name} height={72} />
            </a>
            {photo.place ? (
              <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
                {photo.place}
              </Typography>
            ) : null}
          </Box>
        ))}
      </Box>
      {data.canWrite && (data.lock === null || data.lock.amendment) ? (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <FileButton variant="outlined" loading={busy} accept="image/*" capture="environment" take={add}>
            Add a photograph
          </FileButton>
          <FormControlLabel
            control={<Checkbox checked={withPlace} onChange={(_, on) => setWithPlace(on)} />}
            label="Keep where it was taken"
          />
        </Box>
      ) : data.photos.length === 0 ? (
        <Typography color="text.secondary">No photographs.</Typography>
      ) : null}
    </Box>
  );
}

/** Where the camera says it was, `lat, long` in degrees to some ten metres; null when the file does not say. */
async function placeOf(file: File): Promise<string | null> {
  // Read only when it is asked for.
  const { gps } = await import('exifr');
  const found = await gps(file).catch(() => undefined);
  return found ? `${found.latitude.toFixed(4)}, ${found.longitude.toFixed(4)}` : null;
}
