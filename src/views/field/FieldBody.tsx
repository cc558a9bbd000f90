import type { FieldBodyProps } from './fieldBodyProps';
import { Trouble } from '../shared/Trouble';
import { LoadedField } from './LoadedField';

/** The field once its figures are here; until then what is being waited for, or what went wrong. */
export function FieldBody(props: FieldBodyProps) {
  const { account, error, lens } = props;
  if (account && lens.loaded) return <LoadedField {...props} account={account} loaded={lens.loaded} />;
  return (
    <main style={{ padding: 24 }}>
      {error ? (
        <Trouble error={error} />
      ) : (
        <p role="status" className="faint">
          Reading the figures …
        </p>
      )}
    </main>
  );
}
