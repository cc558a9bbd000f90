import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { PARTS, partNamed } from '../../../../core/build';
import type { Crossing } from '../../../../core/build';
import { formatCount } from '../../../../core/units';
import { Check, Facts } from '../../../shared/kit';
import type { OpenPlan } from '../usePlan';

/** What one part bids on by name, kept out of the parts that find things by themselves; each can be left out. */
export function Matrix({ open: { crossings, plan, edit } }: { open: OpenPlan }) {
  if (crossings.length === 0) return null;
  const columns = PARTS.filter(({ name }) => crossings.some((one) => one.in === name));
  const rows = PARTS.filter(({ name }) => crossings.some((one) => one.from === name));
  const toggle = ({ key, isOn }: Crossing) =>
    edit(
      { uncrossed: isOn ? [...plan.uncrossed, key] : plan.uncrossed.filter((one) => one !== key) },
      'the cross-negatives were edited',
    );
  return (
    <>
      <h2 className="part serif">Cross-negatives</h2>
      <Facts aria-label="Cross-negatives">
        <TableHead>
          <TableRow>
            <TableCell>Kept out of …</TableCell>
            {columns.map(({ name, label }) => (
              <TableCell key={name}>{label}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ name, label }) => (
            <TableRow key={name}>
              <TableCell>{label}</TableCell>
              {columns.map((column) => {
                const one = crossings.find(({ from, in: into }) => from === name && into === column.name);
                return (
                  <TableCell key={column.name}>
                    {one && (
                      <Check
                        isOn={one.isOn}
                        onChange={() => toggle(one)}
                        title={`${partNamed(one.from).label} as negatives in ${partNamed(one.in).label.toLowerCase()}`}
                      >
                        {formatCount(one.count)}
                        {one.campaigns > 1 && ` × ${formatCount(one.campaigns)}`}
                      </Check>
                    )}
                  </TableCell>
                );
              })}
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </>
  );
}
