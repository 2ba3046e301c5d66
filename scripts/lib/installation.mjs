import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Trouble } from './say.mjs';
import { HOME, writeWhole } from './system.mjs';

/** Where and how a laboratory's own installation is reached, as `npm run setup` wrote it. */
export const INSTALLATION = path.join(HOME, 'installation.json');

/**
 * The installation of this copy.
 * @returns undefined where there is none: it is the demo's, or empty
 * @throws Trouble for a file that cannot be read
 */
export function installation(file = INSTALLATION) {
  if (!existsSync(file)) return undefined;
  try {
    const place = JSON.parse(readFileSync(file, 'utf8'));
    return { ...place, port: Number(place.port) };
  } catch {
    throw new Trouble(`${file} cannot be read: put it right, or run npm run setup again; the records stay.`);
  }
}

/** What is wrong with where it is to be reached, in a sentence; null when nothing is. */
export function placeProblem({ url, listen, port, proxies = '' }) {
  if (!URL.canParse(url ?? '') || !/^https?:$/u.test(new URL(url).protocol))
    return 'Address: as people type it, such as https://bricole.laboratory.example or http://192.168.1.20:3000.';
  if (new URL(url).pathname !== '/' || new URL(url).search || new URL(url).username)
    return 'Address: nothing may stand behind the name and the port.';
  if (!/^(?:[0-9.]+|[0-9a-f:]*:[0-9a-f:.]*|[a-z0-9.-]+)$/iu.test(listen ?? ''))
    return 'Listen on: the address of an interface, such as 127.0.0.1 or 0.0.0.0.';
  if (!Number.isInteger(port) || port < 1 || port > 65_535) return 'Port: a whole number from 1 to 65535.';
  if (proxies !== '' && !proxies.split(',').every((each) => /^[0-9a-f.:]+$/iu.test(each)))
    return 'Proxies: addresses with commas between, such as 127.0.0.1.';
  return null;
}

/** Writes it down, whole or not at all. */
export function keepInstallation(place, file = INSTALLATION) {
  writeWhole(file, `${JSON.stringify(place, null, 2)}\n`);
}
