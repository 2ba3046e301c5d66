/** A part that was started once. */
export interface Running {
  readonly pid: number;
  /** In words, how it ended. */
  readonly ended: Promise<string>;
  stop(): Promise<void>;
}
export function pauseAfter(deaths: number): number;
export class Supervisor {
  constructor(file: string, options?: { log?: (words: string) => void });
  keep(name: string, begin: () => Promise<Running>): Promise<void>;
  readonly whole: boolean;
  end(): Promise<void>;
}
