/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who asks; null: it has to sign in. Looked up once. @throws when the database does not answer */
    visitor: () => Promise<import('./server/people/visitor').Visitor | null>;
    /** Where the request comes from. */
    from: import('./server/http/whereFrom').WhereFrom;
  }
}
