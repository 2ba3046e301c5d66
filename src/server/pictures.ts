import { createHash } from 'node:crypto';

const LARGEST = 6 * 1024 * 1024;

/** How long a picture that is sent may be, as Base64. */
export const LONGEST_PICTURE = Math.ceil(LARGEST / 3) * 4 + 4;

/** A file as it is kept: its bytes, what they are, and their digest. */
interface Kept {
  readonly bytes: Buffer;
  readonly mime: string;
  readonly sha256: string;
}

/** A picture as it is kept; undefined for what is no JPEG, PNG or WebP. */
export function pictureOf(base64: string): Kept | undefined {
  return kept(base64, pictureType);
}

/** A certificate as it is kept: a picture, or a PDF; undefined for what is neither. */
export function paperOf(base64: string): Kept | undefined {
  return kept(base64, (bytes) =>
    bytes.subarray(0, 5).toString('latin1') === '%PDF-' ? 'application/pdf' : pictureType(bytes),
  );
}

function kept(base64: string, typeOf: (bytes: Buffer) => string | undefined): Kept | undefined {
  const bytes = Buffer.from(base64, 'base64');
  const mime = typeOf(bytes);
  return mime ? { bytes, mime, sha256: createHash('sha256').update(bytes).digest('hex') } : undefined;
}

/** What the first bytes of a picture say it is; the name a browser gives is not trusted. */
function pictureType(bytes: Buffer): string | undefined {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg';
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])))
    return 'image/png';
  if (
    bytes.subarray(0, 4).toString('latin1') === 'RIFF' &&
    bytes.subarray(8, 12).toString('latin1') === 'WEBP'
  ) {
    return 'image/webp';
  }
  return undefined;
}
