import { Beginning } from '../../src/server/installation';

/** One answer that a setup wants. */
export interface Question {
  readonly name: string;
  readonly asks: string;
  /** What stands there until something else is typed. */
  readonly usual?: string;
  /** Several lines, given with ` / ` between them where they are typed on one. */
  readonly lines?: boolean;
  readonly hidden?: boolean;
  readonly optional?: boolean;
}

/** Who the laboratory is, and its first manager. */
export const OF_THE_LABORATORY: readonly Question[] = [
  { name: 'name', asks: 'Name of the laboratory' },
  { name: 'address', asks: 'Its address, lines with " / " between', lines: true },
  {
    name: 'letterhead',
    asks: 'What else its letters carry: telephone, accreditation (lines with " / " between, may stay empty)',
    lines: true,
    optional: true,
  },
  {
    name: 'zone',
    asks: 'Its time zone, as Area/City',
    usual: Intl.DateTimeFormat().resolvedOptions().timeZone,
  },
  { name: 'managerName', asks: 'Name of the first manager' },
  { name: 'managerEmail', asks: 'E-mail of the first manager, to sign in with' },
  { name: 'managerTitle', asks: 'Title under a signature (may stay empty)', optional: true },
  {
    name: 'password',
    asks: 'Password of the first manager (empty: a link is made to set it)',
    hidden: true,
    optional: true,
  },
];

/** Where it is reached. */
export const OF_THE_PLACE: readonly Question[] = [
  {
    name: 'url',
    asks: 'Address that people type: https://… behind a proxy with a certificate, http://… without',
    usual: 'http://127.0.0.1:3000',
  },
  {
    name: 'listen',
    asks: 'Interface to listen on: 127.0.0.1 for a proxy on this machine, 0.0.0.0 for the whole network',
    usual: '127.0.0.1',
  },
  { name: 'port', asks: 'Port to listen on', usual: '3000' },
  {
    name: 'proxies',
    asks: 'Addresses of proxies that may say who asks, with commas between (may stay empty)',
    usual: '127.0.0.1',
    optional: true,
  },
];

/** Answers as the class of a beginning wants them: what was left empty is left out. */
export function beginningOf(answers: Readonly<Record<string, string>>): Beginning {
  const given = OF_THE_LABORATORY.flatMap(({ name, lines }) => {
    const text = (answers[name] ?? '').trim();
    return text === '' ? [] : [[name, lines ? text.split(/\s+\/\s+|\n/u).join('\n') : text]];
  });
  return Object.assign(new Beginning(), Object.fromEntries(given));
}
