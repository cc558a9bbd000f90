import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { formatDay, formatMoney, MICROS_PER_UNIT } from '../../../core/units';
import { api } from '../../shared/api';
import { Fault, MoneyField } from '../../shared/kit';
import { useMoney } from '../../shared/money/useMoney';
import { useTell } from '../../shared/useTell';

const STEP = 100 * MICROS_PER_UNIT;

/** Prepaid money of an account: what is left, how long it lasts, and paying more in. */
export function FundsPanel({ account }: { account: AccountInfo }) {
  const client = useQueryClient();
  const tell = useTell();
  const { data } = useMoney(account);
  const [amount, setAmount] = useState<number | null>(null);
  const pay = useMutation({
    mutationFn: () => api.topUp(account.id, amount!),
    onSuccess: async ({ funds }) => {
      tell(`Paid in. Prepaid funds are ${formatMoney(funds)} ${account.currency} now.`);
      setAmount(null);
      await Promise.all(
        ['accounts', 'money', 'tree'].map((key) => client.invalidateQueries({ queryKey: [key] })),
      );
    },
  });
  const funds = data?.funds;
  if (!funds) return null;
  const { left, end } = funds;
  return (
    <section className="framed" aria-label="Prepaid funds">
      <form
        data-may="own"
        className="bar"
        onSubmit={(event) => {
          event.preventDefault();
          if (amount !== null && !pay.isPending) pay.mutate();
        }}
      >
        <span>
          Prepaid funds <strong>{formatMoney(left)}</strong> {account.currency}
          {left <= 0
            ? ': no ad is shown until more is paid in'
            : end
              ? `, gone about ${formatDay(end.on)} (${formatDay(end.earliest)} to ${formatDay(end.latest)}) at ${formatMoney(end.perDay)} a day`
              : ''}
        </span>
        <span className="room" />
        <MoneyField
          label="Pay in"
          currency={account.currency}
          micros={amount}
          least={10_000}
          step={STEP}
          onMicros={setAmount}
          onNone={() => setAmount(null)}
        />
        <Button data-may="own" type="submit" disabled={amount === null || pay.isPending}>
          Pay in
        </Button>
      </form>
      <Fault error={pay.error} />
    </section>
  );
}
