import type { Running } from './supervise.mjs';

export function answering(
  begin: () => Promise<Running>,
  url: string,
  options?: { ask?: number; answer?: number },
): () => Promise<Running>;
export function command(
  program: string,
  args: readonly string[],
  env?: Readonly<Record<string, string>>,
): () => Promise<Running>;
