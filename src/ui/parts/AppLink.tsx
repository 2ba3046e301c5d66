'use client';
import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link inside the application. Nothing is fetched before it is followed: two requests for each link that comes into
 * view cost a server more than all pages that are opened, and bring a page of fresh readings no sooner.
 */
export function AppLink(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
