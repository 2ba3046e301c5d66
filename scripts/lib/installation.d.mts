/** Where and how a laboratory's own installation is reached. */
export interface Place {
  readonly url: string;
  readonly listen: string;
  readonly port: number;
  readonly proxies?: string;
  /** Machines to follow, `number=host:port` with commas between. */
  readonly feeds?: string;
  /** How many web servers; by itself one for each processor, up to four. */
  readonly webs?: number;
  /** Address of another server's recorder, in place of one of its own. */
  readonly live?: string;
}
export function installation(file?: string): Place | undefined;
export function placeProblem(place: Place): string | null;
export function keepInstallation(place: Place, file?: string): void;
