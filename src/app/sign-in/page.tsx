import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { database } from '@/db/client';
import { ownPath } from '@/server/http';
import { actorOf } from '@/server/session';
import { laboratoryNow } from '@/server/settings';
import { SignIn } from '@/ui/views/SignIn';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ then?: string }> }) {
  const { then } = await searchParams;
  const next = ownPath(then);
  if (await actorOf(await headers())) redirect(next);
  const { name } = await laboratoryNow(database());
  return <SignIn next={next} laboratory={name} demo={process.env.BRICOLE_DEMO === '1'} />;
}
