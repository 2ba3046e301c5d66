import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { refuseFields } from './use-case';

/** Largest file after unpacking, bytes: a million rows with room to spare. */
const LARGEST = 64 * 1024 * 1024;
/** The most that may be sent of a packed file in base64. */
export const PACKED_MOST = 9_000_000;

export const unpack = promisify(gunzip);
export const pack = promisify(gzip);

/**
 * A file as it was sent: packed with gzip, in base64.
 * @throws Invalid at `data` where it is none, or too large
 */
export function unpackedFile(data: string): Promise<Buffer> {
  return unpack(Buffer.from(data, 'base64'), { maxOutputLength: LARGEST }).catch(() =>
    refuseFields({ data: 'The file could not be unpacked, or is larger than 64 MB.' }),
  );
}
