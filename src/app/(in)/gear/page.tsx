import { Box, Stack, Typography } from '@mui/material';
import { DateTime } from 'luxon';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { EQUIPMENT_KINDS } from '@/server/actions/gear';
import { pageActor, pageData } from '@/server/page';
import { gearList, retiredGear } from '@/server/queries/gear';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { AddEquipment } from '@/ui/views/AddEquipment';
import { GearTable } from '@/ui/views/GearTable';
import { ImportList } from '@/ui/views/ImportList';

export const metadata: Metadata = { title: 'Gear' };

/** What is computed before anything is tested. */
const WORKED_OUT = [
  ['/gear/beam-loads', 'Loads on a beam'],
  ['/gear/member-heat', 'How warm a member gets'],
  ['/gear/curing-places', 'Two curing places'],
] as const;

const VERIFICATIONS = { title: 'Verifications from a list', button: 'Verifications' };

export default async function GearPage({ searchParams }: { searchParams: Promise<{ retired?: string }> }) {
  const actor = await pageActor();
  const today = DateTime.now().toISODate();
  const retired = (await searchParams).retired === '1';
  const items = await pageData(() => gearList(database(), actor, today, { retired }));
  const put = await pageData(() => retiredGear(database(), actor));
  const bench = actor.role !== 'field';
  const trouble = items.filter(({ state }) => state === 'overdue' || state === 'never verified').length;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {retired
            ? 'Gear out of service'
            : trouble > 0
              ? `Gear: ${trouble} not to be used`
              : 'Gear: all in date'}
        </Typography>
        <LinkButton href="/gear/limits" variant="outlined">
          Limits register
        </LinkButton>
        <LinkButton href="/ends" variant="outlined">
          Caps and ground ends
        </LinkButton>
        <LinkButton href="/gear/storage" variant="outlined">
          Tanks and rooms
        </LinkButton>
        <LinkButton href="/gear/people" variant="outlined">
          {actor.role === 'manager' ? 'People' : 'Certificates'}
        </LinkButton>
        {actor.role === 'manager' ? (
          <LinkButton href="/gear/laboratory" variant="outlined">
            Laboratory
          </LinkButton>
        ) : null}
        {actor.role === 'manager' || actor.role === 'reviewer' ? (
          <LinkButton href="/gear/trail" variant="outlined">
            Audit trail
          </LinkButton>
        ) : null}
        {bench ? (
          <>
            <ImportList list="instruments" />
            <ImportList list="verifications" words={VERIFICATIONS} />
            <AddEquipment kinds={EQUIPMENT_KINDS} />
          </>
        ) : null}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <Typography color="text.secondary">Worked out beforehand:</Typography>
        {WORKED_OUT.map(([href, title]) => (
          <TextLink key={href} href={href}>
            {title}
          </TextLink>
        ))}
      </Box>
      <Card>
        {items.length === 0 ? (
          <Empty>
            {retired
              ? 'Nothing is out of service.'
              : 'No equipment yet. Enter the press and the callipers first: a run sheet asks for them.'}
          </Empty>
        ) : (
          <GearTable
            today={today}
            canVerify={bench}
            items={items.map((item) => ({
              id: item.id,
              number: item.number,
              kind: item.kind,
              name: item.name,
              place: item.place,
              inService: item.inService,
              verifiedOn: item.last?.verifiedOn ?? null,
              range: item.last?.verifiedFrom
                ? `${item.last.verifiedFrom} to ${item.last.verifiedTo}`
                : [
                    item.last?.strength ?? '',
                    item.last?.serials ?? '',
                    ...(item.compound?.usableTo ? [`qualified to ${item.compound.usableTo}`] : []),
                    ...(item.compound?.potLow
                      ? [`pot ${item.compound.potLow} to ${item.compound.potHigh}`]
                      : []),
                  ]
                    .filter(Boolean)
                    .join(', '),
              loads: item.loads,
              pads: item.pads,
              wear: item.wear,
              certificate: item.last?.certificate ?? '',
              file: item.file,
              due: item.due,
              machine: item.machine,
              state: item.state,
            }))}
          />
        )}
        {retired ? (
          <Typography sx={{ mt: 1 }}>
            {put > 0 && `${items.length} of ${put}, the highest numbers. `}
            <TextLink href="/gear">To what is in service</TextLink>
          </Typography>
        ) : put > 0 ? (
          <Typography sx={{ mt: 1 }}>
            <TextLink href="/gear?retired=1">{`${put} out of service`}</TextLink>
          </Typography>
        ) : null}
      </Card>
    </Stack>
  );
}
