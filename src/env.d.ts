/// <reference types="astro/client" />
import type { WhereFrom } from './server/http/whereFrom';
import type { Visitor } from './server/people/visitor';

declare global {
  namespace App {
    interface Locals {
      /** Who asks; null: it has to sign in. Looked up once. @throws when the database does not answer */
      visitor: () => Promise<Visitor | null>;
      /** Where the request comes from. */
      from: WhereFrom;
    }
  }
}
