/** What the tests use of running.mjs. */
export function running(file?: string): { readonly pid: number; readonly url: string } | undefined;
export function noteRunning(url: string, file?: string): void;
export function forgetRunning(file?: string): void;
