'use client';
import { useState } from 'react';
import { perform } from '../api';
import { newId } from '../ids';
import { FileButton } from '../parts/FileButton';
import { useNotice } from '../parts/Notice';
import { base64Of, sizedDown } from '../pictures';

const LONGEST = 2400;

/** Takes a picture or the first page of a PDF as the ground that a floor is drawn over. */
export function PictureButton({
  lotId,
  done,
}: {
  readonly lotId: string;
  /** Its identifier, and how wide it is for its height. */
  readonly done: (id: string, aspect: number) => void;
}) {
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const take = async (file: File): Promise<void> => {
    setBusy(true);
    try {
      const data = file.type === 'application/pdf' ? await pageOf(file) : await sizedDown(file, LONGEST);
      const id = newId();
      const reply = await perform('keep-picture', { id, lotId, name: file.name.slice(0, 200), data });
      if (reply.ok) done(id, await aspectOf(data));
      else notice(reply.message, 'error');
    } catch {
      notice(
        'This file is no picture and no PDF that the browser can read. Take a PDF, JPEG, PNG or WebP.',
        'error',
      );
    }
    setBusy(false);
  };
  return (
    <FileButton
      variant="outlined"
      loading={busy}
      accept="image/*,application/pdf"
      take={(file) => void take(file)}
    >
      Picture or PDF under it
    </FileButton>
  );
}

async function aspectOf(base64: string): Promise<number> {
  const bytes = Uint8Array.from(atob(base64), (each) => each.charCodeAt(0));
  const bitmap = await createImageBitmap(new Blob([bytes], { type: 'image/jpeg' }));
  return bitmap.width / bitmap.height;
}

/** The first page of a PDF, drawn. Its reader is fetched only when one is opened. */
async function pageOf(file: File): Promise<string> {
  const pdf = await import('pdfjs-dist');
  pdf.GlobalWorkerOptions.workerSrc = new URL(
    'pdfjs-dist/build/pdf.worker.min.mjs',
    import.meta.url,
  ).toString();
  const opened = await pdf.getDocument({ data: await file.arrayBuffer(), isEvalSupported: false }).promise;
  const page = await opened.getPage(1);
  const plain = page.getViewport({ scale: 1 });
  const viewport = page.getViewport({ scale: LONGEST / Math.max(plain.width, plain.height) });
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(viewport.width);
  canvas.height = Math.round(viewport.height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('nothing to draw on');
  await page.render({ canvasContext: context, viewport }).promise;
  return base64Of(canvas);
}
