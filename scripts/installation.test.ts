import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { installation, keepInstallation, type Place, placeProblem } from './lib/installation.mjs';
import { beginningOf, OF_THE_LABORATORY, OF_THE_PLACE } from './lib/questions';

const folder = mkdtempSync(path.join(tmpdir(), 'bricole-installation-'));
const file = path.join(folder, 'installation.json');
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const PLACE: Place = { url: 'https://bricole.row.example', listen: '127.0.0.1', port: 3000, proxies: '' };

describe('where an installation is reached', () => {
  it.each([
    [{}, null],
    [{ url: 'http://192.168.1.20:3000', listen: '0.0.0.0' }, null],
    [{ listen: '::', proxies: '10.0.0.1,fe80::1' }, null],
    [{ url: 'bricole.row.example' }, /^Address: as people type it/],
    [{ url: 'ftp://row.example' }, /^Address: as people type it/],
    [{ url: 'https://row.example/bricole' }, /nothing may stand behind/],
    [{ url: 'https://me@row.example' }, /nothing may stand behind/],
    [{ listen: 'all of them' }, /^Listen on/],
    [{ listen: '' }, /^Listen on/],
    [{ port: 0 }, /^Port/],
    [{ port: 70_000 }, /^Port/],
    [{ port: Number.NaN }, /^Port/],
    [{ proxies: 'the proxy' }, /^Proxies/],
  ])('%j', (over, problem) => {
    const said = placeProblem({ ...PLACE, ...over });
    if (problem === null) expect(said).toBeNull();
    else expect(said).toMatch(problem);
  });

  it('is kept whole, for its owner alone; nothing there is none, and what is torn is told', () => {
    expect(installation(file)).toBeUndefined();
    keepInstallation(PLACE, file);
    expect(installation(file)).toEqual(PLACE);
    expect(statSync(file).mode & 0o777).toBe(0o600);
    writeFileSync(file, '{"url": "http');
    expect(() => installation(file)).toThrow(/cannot be read: put it right, or run npm run setup again/);
  });
});

describe('the answers of a setup', () => {
  it('are one class of fields: lines are lines, what was left empty is left out', () => {
    const beginning = beginningOf({
      ...{ name: ' Harbour Row ', address: '2 Harbour Row / Port Merrow', letterhead: '', zone: 'UTC' },
      ...{ managerName: 'Tamsin', managerEmail: 't@row.example', password: '', port: '3000' },
    });
    expect({ ...beginning }).toEqual({
      ...{ name: 'Harbour Row', address: '2 Harbour Row\nPort Merrow', zone: 'UTC' },
      ...{ managerName: 'Tamsin', managerEmail: 't@row.example' },
    });
  });

  it('are asked for once each, and what must be given has no usual answer that is nobody’s', () => {
    const all = [...OF_THE_LABORATORY, ...OF_THE_PLACE];
    expect(new Set(all.map(({ name }) => name)).size).toBe(all.length);
    for (const { name, usual } of OF_THE_LABORATORY) if (name !== 'zone') expect(usual).toBeUndefined();
    expect(all.filter(({ hidden }) => hidden).map(({ name }) => name)).toEqual(['password']);
  });
});
