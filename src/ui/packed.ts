/** A text packed with gzip, in base64. */
export async function packed(text: string): Promise<string> {
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'));
  const bytes = new Uint8Array(await new Response(stream).arrayBuffer());
  let binary = '';
  const chunk = 0x8000;
  for (let from = 0; from < bytes.length; from += chunk) {
    binary += String.fromCharCode(...bytes.subarray(from, from + chunk));
  }
  return btoa(binary);
}
