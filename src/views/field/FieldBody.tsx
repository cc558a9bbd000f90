import type { FieldBodyProps } from './fieldBodyProps';
import { Loading, Trouble } from '../shared/kit';
import { LoadedField } from './LoadedField';

/** The field once its figures are here; until then what is being waited for, or what went wrong. */
export function FieldBody(props: FieldBodyProps) {
  const { account, error, lens } = props;
  if (account && lens.loaded) return <LoadedField {...props} account={account} loaded={lens.loaded} />;
  return <main>{error ? <Trouble error={error} /> : <Loading>Reading the figures …</Loading>}</main>;
}
