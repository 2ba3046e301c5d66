/** What the tests use of cluster.mjs. */
export function binaries(): string;
export function startCluster(
  name: string,
  options?: { durable?: boolean; settings?: readonly string[]; noted?: boolean; port?: number },
): Promise<{
  readonly port: number;
  readonly pid: number;
  readonly data: string;
  rootUrl(database: string): string;
  appUrl(database: string): string;
  prepareEnv(
    database: string,
  ): Readonly<Record<'BRICOLE_ROOT_URL' | 'BRICOLE_OWNER_PASSWORD' | 'BRICOLE_APP_PASSWORD', string>>;
  stop(): void;
  kill(): void;
  remove(): void;
}>;
