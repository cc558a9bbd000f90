import MuiLink from '@mui/material/Link';
import type { ReactNode } from 'react';
import { Link } from 'wouter';

/** A link to another place or part of Mowing: the page stays, what was loaded too. */
export function PlaceLink({ href, children, title }: { href: string; children: ReactNode; title?: string }) {
  return (
    <MuiLink component={Link} href={href} title={title}>
      {children}
    </MuiLink>
  );
}
