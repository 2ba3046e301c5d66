import 'reflect-metadata';
import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { Invalid, NotFound, Refused, refusalOf } from './errors';
import { isId } from './http';
import { signedInOf } from './session';
import type { Actor } from './use-case';

/** Layout and page ask the same of one request: it is asked once. */
const signedInNow = cache(async () => signedInOf(await headers()));

/** The person a page is for; a stranger is sent to sign in and comes back afterwards. */
export async function pageActor(): Promise<Actor> {
  const sent = await headers();
  const actor = (await signedInNow())?.actor;
  // The proxy writes the address that was asked for into every request.
  if (!actor) redirect(`/sign-in?then=${encodeURIComponent(sent.get('x-path') ?? '/today')}`);
  return actor;
}

/** The session that a page is asked for in. */
export async function pageSession(): Promise<string | undefined> {
  return (await signedInNow())?.sessionId;
}

/** The data of a page; what is not there, or not this person's to see, is a plain 'not found' page. */
export async function pageData<T>(load: () => Promise<T>): Promise<T> {
  try {
    return await load();
  } catch (raised) {
    // An address that the database cannot even read is one of nothing.
    const error = refusalOf(raised) ?? raised;
    if (error instanceof Invalid) notFound();
    if (error instanceof NotFound || error instanceof Refused) notFound();
    throw error;
  }
}

/** An identifier out of an address; anything that cannot be one is a page that is not there. */
export function pageId(id: string): string {
  if (!isId(id)) notFound();
  return id;
}

/** A page of a list out of an address, from 0; the first one for anything that is no such number. */
export function pageNumber(text: string | undefined): number {
  const page = Number(text ?? 0);
  return Number.isSafeInteger(page) && page >= 0 && page < 100_000 ? page : 0;
}
