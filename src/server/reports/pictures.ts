import sharp from 'sharp';
import type { ReportContent } from '@/core/report';
import type { Queryable } from '@/db/client';
import { attachments, certificates, lotPictures } from '@/db/schema';
import { anyOf } from '../scope';
import type { PdfPictures } from './pdf';

/** So many photographs are printed; of the others the report has names and digests. */
const PRINTED = 24;
/** Pixels of the longer side: 200 to the inch over a page. */
const LONGEST = 1500;

/** The pictures that a report prints: that under its plan, its first photographs, and certificates that are pictures. */
export async function picturesOf(
  db: Queryable,
  { tests, plan, certificates: papers = [] }: ReportContent,
): Promise<PdfPictures> {
  const photos = tests
    .flatMap(({ photographs = [] }) => photographs)
    .slice(0, PRINTED)
    .map(({ id }) => id);
  const under = plan?.picture ? [plan.picture.id] : [];
  const certified = papers.map(({ id }) => id).slice(0, PRINTED);
  const kept = [
    ...(photos.length > 0 ? await db.select().from(attachments).where(anyOf(attachments.id, photos)) : []),
    ...(certified.length > 0
      ? await db.select().from(certificates).where(anyOf(certificates.id, certified))
      : []),
    ...(under.length > 0 ? await db.select().from(lotPictures).where(anyOf(lotPictures.id, under)) : []),
  ];
  const drawn = new Map<string, string>();
  // One after the other: each is unpacked whole.
  for (const { id, bytes } of kept) {
    const jpeg = await asJpeg(bytes);
    if (jpeg) drawn.set(id, `data:image/jpeg;base64,${jpeg.toString('base64')}`);
  }
  return drawn;
}

/** A picture drawn anew as a PDF can hold it; null for one that is torn or none at all, which the report then only names. */
async function asJpeg(bytes: Buffer): Promise<Buffer | null> {
  try {
    return await sharp(bytes)
      .rotate()
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#FFFFFF' })
      .jpeg({ quality: 80 })
      .toBuffer();
  } catch {
    return null;
  }
}
