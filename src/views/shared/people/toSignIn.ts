/** Leads to the door, and back here from it. */
export function toSignIn(): void {
  location.assign(`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`);
}
