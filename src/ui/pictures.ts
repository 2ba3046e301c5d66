/** Base64 of a picture drawn anew as JPEG, its longer side no longer than asked; everything else in the file is dropped. */
export async function sizedDown(file: Blob, longest: number): Promise<string> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return base64Of(canvas);
}

/** Base64 of what was drawn, as JPEG. */
export function base64Of(canvas: HTMLCanvasElement): string {
  return canvas.toDataURL('image/jpeg', 0.85).split(',')[1] ?? '';
}

/** Base64 of a file as it is. */
export async function base64OfFile(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const parts: string[] = [];
  // In pieces: a call takes no millions of arguments.
  for (let at = 0; at < bytes.length; at += 0x8000)
    parts.push(String.fromCharCode(...bytes.subarray(at, at + 0x8000)));
  return btoa(parts.join(''));
}
