'use client';
import { Button, type ButtonProps, type LinkProps, Link as MuiLink } from '@mui/material';
import { AppLink } from './AppLink';

/** A button that goes somewhere. */
export function LinkButton(props: ButtonProps & { href: string }) {
  return <Button component={AppLink} {...props} />;
}

/** A link inside the application. */
export function TextLink(props: LinkProps & { href: string }) {
  // A file is fetched by the browser itself, not by the router.
  return props.href.startsWith('/api/') ? <MuiLink {...props} /> : <MuiLink component={AppLink} {...props} />;
}
