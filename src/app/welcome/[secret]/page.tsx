import type { Metadata } from 'next';
import { database } from '@/db/client';
import { invitedBy } from '@/server/invitations';
import { Welcome } from '@/ui/views/Welcome';

export const metadata: Metadata = { title: 'Set your password', referrer: 'no-referrer' };
export const dynamic = 'force-dynamic';

/** Where the link of an invitation leads: its person sets their password. */
export default async function WelcomePage({ params }: { params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const invited = await invitedBy(database(), secret, new Date());
  return <Welcome secret={secret} invited={invited ? { name: invited.name, email: invited.email } : null} />;
}
