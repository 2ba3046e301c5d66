/** What the tests use of cluster.mjs. */
export function binaries(): string;
export function startCluster(
  name: string,
  options?: { durable?: boolean; settings?: readonly string[]; noted?: boolean },
): Promise<{ readonly port: number; stop(): void; remove(): void }>;
