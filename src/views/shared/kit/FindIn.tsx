import Button from '@mui/material/Button';
import { formatCount } from '../../../core/units';
import { TextBox } from './TextBox';
import type { Short } from './useShort';

interface FindInProps<T> {
  /** What is found, in the plural. */
  noun: string;
  short: Short<T>;
}

/** Finds in a long list by typing. */
export function FindIn<T>({ noun, short }: FindInProps<T>) {
  return (
    <TextBox
      className="findIn"
      isWide
      aria-label={`Find ${noun}`}
      placeholder={`Find ${noun} …`}
      value={short.text}
      onChange={(event) => short.setText(event.target.value)}
    />
  );
}

/** How much of a long list is not shown, and the way on. */
export function ShowMore<T>({ noun, short: { shown, found, more, text } }: FindInProps<T>) {
  if (found === 0 && text !== '') return <p className="note">No {noun} hold that.</p>;
  if (more === null) return null;
  return (
    <p className="note">
      {formatCount(shown.length)} of {formatCount(found)} {noun}.{' '}
      <Button variant="link" onClick={more}>
        Show more
      </Button>
    </p>
  );
}
