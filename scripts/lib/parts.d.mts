import type { Running } from './supervise.mjs';

export function command(
  program: string,
  args: readonly string[],
  env?: Readonly<Record<string, string>>,
): () => Promise<Running>;
