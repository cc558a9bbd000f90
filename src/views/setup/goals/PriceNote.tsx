import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { PRICE_TARGETS } from '../../../core/bids';
import { formatCount } from '../../../core/units';
import { api } from '../../shared/api';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { priceWords } from '../../shared/priceWords';

/** What sets the price of a click on the account's market, with what tells it. */
export function PriceNote({ account }: { account: AccountInfo }) {
  const version = dataVersion(account);
  const { data } = useQuery({
    queryKey: ['price', account.id, version],
    queryFn: () => api.clickPrice(account.id),
    staleTime: Infinity,
  });
  if (!data) return null;
  return (
    <section aria-label="Price of a click">
      <h2 className="pageTitle">What sets the price of a click</h2>
      <p className="line">{priceWords(data)}</p>
      {data.targets >= PRICE_TARGETS && (
        <p className="note">
          Told by {formatCount(data.targets)} targets with 5 clicks and more of {formatCount(data.clicks)} in
          all: how their cost per click stands to their bids, against what it would be if the next bidder set
          it. Measured {data.measured.toFixed(2)}; 0 is the next bidder, 1 your own bid, and under 0.3 counts
          as 0.
        </p>
      )}
    </section>
  );
}
