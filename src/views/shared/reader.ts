import { recall, remember } from './remembered';

/** The reader's way of writing figures: a language tag, or what the browser says. */
const KEY = 'numbers';

/** Ways of writing figures that can be chosen, each shown by an example. */
export const NUMBER_LOCALES = ['en-GB', 'de-DE', 'fr-FR', 'de-CH', 'sv-SE', 'en-IN'] as const;

/** The locale chosen; null: the browser's. */
export const chosenLocale = (): string | null => recall<string | null>(KEY, null);

/** The locale that figures and the names of days follow. */
export function readerLocale(): string {
  return chosenLocale() ?? (typeof navigator === 'undefined' ? 'en-GB' : navigator.language);
}

/** Keeps a choice: it counts when the page is loaded again. */
export const chooseLocale = (locale: string | null): void => remember(KEY, locale);
