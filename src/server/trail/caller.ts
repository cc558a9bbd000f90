/** What somebody may do: look at figures; decide (tray, notes, choices, goals, lists); send to a market; set up accounts and their data. */
export const RIGHTS = ['see', 'decide', 'send', 'set up'] as const;
export type Right = (typeof RIGHTS)[number];

/** Whoever asks for something: it stands in the trail with what was done. */
export interface Caller {
  name: string;
  rights: readonly Right[];
}

/** Everybody who reaches an application that nobody has to sign in to. */
export const THIS_MACHINE: Caller = { name: 'this machine', rights: RIGHTS };

/** What the application does by itself, when it is due. */
export const MOWING: Caller = { name: 'Mowing', rights: RIGHTS };
