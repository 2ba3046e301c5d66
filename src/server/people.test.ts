import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { accounts, audit, invitations, jobClients, people, sessions, signIns } from '@/db/schema';
import { freshDatabase, personOf } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { makeSite, type Site } from '@/testing/site';
import {
  addPerson,
  changePassword,
  changePerson,
  endOwnSession,
  endSessions,
  invitePerson,
  letClientSee,
  takeClientOff,
} from './actions/people';
import { acceptInvitation, INVITATION_DAYS, invitedBy } from './invitations';
import { perform } from './perform';
import { ownSessions, peopleList } from './queries/gear';
import { jobDetail, jobList } from './queries/jobs';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let manager: Actor;
const NOW = new Date('2031-03-03T09:00:00Z');
const days = (count: number): Date => new Date(NOW.getTime() + count * 86_400_000);
const GOOD = 'moss kettle 41 barge';
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'PPL');
  manager = site.actors.manager;
});
afterAll(() => fresh?.close());

const add = (name: string, role = 'field', at = NOW) =>
  perform(
    fresh.db,
    manager,
    addPerson,
    { name, email: `${name.replaceAll(' ', '.')}@ppl.example`, role },
    at,
  );
const secretOf = (link: string): string => link.replace('/welcome/', '');
const accept = (secret: string, password = GOOD, at = NOW) =>
  acceptInvitation(fresh.db, { secret, password, address: '10.0.0.7' }, at);
const signedIn = async (personId: string, id: string): Promise<void> => {
  await fresh.db.insert(sessions).values({ id, userId: personId, token: `t-${id}`, expiresAt: days(36_500) });
};

describe('an invitation', () => {
  it('lets its person set a password, once, and is on record', async () => {
    const { personId, link } = await add('Ash Quill');
    const secret = secretOf(link);
    expect(secret.length).toBeGreaterThanOrEqual(32);
    expect(await invitedBy(fresh.db, secret, NOW)).toMatchObject({ name: 'Ash Quill' });
    expect(await accept(secret)).toEqual({ email: 'ash.quill@ppl.example' });
    const [account] = await fresh.db.select().from(accounts).where(eq(accounts.userId, personId));
    expect(account?.password).toBeTruthy();
    await expect(accept(secret)).rejects.toThrow('This link is not there');
    const [came] = await fresh.db.select().from(signIns).where(eq(signIns.personId, personId));
    expect(came).toMatchObject({ outcome: 'password set', address: '10.0.0.7' });
    const [told] = await fresh.db
      .select({ actor: audit.actor, useCase: audit.useCase })
      .from(audit)
      .where(
        and(eq(audit.tableName, 'accounts'), eq(audit.rowKey, account?.id ?? ''), eq(audit.action, 'update')),
      );
    expect(told).toEqual({ actor: personId, useCase: 'set password by invitation' });
  });

  it('keeps nothing that opens it: only a hash', async () => {
    const { link } = await add('Bo Teasel');
    const kept = JSON.stringify(await fresh.db.select().from(invitations));
    expect(kept).not.toContain(secretOf(link));
  });

  it('runs out, and a newer one closes the one before', async () => {
    const { personId, link } = await add('Cam Sedge');
    expect(await invitedBy(fresh.db, secretOf(link), days(INVITATION_DAYS + 1))).toBeUndefined();
    await expect(accept(secretOf(link), GOOD, days(INVITATION_DAYS + 1))).rejects.toThrow('This link');
    const again = await perform(fresh.db, manager, invitePerson, { personId }, days(1));
    expect(await invitedBy(fresh.db, secretOf(link), days(1))).toBeUndefined();
    expect(await invitedBy(fresh.db, secretOf(again.link), days(1))).toMatchObject({ name: 'Cam Sedge' });
  });

  it.each([
    ['short', /at least 10 characters/],
    ['password1234', /too easy to guess/],
    ['dana reed dana reed', /with your own name in it/],
  ])('refuses a weak password at its field and stays open: %s', async (password, words) => {
    const [person] = await fresh.db.select().from(people).where(eq(people.name, 'Dana Reed'));
    const { link } = person
      ? await perform(fresh.db, manager, invitePerson, { personId: person.id }, NOW)
      : await add('Dana Reed');
    expect((await errorsOf(accept(secretOf(link), password))).password).toMatch(words);
    expect(await invitedBy(fresh.db, secretOf(link), NOW)).toBeDefined();
  });

  it('opens nothing for who has no access, and none is made for them', async () => {
    const { personId, link } = await add('Eli Marram');
    await perform(fresh.db, manager, changePerson, { personId, active: false }, NOW);
    expect(await invitedBy(fresh.db, secretOf(link), NOW)).toBeUndefined();
    await expect(perform(fresh.db, manager, invitePerson, { personId }, NOW)).rejects.toThrow(
      'has no access',
    );
  });

  it('in place of a lost password ends that one and every session at once', async () => {
    const { personId, link } = await add('Fen Heron');
    await accept(secretOf(link));
    await signedIn(personId, 'fen-1');
    await perform(fresh.db, manager, invitePerson, { personId }, NOW);
    const [account] = await fresh.db.select().from(accounts).where(eq(accounts.userId, personId));
    expect(account?.password).toBeNull();
    expect(await fresh.db.select().from(sessions).where(eq(sessions.userId, personId))).toEqual([]);
  });

  it('is a manager’s to make, for somebody else', async () => {
    const { personId } = await add('Gil Plover');
    await expect(perform(fresh.db, site.actors.reviewer, invitePerson, { personId }, NOW)).rejects.toThrow(
      'right',
    );
    await expect(perform(fresh.db, manager, invitePerson, { personId: manager.id }, NOW)).rejects.toThrow(
      'Change your own password',
    );
  });
});

