import { Box, Stack, Typography } from '@mui/material';
import { DateTime } from 'luxon';
import type { Metadata } from 'next';
import { findMethod } from '@/core/methods/registry';
import { ownTestsWords } from '@/core/signing/rule';
import { database } from '@/db/client';
import { ROLES } from '@/db/schema';
import { CARD_METHODS } from '@/server/actions/cards';
import { pageActor, pageData } from '@/server/page';
import { cardList, peopleList, signInList } from '@/server/queries/gear';
import { jobList, usualZone } from '@/server/queries/jobs';
import { SETTING, settingHistory } from '@/server/settings';
import { Card } from '@/ui/parts/Card';
import { dayTime } from '@/ui/time';
import { AddCard, CardTable } from '@/ui/views/Cards';
import { DecideOwnTests } from '@/ui/views/DecideOwnTests';
import { ImportList } from '@/ui/views/ImportList';
import { AddPerson, PeopleTable, SignInTable } from '@/ui/views/People';

export const metadata: Metadata = { title: 'People' };

/** How somebody stands who has no password yet. */
function invitedWords(until: Date | null, now: Date, zone: string): string {
  if (!until) return 'no password yet: make a link';
  return until > now ? `invited, link opens until ${dayTime(until, zone)}` : 'invited; the link has run out';
}

const title = (id: string): string => findMethod(id)?.title ?? id;

/** Who may sign in, and who is certified for what; all but a manager see their own certificates only. */
export default async function PeoplePage() {
  const actor = await pageActor();
  const db = database();
  const now = new Date();
  const today = DateTime.fromJSDate(now).toISODate() ?? '';
  const manager = actor.role === 'manager';
  const cards = await pageData(() => cardList(db, actor, today));
  const people = manager ? await peopleList(db, actor) : [];
  const jobs = manager ? await jobList(db, actor) : [];
  const signIns = manager ? await signInList(db, actor) : [];
  const zone = await usualZone(db);
  const rules = manager ? await settingHistory(db, SETTING.ownTests) : null;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {manager ? 'People' : 'Your certificates'}
        </Typography>
        {manager ? (
          <>
            <ImportList list="people" />
            <AddPerson roles={ROLES} />
          </>
        ) : null}
      </Box>
      {manager ? (
        <Card>
          <PeopleTable
            people={people.map(({ invited, ...person }) => ({
              ...person,
              invited: invited && invitedWords(invited.until, now, zone),
            }))}
            roles={ROLES}
            jobs={jobs.map(({ id, number, name }) => ({ id, name: `${number} ${name}` }))}
            self={actor.id}
          />
        </Card>
      ) : null}
      {rules ? (
        <Card title="Who may sign" actions={<DecideOwnTests now={rules[0]?.value} />}>
          <Typography>{`May who made a test sign the report of it? ${ownTestsWords(rules[0]?.value)}.`}</Typography>
          {rules.map(({ id, value, note, at, by }) => (
            <Typography key={id} variant="body2" color="text.secondary">
              {`${dayTime(at, zone)}, ${by}: ${ownTestsWords(value)}. ${note}`}
            </Typography>
          ))}
        </Card>
      ) : null}
      <Card
        title={manager ? 'Certificates' : undefined}
        actions={
          manager ? (
            <AddCard
              people={people.filter(({ role, active }) => role !== 'client' && active)}
              methods={CARD_METHODS.map((value) => ({ value, label: title(value) }))}
              today={today}
            />
          ) : undefined
        }
      >
        <CardTable
          canChange={manager}
          today={today}
          cards={cards.map((card) => ({
            id: card.id,
            name: card.name,
            number: card.number,
            covers: card.methods.map(title),
            issuedOn: card.issuedOn,
            expiresOn: card.expiresOn,
            withdrawnReason: card.withdrawnReason,
            state: card.state,
          }))}
        />
      </Card>
      {manager ? (
        <Card title="Who signed in">
          <SignInTable rows={signIns.map((row) => ({ ...row, at: dayTime(row.at, zone) }))} />
        </Card>
      ) : null}
    </Stack>
  );
}
