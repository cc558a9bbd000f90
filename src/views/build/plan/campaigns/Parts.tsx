import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Fragment } from 'react';
import { isOffered, PARTS } from '../../../../core/build';
import type { PartName, PartPlan, PartSpec } from '../../../../core/build';
import { DASH, formatCount, formatMoney } from '../../../../core/units';
import { hasBids, offersOf } from '../../../shared/offered';
import { Check, Facts, MoneyField } from '../../../shared/kit';
import { FaultWords } from '../FaultWords';
import type { OpenPlan } from '../usePlan';

/** Which parts a plan makes, with the bid of each. */
export function Parts({ open }: { open: OpenPlan }) {
  const { account, plan } = open;
  const offered = PARTS.filter((part) => isOffered(part, offersOf(account)));
  return (
    <>
      <Facts aria-label="Parts">
        <TableHead>
          <TableRow>
            <TableCell>Part</TableCell>
            <TableCell className="figure">Runs already</TableCell>
            <TableCell className="figure">To make</TableCell>
            <TableCell>Bid</TableCell>
            <TableCell>A click is worth</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {offered.map((part) => (
            <Fragment key={part.name}>
              <PartRow part={part} open={open} />
              {part.name === 'auto' && plan.parts.auto.isOn && plan.groups.length > 0 && (
                <TableRow>
                  <TableCell colSpan={6}>
                    <Groups open={open} />
                  </TableCell>
                </TableRow>
              )}
            </Fragment>
          ))}
        </TableBody>
      </Facts>
      {offered.length < PARTS.length && (
        <p className="note">
          This market does not offer{' '}
          {PARTS.filter((part) => !offered.includes(part))
            .map(({ label }) => label.toLowerCase())
            .join(', ')}
          .
        </p>
      )}
    </>
  );
}

/** The market's automatic groups, each with its bid, together or apart. */
function Groups({ open: { account, plan, edit } }: { open: OpenPlan }) {
  return (
    <div className="bar" role="group" aria-label="Automatic groups">
      <span className="faint small">Automatic groups:</span>
      {plan.groups.map((group, at) => {
        const put = (next: Partial<typeof group>) =>
          edit({ groups: plan.groups.map((one, index) => (index === at ? { ...one, ...next } : one)) });
        return (
          <span key={group.name} className="labelled">
            <Check isOn={group.isOn} onChange={(isOn) => put({ isOn })}>
              {group.name}
            </Check>
            {hasBids(account) && (
              <MoneyField
                label={`Bid on ${group.name}`}
                isLabelled={false}
                micros={group.bid ?? plan.parts.auto.bid}
                currency={account.currency}
                step={account.limits.bidStep}
                isOff={!group.isOn}
                onMicros={(bid) => put({ bid })}
              />
            )}
          </span>
        );
      })}
      <Check isOn={plan.groupsApart} onChange={(groupsApart) => edit({ groupsApart })}>
        one campaign each
      </Check>
    </div>
  );
}

function PartRow({ part: { name, label, does }, open }: { part: PartSpec; open: OpenPlan }) {
  const { account, plan, edit, campaigns, faults, data } = open;
  const part = plan.parts[name];
  const put = (next: Partial<PartPlan>) =>
    edit({ parts: { ...plan.parts, [name]: { ...part, ...next } } }, `“${label}” was edited`);
  const made = countOf(campaigns, name);
  const worth = data.worth[name];
  const target = data.product.targetAcos;
  return (
    <TableRow>
      <TableCell>
        <Check isOn={part.isOn} onChange={(isOn) => put({ isOn })} title={does}>
          {label} <span className="faint small">{does}</span>
        </Check>
      </TableCell>
      <TableCell className="figure">
        {data.product.has[name] ? formatCount(data.product.has[name]) : DASH}
      </TableCell>
      <TableCell className="figure">{part.isOn ? formatCount(made) : DASH}</TableCell>
      <TableCell>
        {hasBids(account) ? (
          <MoneyField
            label={`Bid of ${label.toLowerCase()}`}
            isLabelled={false}
            micros={part.bid}
            currency={account.currency}
            step={account.limits.bidStep}
            isOff={!part.isOn}
            onMicros={(bid) => put({ bid })}
          />
        ) : (
          formatMoney(part.bid)
        )}
      </TableCell>
      <TableCell className="faint small">
        {worth === undefined
          ? 'too early to say'
          : `${formatMoney(worth)}${target === null ? '' : `: bid up to ${formatMoney(worth * target)}`}`}
      </TableCell>
      <TableCell>
        {part.isOn && made === 0 && (
          <Check isOn={part.isEmpty} onChange={(isEmpty) => put({ isEmpty })}>
            empty on purpose
          </Check>
        )}{' '}
        {part.isOn && <FaultWords faults={faults.at(`parts.${name}`)} isShort />}
      </TableCell>
    </TableRow>
  );
}

const countOf = (campaigns: OpenPlan['campaigns'], name: PartName) =>
  campaigns.reduce((sum, { part, targets }) => sum + (part === name ? targets.length : 0), 0);
