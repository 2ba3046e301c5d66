/** Where the readings of machines can be followed, from BRICOLE_FEEDS: `NUMBER=host:port` with commas between. */
function feeds(): ReadonlyMap<string, string> {
  const parts = (process.env.BRICOLE_FEEDS ?? '').split(',').filter(Boolean);
  return new Map(parts.map((part) => part.split('=') as [string, string]));
}

/** The address of a machine's feed; undefined where it has none. Who runs the server decides it, nobody who uses it. */
export function feedAddress(number: string): { host: string; port: number } | undefined {
  const address = feeds().get(number);
  if (!address) return undefined;
  const [host = '127.0.0.1', port = '0'] = address.split(':');
  return { host, port: Number(port) };
}

/** The machines that can be followed. */
export function liveMachines(): string[] {
  return [...feeds().keys()];
}
