import { Field, TextBox } from '../kit';

/** Somebody who is to come in. */
export interface NewPerson {
  name: string;
  email: string;
}

export const NO_PERSON: NewPerson = { name: '', email: '' };

/** Whether there is enough to let somebody in; the server looks at the rest. */
export const isWholePerson = ({ name, email }: NewPerson): boolean =>
  name.trim() !== '' && email.includes('@');

/** Name and e-mail of somebody. */
export function PersonFields({
  nameLabel = 'Name',
  person,
  onPerson,
}: {
  nameLabel?: string;
  person: NewPerson;
  onPerson: (next: NewPerson) => void;
}) {
  return (
    <>
      <Field label={nameLabel}>
        <TextBox
          aria-label={nameLabel}
          autoComplete="off"
          maxLength={80}
          value={person.name}
          onChange={({ target }) => onPerson({ ...person, name: target.value })}
        />
      </Field>
      <Field label="E-mail">
        <TextBox
          aria-label="E-mail"
          autoComplete="off"
          letters={28}
          maxLength={200}
          value={person.email}
          onChange={({ target }) => onPerson({ ...person, email: target.value })}
        />
      </Field>
    </>
  );
}