describe('how people stand', () => {
  it('says who has no password yet, and on how many devices each is signed in', async () => {
    const { personId, link } = await add('Hale Tern');
    const of = async () => (await peopleList(fresh.db, manager)).find(({ id }) => id === personId);
    expect(await of()).toMatchObject({ sessions: 0, invited: { until: days(INVITATION_DAYS) } });
    await accept(secretOf(link));
    await signedIn(personId, 'hale-1');
    await signedIn(personId, 'hale-2');
    expect(await of()).toMatchObject({ sessions: 2, invited: null });
  });
});

describe('sessions', () => {
  it('are seen and ended by whose they are, and by nobody else', async () => {
    const [own, other] = [await personOf(fresh.db, 'field'), await personOf(fresh.db, 'field')];
    await signedIn(own.id, 'own-1');
    await signedIn(own.id, 'own-2');
    await signedIn(other.id, 'other-1');
    expect((await ownSessions(fresh.db, own)).map(({ id }) => id).sort()).toEqual(['own-1', 'own-2']);
    await expect(perform(fresh.db, own, endOwnSession, { sessionId: 'other-1' }, NOW)).rejects.toThrow(
      'This session is not there',
    );
    await perform(fresh.db, own, endOwnSession, { sessionId: 'own-1' }, NOW);
    expect((await ownSessions(fresh.db, own)).map(({ id }) => id)).toEqual(['own-2']);
    expect(await ownSessions(fresh.db, other)).toHaveLength(1);
  });

  it('of a person are ended by a manager; the password stays', async () => {
    const { personId, link } = await add('Ira Gannet');
    await accept(secretOf(link));
    await signedIn(personId, 'ira-1');
    await expect(perform(fresh.db, site.actors.reviewer, endSessions, { personId }, NOW)).rejects.toThrow(
      'right',
    );
    expect(await perform(fresh.db, manager, endSessions, { personId }, NOW)).toEqual({ ended: 1 });
    const [account] = await fresh.db.select().from(accounts).where(eq(accounts.userId, personId));
    expect(account?.password).toBeTruthy();
  });

  it('end with a password that is changed', async () => {
    const { personId, link } = await add('Jan Curlew');
    await accept(secretOf(link));
    await signedIn(personId, 'jan-1');
    const jan: Actor = { id: personId, name: 'Jan Curlew', role: 'field' };
    const next = 'harbour oats nine lintel';
    await perform(fresh.db, jan, changePassword, { current: GOOD, next }, NOW);
    expect(await ownSessions(fresh.db, jan)).toEqual([]);
  });
});

describe('a client', () => {
  it('is taken off a job and put on it again; what they could read is gone meanwhile', async () => {
    const client = await personOf(fresh.db, 'client', 'Kit Avocet');
    const on = { personId: client.id, jobId: site.jobId };
    await perform(fresh.db, manager, letClientSee, on, NOW);
    expect((await jobList(fresh.db, client)).map(({ id }) => id)).toEqual([site.jobId]);
    await perform(fresh.db, manager, takeClientOff, on, NOW);
    expect(await jobList(fresh.db, client)).toEqual([]);
    await expect(jobDetail(fresh.db, client, site.jobId)).rejects.toThrow('This job is not there');
    expect((await peopleList(fresh.db, manager)).find(({ id }) => id === client.id)?.jobs).toEqual([]);
    await expect(perform(fresh.db, manager, takeClientOff, on, NOW)).rejects.toThrow('on this job');
    await perform(fresh.db, manager, letClientSee, on, NOW);
    expect(await jobList(fresh.db, client)).toHaveLength(1);
    const kept = await fresh.db.select().from(jobClients).where(eq(jobClients.personId, client.id));
    expect(kept).toHaveLength(1);
  });
});
