import Button from '@mui/material/Button';
import { closeSnackbar, useSnackbar } from 'notistack';
import type { SnackbarKey } from 'notistack';
import { useMemo } from 'react';

/** How a notice is told: what was done, what was done in part, what went wrong. */
export type TellKind = 'done' | 'warning' | 'fault';

const VARIANTS = { done: 'default', warning: 'warning', fault: 'error' } as const;
const SHOWN_MS = { done: 2500, warning: 8000, fault: 9000 };
/** A notice with a way back stays longer: it has to be read and reached. */
const UNDO_MS = 12_000;

interface TellMore {
  kind?: TellKind;
  /** Takes back what was done. */
  onUndo?: () => void;
  /** Of notices with the same key the last one is shown. */
  key?: string;
}

/** The notice that is shown under a key. */
const latest = new Map<string, SnackbarKey>();

export type Tell = (sentence: string, more?: TellMore) => void;

/** The one way to tell the reader what has happened, in passing. */
export function useTell(): Tell {
  const { enqueueSnackbar } = useSnackbar();
  return useMemo(
    () =>
      (sentence, { kind = 'done', onUndo, key } = {}) => {
        if (key !== undefined) closeSnackbar(latest.get(key));
        const shown = enqueueSnackbar(sentence, {
          variant: VARIANTS[kind],
          autoHideDuration: onUndo ? UNDO_MS : SHOWN_MS[kind],
          ...(onUndo && {
            action: (own) => (
              <Button
                color="inherit"
                onClick={() => {
                  closeSnackbar(own);
                  onUndo();
                }}
              >
                Undo
              </Button>
            ),
          }),
        });
        if (key !== undefined) latest.set(key, shown);
      },
    [enqueueSnackbar],
  );
}
