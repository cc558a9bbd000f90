import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import { peopleApi } from './peopleApi';

/** Whether passkeys can work here: browsers have none for a bare address, nor without TLS anywhere but at localhost. */
export const canUsePasskeys = (): boolean =>
  'PublicKeyCredential' in globalThis && isSecureContext && !/^[\d.]+$|^\[/.test(location.hostname);

/** The library comes when somebody asks for a passkey. */
const library = () => import('@simplewebauthn/browser');

/** Has the device make a passkey, and keeps it. @throws in words */
export async function addPasskey(name: string): Promise<void> {
  const options = (await peopleApi.newPasskey()) as PublicKeyCredentialCreationOptionsJSON;
  const { startRegistration } = await library();
  const response = await inWords(() => startRegistration({ optionsJSON: options }));
  await peopleApi.keepPasskey({ name, response });
}

/** Comes in by a passkey of this device. @throws in words */
export async function comeInByPasskey(): Promise<void> {
  const options = (await peopleApi.passkeyAsked()) as PublicKeyCredentialRequestOptionsJSON;
  const { startAuthentication } = await library();
  const response = await inWords(() => startAuthentication({ optionsJSON: options }));
  await peopleApi.comeInByPasskey(response);
}

async function inWords<T>(act: () => Promise<T>): Promise<T> {
  try {
    return await act();
  } catch (error) {
    const { name } = error as Error;
    if (name === 'NotAllowedError' || name === 'AbortError')
      throw new Error('The device gave no passkey: it was called off, or there is none for this address.', {
        cause: error,
      });
    if (name === 'InvalidStateError')
      throw new Error('This device has a passkey for you already.', { cause: error });
    throw error;
  }
}
