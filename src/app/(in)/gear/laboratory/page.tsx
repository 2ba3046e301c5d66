import { Box, Stack, Typography } from '@mui/material';
import { DateTime } from 'luxon';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { headLines } from '@/core/laboratory/details';
import { database } from '@/db/client';
import { lastBackup, wrongNow } from '@/server/health';
import { pageActor } from '@/server/page';
import { openSteps } from '@/server/queries/first-steps';
import { laboratoryNow, SETTING, settingHistory } from '@/server/settings';
import { Card } from '@/ui/parts/Card';
import { dayTime } from '@/ui/time';
import { DescribeLaboratory } from '@/ui/views/DescribeLaboratory';
import { FirstSteps } from '@/ui/views/FirstSteps';

export const metadata: Metadata = { title: 'Laboratory' };

/** Who the laboratory is, how its installation stands, and what is still to be done at its beginning. */
export default async function LaboratoryPage() {
  const actor = await pageActor();
  if (actor.role !== 'manager') notFound();
  const db = database();
  const now = new Date();
  const laboratory = await laboratoryNow(db);
  const history = await settingHistory(db, SETTING.laboratory);
  const today = DateTime.fromJSDate(now, { zone: laboratory.zone }).toISODate() ?? '';
  const steps = await openSteps(db, actor, today, { whole: true });
  const { wrong } = await wrongNow();
  const backup = lastBackup();
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {laboratory.name}
        </Typography>
        <DescribeLaboratory
          now={{
            ...{ name: laboratory.name, address: laboratory.address, zone: laboratory.zone },
            letterhead: laboratory.letterhead ?? '',
          }}
        />
      </Box>
      <Card title="At the head of a report">
        <Typography sx={{ fontWeight: 700 }}>{laboratory.name}</Typography>
        {headLines(laboratory).map((line) => (
          <Typography key={line}>{line}</Typography>
        ))}
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          {`Its own pages go by the clock of ${laboratory.zone}. What is signed keeps the head it was signed with.${
            history[0] ? ` Said by ${history[0].by}, ${dayTime(history[0].at, laboratory.zone)}.` : ''
          }`}
        </Typography>
      </Card>
      <Card title="How the installation stands">
        {wrong.length === 0 ? (
          <Typography>Everything it is made of runs, and there is room on its disk.</Typography>
        ) : (
          wrong.map((words) => (
            <Typography key={words} color="error">
              {words}
            </Typography>
          ))
        )}
        <Typography color="text.secondary">
          {backup
            ? `The newest backup was made ${dayTime(new Date(backup), laboratory.zone)}. Is it on another machine?`
            : 'No backup was made yet: npm run backup, where the application runs.'}
        </Typography>
      </Card>
      {steps ? <FirstSteps steps={steps} /> : null}
    </Stack>
  );
}
