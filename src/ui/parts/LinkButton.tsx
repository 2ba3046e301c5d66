'use client';
import { Button, type ButtonProps, type LinkProps, Link as MuiLink } from '@mui/material';
import NextLink from 'next/link';

/** A button that goes somewhere. */
export function LinkButton(props: ButtonProps & { href: string }) {
  return <Button component={NextLink} {...props} />;
}

/** A link inside the application. */
export function TextLink(props: LinkProps & { href: string }) {
  return <MuiLink component={NextLink} {...props} />;
}
