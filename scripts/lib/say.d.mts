export function say(text: string): void;
export class Trouble extends Error {}
export function main(run: () => Promise<void>): Promise<void>;
