import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { SpendShares } from '../../../plans/budgets';
import { api } from '../../shared/api';
import { OwnCampaignDialog } from './OwnCampaignDialog';

interface WhoTakesProps {
  account: AccountInfo;
  campaignId: number;
  campaign: string;
}

/** Who takes whose money in a campaign; and a campaign of its own for the target that takes most of it. */
export function WhoTakes({ account, campaignId, campaign }: WhoTakesProps) {
  const [isAsking, setAsking] = useState(false);
  const { minBudget } = account.limits;
  const { data } = useQuery({
    queryKey: ['spend-shares', account.id, account.revision, campaignId],
    queryFn: async () => (await api.askBids(account.id, 'shares', { campaignId, minBudget })).shares,
  });
  if (!data || data.targets.length === 0) return null;
  const { strong } = data;
  return (
    <section aria-label="Who takes the money">
      <strong className="small">Who takes the money, a day</strong>
      <ShareBar shares={data} />
      {strong && (
        <>
          <p className="note">
            “{strong.name}” takes {formatShare(strong.share, 0)} at {formatShare(strong.acos, 0)} ACOS. In a
            campaign of its own it needs {formatMoney(strong.budget)} {account.currency} a day, and leaves the
            others {formatMoney(strong.leaves)}.
          </p>
          {account.connected && (
            <Button onClick={() => setAsking(true)} sx={{ padding: '2px 0' }}>
              Give it a campaign of its own …
            </Button>
          )}
        </>
      )}
      {isAsking && strong && (
        <OwnCampaignDialog
          account={account}
          strong={strong}
          campaign={campaign}
          onDone={() => setAsking(false)}
        />
      )}
    </section>
  );
}

/** One bar, parted by what each target takes. */
function ShareBar({ shares: { targets, others } }: { shares: SpendShares }) {
  const all = targets.reduce((sum, { spend }) => sum + spend, others.spend);
  const parts = [
    ...targets.map(({ name, spend, acos }) => ({
      name,
      spend,
      words: `${name}: ${formatMoney(spend)} a day, ACOS ${formatShare(acos, 0)}`,
    })),
    ...(others.count > 0
      ? [
          {
            name: `${formatCount(others.count)} others`,
            spend: others.spend,
            words: `${formatCount(others.count)} others: ${formatMoney(others.spend)} a day`,
          },
        ]
      : []),
  ];
  return (
    <>
      <div className="shareBar" role="img" aria-label={parts.map(({ words }) => words).join('; ')}>
        {parts.map(({ name, spend, words }, at) => (
          <span
            key={name}
            title={words}
            style={{
              width: `${(100 * spend) / all}%`,
              opacity: at < targets.length ? 0.85 - at * 0.13 : 0.15,
            }}
          />
        ))}
      </div>
      <ul className="shareNames">
        {parts.map(({ name, spend, words }) => (
          <li key={name} title={words}>
            <span className="name">{name}</span>
            <span className="figure">
              {formatMoney(spend)} <span className="faint">{formatShare(spend / all, 0)}</span>
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
