import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import type { NewCodes } from '../../../contract/people';
import { api } from '../../shared/api';
import { formatTime } from '../../shared/formatTime';
import { Fault, Field, TextBox } from '../../shared/kit';
import { useTell } from '../../shared/useTell';
import { usePeopleAct } from './usePeople';

/** Codes of an app on one's phone, asked for beside the password. */
export function Codes() {
  const tell = useTell();
  const { data, error } = useQuery({ queryKey: ['codes'], queryFn: api.codes });
  const [made, setMade] = useState<NewCodes | null>(null);
  const [isLeaving, setLeaving] = useState(false);
  const begin = usePeopleAct(api.beginCodes, setMade);
  const turnOn = usePeopleAct(api.codesOn, () => {
    setMade(null);
    tell('From now on a code is asked for beside your password');
  });
  const turnOff = usePeopleAct(api.codesOff, () => {
    setLeaving(false);
    tell('Your password is enough again');
  });
  return (
    <section className="apart" aria-label="Codes">
      <h2 className="pageTitle">Codes of an app</h2>
      <Fault error={error} />
      {data && (
        <p className="bar">
          <span className="faint">
            {data.onSince === null
              ? 'Your password alone lets you in.'
              : `Asked for beside your password since ${formatTime(data.onSince)}. If you lose the phone, an owner makes you a link for a new password: it turns codes off.`}
          </span>
          {data.onSince === null ? (
            made === null && (
              <Button variant="outlined" disabled={begin.isPending} onClick={() => begin.mutate(undefined)}>
                Set up codes
              </Button>
            )
          ) : (
            <Button variant="outlined" onClick={() => setLeaving(!isLeaving)}>
              Turn codes off
            </Button>
          )}
        </p>
      )}
      {made !== null && (
        <FirstCode
          made={made}
          isBusy={turnOn.isPending}
          onCode={(code) => turnOn.mutate(code)}
          onCancel={() => setMade(null)}
        />
      )}
      {isLeaving && data?.onSince != null && (
        <OneField
          title="Turn codes off"
          label="Your password"
          does="Turn off"
          isSecret
          isBusy={turnOff.isPending}
          onDone={(password) => turnOff.mutate(password)}
          onCancel={() => setLeaving(false)}
        />
      )}
    </section>
  );
}

/** What the app reads, and the first code that it makes of it. */
function FirstCode({
  made,
  ...act
}: {
  made: NewCodes;
  isBusy: boolean;
  onCode: (code: string) => void;
  onCancel: () => void;
}) {
  return (
    <div className="framed codesBox">
      {/* Dark on light in both themes: cameras read it so. */}
      <QRCodeSVG
        value={made.address}
        size={164}
        marginSize={2}
        title="The secret, for the camera of the app"
      />
      <div>
        <p>Let the app on your phone read the picture, or type this secret into it:</p>
        <p>
          <code className="secretText">{made.secret.match(/.{1,4}/g)!.join(' ')}</code>
        </p>
        <OneField
          title="First code"
          label="The code that it shows"
          does="Turn codes on"
          isBusy={act.isBusy}
          onDone={act.onCode}
          onCancel={act.onCancel}
        />
      </div>
    </div>
  );
}

function OneField({
  title,
  label,
  does,
  isSecret,
  isBusy,
  onDone,
  onCancel,
}: {
  title: string;
  label: string;
  does: string;
  isSecret?: boolean;
  isBusy: boolean;
  onDone: (text: string) => void;
  onCancel: () => void;
}) {
  const [text, setText] = useState('');
  return (
    <form
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        if (text !== '' && !isBusy) onDone(text);
      }}
    >
      <div className="fields">
        <Field label={label}>
          <TextBox
            autoFocus
            isSecret={isSecret}
            aria-label={label}
            autoComplete={isSecret ? 'current-password' : 'one-time-code'}
            value={text}
            onChange={({ target }) => setText(target.value)}
          />
        </Field>
      </div>
      <div className="bar">
        <Button type="submit" variant="contained" disabled={text === '' || isBusy}>
          {does}
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </div>
    </form>
  );
}
