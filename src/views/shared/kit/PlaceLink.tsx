import MuiLink from '@mui/material/Link';
import type { ReactNode } from 'react';
import { Link } from 'wouter';

interface PlaceLinkProps {
  href: string;
  children: ReactNode;
  title?: string;
  /** Done beside going there. */
  onClick?: () => void;
}

/** A link to another place or part of Mowing: the page stays, what was loaded too. */
export function PlaceLink({ href, children, title, onClick }: PlaceLinkProps) {
  return (
    <MuiLink component={Link} href={href} title={title} onClick={onClick}>
      {children}
    </MuiLink>
  );
}
