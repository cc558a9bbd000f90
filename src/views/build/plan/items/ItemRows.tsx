import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PlanItem } from '../../../../core/build';
import { formatCount } from '../../../../core/units';
import { Choice, Empty, Facts, MoneyField, TextBox } from '../../../shared/kit';
import { FaultWords } from '../FaultWords';
import { Refusal } from '../Refusal';
import { TakeOut } from '../../TakeOut';
import type { OpenPlan } from '../usePlan';
import { usePlans } from '../usePlans';

/** So many are drawn at once; more are asked for. */
const SHOWN = 100;

/** The items of a plan: rivals’, and own ones that are defended. */
export function ItemRows({ open }: { open: OpenPlan }) {
  const { account, plan, edit } = open;
  const [most, setMost] = useState(SHOWN);
  const { data } = usePlans(account);
  const names = new Map((data?.products ?? []).map(({ itemCode, name }) => [itemCode.toUpperCase(), name]));
  if (plan.items.length === 0)
    return <Empty why="Paste codes of rivals; own items are found by themselves.">No items yet.</Empty>;
  const put = (at: number, change: Partial<PlanItem>) =>
    edit(
      { items: plan.items.map((one, index) => (index === at ? { ...one, ...change } : one)) },
      'an item was edited',
    );
  const takeOut = (at: number) =>
    edit({ items: plan.items.filter((_, index) => index !== at) }, 'an item taken out');
  return (
    <>
      <Facts aria-label="Items of the plan">
        <TableHead>
          <TableRow>
            <TableCell>Item code</TableCell>
            <TableCell>Part</TableCell>
            <TableCell>Bid</TableCell>
            <TableCell>To be told</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {plan.items.slice(0, most).map((item, at) => (
            <TableRow key={at}>
              <TableCell>
                <TextBox
                  aria-label={`Item ${at + 1}`}
                  letters={14}
                  defaultValue={item.code}
                  key={item.code}
                  onBlur={({ target }) => {
                    const code = target.value.trim().toUpperCase();
                    if (code !== '' && code !== item.code) put(at, { code });
                  }}
                />
              </TableCell>
              <TableCell>
                <Choice
                  label={`Part of ${item.code}`}
                  value={item.isOwn ? 'own' : 'rivals'}
                  onChange={(next) => put(at, { isOwn: next === 'own' })}
                >
                  {[
                    ['rivals', 'a rival’s'],
                    ['own', 'our own'],
                  ]}
                </Choice>
              </TableCell>
              <TableCell>
                <MoneyField
                  label={`Bid on ${item.code}`}
                  isLabelled={false}
                  micros={item.bid ?? plan.parts[item.isOwn ? 'own' : 'rivals'].bid}
                  currency={account.currency}
                  step={account.limits.bidStep}
                  onMicros={(bid) => put(at, { bid })}
                />
              </TableCell>
              <TableCell>
                {item.isOwn && <span className="faint small block">{names.get(item.code)}</span>}
                <FaultWords faults={open.faults.at(`items.${at}`)} />
                <Refusal open={open} at={`items.${at}`} />
              </TableCell>
              <TableCell>
                <TakeOut keys="Delete" what={item.code} onClick={() => takeOut(at)} />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {plan.items.length > most && (
        <Button onClick={() => setMost(most + SHOWN)}>
          Show {formatCount(Math.min(SHOWN, plan.items.length - most))} more of{' '}
          {formatCount(plan.items.length)}
        </Button>
      )}
    </>
  );
}
