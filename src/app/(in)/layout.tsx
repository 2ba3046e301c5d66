import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { pageActor } from '@/server/page';
import { type Place, Shell } from '@/ui/Shell';
import type { Scheme } from '@/ui/theme';

const STAFF_PLACES: readonly Place[] = [
  { href: '/today', word: 'Today' },
  { href: '/field', word: 'Field' },
  { href: '/jobs', word: 'Jobs' },
  { href: '/verdicts', word: 'Verdicts' },
  { href: '/reports', word: 'Reports' },
  { href: '/gear', word: 'Gear' },
  { href: '/practice', word: 'Practice' },
];
const CLIENT_PLACES: readonly Place[] = [
  { href: '/today', word: 'Today' },
  { href: '/jobs', word: 'Jobs' },
  { href: '/verdicts', word: 'Verdicts' },
  { href: '/reports', word: 'Reports' },
];

export default async function InLayout({ children }: { children: ReactNode }) {
  const actor = await pageActor();
  const scheme = ((await cookies()).get('scheme')?.value ?? 'day') as Scheme;
  const places = actor.role === 'client' ? CLIENT_PLACES : STAFF_PLACES;
  return (
    <Shell places={places} person={actor.name} role={actor.role} scheme={scheme}>
      {children}
    </Shell>
  );
}
