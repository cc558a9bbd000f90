import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableFooter from '@mui/material/TableFooter';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import { useUrlState } from '../../shared/urlState';
import { wholeIn } from '../../shared/wholeIn';
import { Head } from '../Head';
import { ProductChoice } from '../ProductChoice';
import { api } from '../../shared/api';
import { useWordsAnswer } from '../../shared/askWords/useWordsAnswer';
import type { WordsPartProps } from '../wordsPartProps';
import { CoreRow } from './CoreRow';
import { usePinned } from './usePinned';
import { Facts, TextBox } from '../../shared/kit';

/** The terms that matter for a product: each with its home, the share of its clicks that gets there, and what leaks elsewhere. */
export function CorePart({ account, loaded, tray }: WordsPartProps) {
  const { values, set } = useUrlState();
  const [text, setText] = useState('');
  const productId = wholeIn(values.get('product')) ?? loaded.products[0]?.id ?? null;
  const { pinned, pin, unpin, error } = usePinned(account.id);
  const own = pinned.filter((one) => one.productId === productId).map(({ term }) => term);
  const { answer } = useWordsAnswer(
    account,
    ['core', productId, own],
    productId === null ? null : () => api.askWords(account.id, 'core', { productId, pinned: own }),
  );
  const terms = answer?.terms ?? [];
  const homeless = terms.filter(({ home }) => home === null).length;
  const clicks = terms.reduce((sum, { sums }) => sum + sums.clicks, 0);
  const atHome = terms.reduce((sum, { sums, atHome }) => sum + sums.clicks * (atHome ?? 0), 0);
  return (
    <main className="page">
      <Head>
        {productId === null
          ? 'No product of the account has search terms yet.'
          : !answer
            ? 'Looking …'
            : `${formatCount(terms.length)} core terms; ${clicks > 0 ? formatShare(atHome / clicks, 0) : 'none'} of their clicks go home${homeless > 0 ? `, ${formatCount(homeless)} have no home` : ''}.`}
      </Head>
      <form
        data-may="decide"
        className="bar"
        onSubmit={(event) => {
          event.preventDefault();
          if (productId !== null && text.trim() !== '') pin(productId, text);
          setText('');
        }}
      >
        <ProductChoice
          loaded={loaded}
          value={productId}
          onChange={(id) => set({ product: id === null ? null : String(id) })}
        />
        <TextBox
          aria-label="Term to pin"
          letters={28}
          placeholder="a term that matters"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" disabled={text.trim() === ''}>
          Pin
        </Button>
        {error && (
          <span role="alert" className="over">
            {error.message}
          </span>
        )}
      </form>
      {terms.length > 0 && (
        <Facts aria-label="Core list">
          <TableHead>
            <TableRow>
              <TableCell>Term</TableCell>
              <TableCell className="figure">Clicks</TableCell>
              <TableCell className="figure">Orders</TableCell>
              <TableCell className="figure">Sales {account.currency}</TableCell>
              <TableCell className="figure">ACOS</TableCell>
              <TableCell>Home</TableCell>
              <TableCell className="figure">At home</TableCell>
              <TableCell>Leaks</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {terms.map((one) => (
              <CoreRow
                account={account.id}
                key={one.form}
                one={one}
                tray={tray}
                onPin={(isWanted) =>
                  productId !== null && (isWanted ? pin(productId, one.term) : unpin(productId, one.term))
                }
              />
            ))}
          </TableBody>
          <TableFooter>
            <TableRow>
              <TableCell className="faint">all</TableCell>
              <TableCell className="figure">{formatCount(clicks)}</TableCell>
              <TableCell className="figure">
                {formatCount(terms.reduce((sum, { sums }) => sum + sums.orders, 0))}
              </TableCell>
              <TableCell className="figure">
                {formatMoney(terms.reduce((sum, { sums }) => sum + sums.sales, 0))}
              </TableCell>
              <TableCell colSpan={5} />
            </TableRow>
          </TableFooter>
        </Facts>
      )}
    </main>
  );
}
