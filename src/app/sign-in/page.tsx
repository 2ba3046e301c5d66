import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { actorOf } from '@/server/session';
import { SignIn } from '@/ui/views/SignIn';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ then?: string }> }) {
  const { then } = await searchParams;
  // Only a path of our own is followed: a link that brings somebody here must not send them elsewhere afterwards.
  const next = then && /^\/(?![/\\])/.test(then) ? then : '/today';
  if (await actorOf(await headers())) redirect(next);
  return <SignIn next={next} demo={process.env.BRICOLE_DEMO === '1'} />;
}
