import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { breakSpecimen, makeSample, makeSite, type Site } from '@/testing/site';
import { describeLaboratory } from './actions/laboratory';
import { prepareReport, signReport } from './actions/reports';
import { perform } from './perform';
import { reportDetail } from './queries/reports';
import { composeReport } from './reports/content';
import { reportPdf } from './reports/pdf';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'LTR');
});
afterAll(() => fresh?.close());

const say = (name: string, letterhead = 'Accreditation LAB 12') =>
  perform(
    fresh.db,
    site.actors.manager,
    describeLaboratory,
    { name, address: '2 Harbour Row\nPort Merrow', letterhead, zone: 'America/New_York' },
    new Date(),
  );

describe('the head of a report', () => {
  it('is what the laboratory says of itself; what is signed keeps the one it was signed with', async () => {
    await say('Harbour Row Testing');
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds.slice(0, 2)) await breakSpecimen(site, id, '58,300');
    const { reportId } = await perform(fresh.db, site.actors.reviewer, prepareReport, { sampleId });
    const draft = await reportDetail(fresh.db, site.actors.reviewer, reportId);
    expect(draft.content.laboratory).toEqual({
      name: 'Harbour Row Testing',
      lines: ['2 Harbour Row', 'Port Merrow', 'Accreditation LAB 12'],
    });
    await perform(fresh.db, site.actors.reviewer, signReport, { reportId, seen: draft.seen });
    await say('Another name');
    const signed = await reportDetail(fresh.db, site.actors.reviewer, reportId);
    expect(signed.content.laboratory?.name).toBe('Harbour Row Testing');
    const { content } = await composeReport(fresh.db, site.actors.reviewer, { sampleId });
    expect(content.laboratory?.name).toBe('Another name');
  });

  it('a draft that was read before the head changed has to be read again', async () => {
    await say('One name');
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds.slice(0, 2)) await breakSpecimen(site, id, '58,300');
    const { reportId } = await perform(fresh.db, site.actors.reviewer, prepareReport, { sampleId });
    const { seen } = await reportDetail(fresh.db, site.actors.reviewer, reportId);
    await say('Two names');
    await expect(perform(fresh.db, site.actors.reviewer, signReport, { reportId, seen })).rejects.toThrow(
      /changed since it was shown/,
    );
  });

  it('prints with lines, and without where there are none, or where it was signed before it was asked', async () => {
    const { sampleId } = await makeSample(site);
    const { content } = await composeReport(fresh.db, site.actors.reviewer, { sampleId });
    const head = { number: 'LTR-1', revision: 0, signature: null, replaces: null };
    for (const laboratory of [{ name: 'A', lines: ['1', '2'] }, { name: 'A', lines: [] }, undefined]) {
      const { laboratory: _, ...rest } = content;
      const pdf = await reportPdf(head, laboratory ? { ...rest, laboratory } : rest);
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    }
  });
});
