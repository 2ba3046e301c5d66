import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase, personOf } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { AT_28_DAYS, breakSpecimen, makeSample, makeSite, type Site } from '@/testing/site';
import { prepareReport, signReport } from './actions/reports';
import { decideOwnTests, readReport } from './actions/signing';
import { perform } from './perform';
import { reportDetail } from './queries/reports';
import { SETTING, settingHistory } from './settings';
import { ownTestsRule } from './signing';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let other: Actor;
const NOW = new Date(AT_28_DAYS + 3_600_000);

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'SGN');
  other = await personOf(fresh.db, 'reviewer');
});
afterAll(() => fresh?.close());

/** A draft of a sample whose cylinders were broken by somebody. */
async function draftBy(who: Actor): Promise<string> {
  const { sampleId, specimenIds } = await makeSample(site);
  const asked: Site = { ...site, actors: { ...site.actors, laboratory: who } };
  for (const id of specimenIds) await breakSpecimen(asked, id, '58,300', AT_28_DAYS);
  const { reportId } = await perform(site.db, site.actors.laboratory, prepareReport, { sampleId }, NOW);
  return reportId;
}
const shown = (reportId: string, who: Actor) => reportDetail(site.db, who, reportId);
async function sign(reportId: string, who: Actor): Promise<void> {
  const { seen } = await shown(reportId, who);
  await perform(site.db, who, signReport, { reportId, seen }, NOW);
}
async function read(reportId: string, who: Actor): Promise<void> {
  const { seen } = await shown(reportId, who);
  await perform(site.db, who, readReport, { reportId, seen }, NOW);
}
const decide = (value: string, note = 'The manager, after the audit.') =>
  perform(site.db, site.actors.manager, decideOwnTests, { value, note }, NOW);

describe('a report of tests that its signer made', () => {
  it('is not signed alone, where nobody has decided otherwise', async () => {
    const { reviewer } = site.actors;
    expect(await ownTestsRule(site.db)).toBe('second');
    const reportId = await draftBy(reviewer);
    await expect(sign(reportId, reviewer)).rejects.toThrow(/another reviewer has to read it first/u);
    expect((await shown(reportId, reviewer)).signing).toMatchObject({
      why: expect.stringContaining('has to read it first'),
      asksReader: false,
    });
    // One’s own reading is no other’s.
    await read(reportId, reviewer);
    await expect(sign(reportId, reviewer)).rejects.toThrow(/has to read it first/u);
    expect((await shown(reportId, other)).signing).toMatchObject({ why: null, asksReader: true });
    await read(reportId, other);
    expect((await shown(reportId, reviewer)).signing).toMatchObject({
      why: null,
      readers: [{ name: other.name, asItIs: true }, { asItIs: true }],
    });
    await sign(reportId, reviewer);
    expect(await shown(reportId, reviewer)).toMatchObject({ state: 'signed', signing: null });
    await expect(read(reportId, other)).rejects.toThrow(/signed already/u);
  });
  it('a reading counts for what was read only: what changed since is to be read again', async () => {
    const { reviewer } = site.actors;
    const reportId = await draftBy(reviewer);
    await expect(
      perform(site.db, other, readReport, { reportId, seen: '0'.repeat(64) }, NOW),
    ).rejects.toThrow(/has changed since it was shown/u);
    await read(reportId, other);
    await fresh.owner.query(`ALTER TABLE report_readings DISABLE TRIGGER append_only`);
    await fresh.owner.query(`UPDATE report_readings SET mark = repeat('0', 64) WHERE report_id = $1`, [
      reportId,
    ]);
    await fresh.owner.query(`ALTER TABLE report_readings ENABLE TRIGGER append_only`);
    await expect(sign(reportId, reviewer)).rejects.toThrow(/has to read it first/u);
    expect((await shown(reportId, other)).signing?.readers).toMatchObject([{ asItIs: false }]);
  });
  it('is signed by another reviewer without a word', async () => {
    await sign(await draftBy(site.actors.reviewer), other);
  });
  it('as the laboratory decides: never, alone; each decision stays with who made it and why', async () => {
    const { reviewer } = site.actors;
    await decide('never');
    const reportId = await draftBy(reviewer);
    await read(reportId, other);
    await expect(sign(reportId, reviewer)).rejects.toThrow(/another reviewer signs it/u);
    await decide('yes', 'Only one of us is left.');
    await sign(reportId, reviewer);
    expect(
      (await settingHistory(site.db, SETTING.ownTests)).map(({ value, by, note }) => [value, by, note]),
    ).toEqual([
      ['yes', site.actors.manager.name, 'Only one of us is left.'],
      ['never', site.actors.manager.name, 'The manager, after the audit.'],
    ]);
  });
  it('is decided by a manager only, among three, with who decided it', async () => {
    for (const role of ['reviewer', 'laboratory', 'field', 'client'] as const)
      await expect(
        perform(site.db, site.actors[role], decideOwnTests, { value: 'yes', note: 'x' }, NOW),
      ).rejects.toThrow();
    expect(await errorsOf(decide('sometimes'))).toHaveProperty('value');
    expect(await errorsOf(decide('yes', ''))).toHaveProperty('note');
    await expect(fresh.db.execute(`UPDATE settings SET value = 'yes'`)).rejects.toThrow();
    await expect(fresh.db.execute('DELETE FROM report_readings')).rejects.toThrow();
  });
});
