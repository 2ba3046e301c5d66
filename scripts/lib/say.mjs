/** Prints what is being done, so that nothing long happens in silence. */
export function say(text) {
  process.stdout.write(`bricole: ${text}\n`);
}

/** A failure that the person at the terminal can do something about: printed as one sentence, without a stack. */
export class Trouble extends Error {}

/** Runs a script's main function; a Trouble becomes one sentence and exit code 1. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    process.stderr.write(`bricole: ${error.message}\n`);
    process.exit(1);
  }
}
