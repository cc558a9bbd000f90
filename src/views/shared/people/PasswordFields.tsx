import { useState } from 'react';
import { LEAST_PASSWORD, MOST_PASSWORD } from '../../../contract/people';
import { Field, TextBox } from '../kit';

/** A password that is chosen, typed twice. @param onPassword null while the two differ or it is too short */
export function PasswordFields({
  label = 'Password',
  onPassword,
}: {
  label?: string;
  onPassword: (password: string | null) => void;
}) {
  const [first, setFirst] = useState('');
  const [second, setSecond] = useState('');
  const take = (one: string, two: string) => {
    setFirst(one);
    setSecond(two);
    onPassword(one === two && one.length >= LEAST_PASSWORD ? one : null);
  };
  const isShort = first.length > 0 && first.length < LEAST_PASSWORD;
  const differs = second.length > 0 && first !== second;
  return (
    <>
      <Field
        label={label}
        error={
          isShort ? { message: `At least ${LEAST_PASSWORD} characters; a few words do well.` } : undefined
        }
      >
        <TextBox
          isSecret
          isWide
          aria-label={label}
          autoComplete="new-password"
          maxLength={MOST_PASSWORD}
          value={first}
          onChange={({ target }) => take(target.value, second)}
        />
      </Field>
      <Field label="Once more" error={differs ? { message: 'The two differ.' } : undefined}>
        <TextBox
          isSecret
          isWide
          aria-label="Once more"
          autoComplete="new-password"
          maxLength={MOST_PASSWORD}
          value={second}
          onChange={({ target }) => take(first, target.value)}
        />
      </Field>
    </>
  );
}
