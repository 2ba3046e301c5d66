'use client';
import { Link, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { newId } from '../ids';
import { FileButton } from '../parts/FileButton';
import { useNotice } from '../parts/Notice';
import { base64OfFile, sizedDown } from '../pictures';

const LONGEST = 2400;

/** The certificate of the last verification: its number, its file, and a way to keep one. */
export function Certificate({
  item: { id, number, certificate, verifiedOn, file },
  canKeep,
}: {
  readonly item: {
    readonly id: string;
    readonly number: string;
    readonly certificate: string;
    readonly verifiedOn: string | null;
    readonly file: { readonly id: string; readonly name: string } | null;
  };
  readonly canKeep: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const keep = async (chosen: File): Promise<void> => {
    setBusy(true);
    try {
      const pdf = chosen.type === 'application/pdf';
      const data = pdf ? await base64OfFile(chosen) : await sizedDown(chosen, LONGEST);
      const name = chosen.name.slice(0, 200);
      const reply = await perform('keep-certificate', { id: newId(), equipmentId: id, name, data });
      notice(
        reply.ok ? `Certificate of ${number} kept.` : (Object.values(reply.errors)[0] ?? reply.message),
        reply.ok ? 'success' : 'error',
      );
      if (reply.ok) router.refresh();
    } catch {
      notice('This file is no picture and no PDF that the browser can read.', 'error');
    }
    setBusy(false);
  };
  return (
    <>
      {file ? (
        <Link href={`/api/certificates/${file.id}`} target="_blank" rel="noreferrer" title={file.name}>
          {certificate || 'on file'}
        </Link>
      ) : (
        <Typography component="span" variant="body2">
          {certificate}
        </Typography>
      )}
      {canKeep && verifiedOn ? (
        <FileButton
          size="small"
          sx={{ px: 0, minWidth: 0, whiteSpace: 'nowrap' }}
          loading={busy}
          accept="image/*,application/pdf"
          take={(chosen) => void keep(chosen)}
        >
          {file ? 'Another file' : 'Keep its file'}
        </FileButton>
      ) : null}
    </>
  );
}
