import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { TrailLine } from '../../../contract/people';
import { counted } from '../../../core/units';
import { api } from '../../shared/api';
import { query } from '../../shared/ask';
import { formatTime } from '../../shared/formatTime';
import { Facts, Fault, Loading, TextBox } from '../../shared/kit';
import { PartHead } from '../PartHead';
import { wordsOf } from './wordsOf';

/** How many changes a line is about, and what the first of them were. */
function changesWords({ words, count }: NonNullable<TrailLine['changes']>): string {
  if (count === 1 && words.length === 1) return words[0];
  return `${counted(count, 'change')}${words.length > 0 ? `: ${words.join('; ')}` : ''}${count > words.length ? ' …' : ''}`;
}

/** Who did what to the account, newest first: searched, and taken away as a file. */
export function TrailPart({ account }: { account: AccountInfo }) {
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const { data, error, isFetching, hasNextPage, fetchNextPage } = useInfiniteQuery({
    queryKey: ['trail', account.id, wanted],
    queryFn: ({ pageParam }) => api.trail(account.id, { find: wanted || undefined, before: pageParam }),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.isCut ? last.lines.at(-1)?.id : undefined),
  });
  const lines = data?.pages.flatMap((page) => page.lines) ?? [];
  const file = (format: string) =>
    `/api/audit?${query({ account: account.id, find: wanted || undefined, format })}`;
  return (
    <>
      <PartHead title="Trail">
        Everything that was decided, set, sent, brought in or taken out, with who did it. Nothing here is ever
        changed; changes are told as they last stood. As <a href={file('csv')}>CSV</a> or{' '}
        <a href={file('xlsx')}>XLSX</a>.
      </PartHead>
      <TextBox
        className="findIn"
        letters={40}
        aria-label="Find in the trail"
        placeholder="Find a name, a campaign, what was done …"
        value={find}
        onChange={({ target }) => setFind(target.value)}
      />
      <Fault error={error} />
      {!data && !error && <Loading>Reading the trail …</Loading>}
      {data && lines.length === 0 && (
        <p className="faint">{wanted === '' ? 'Nothing was done yet.' : 'No line holds that.'}</p>
      )}
      {lines.length > 0 && (
        <Facts aria-label="Trail">
          <TableHead>
            <TableRow>
              <TableCell sx={{ width: 150 }}>When</TableCell>
              <TableCell sx={{ width: 120 }}>Who</TableCell>
              <TableCell sx={{ width: 130 }}>What</TableCell>
              <TableCell sx={{ width: 150 }}>Of what</TableCell>
              <TableCell>From</TableCell>
              <TableCell>To</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {lines.map(({ id, at, by, what, subject, name, from, to, changes }) => (
              <TableRow key={id}>
                <TableCell className="faint">{formatTime(at)}</TableCell>
                <TableCell>{by}</TableCell>
                <TableCell>{what}</TableCell>
                <TableCell title={name === null ? undefined : subject}>{name ?? subject}</TableCell>
                {changes ? (
                  <TableCell colSpan={2}>
                    <span className="twoLines" title={changesWords(changes)}>
                      {changesWords(changes)}
                    </span>
                  </TableCell>
                ) : (
                  <>
                    <TableCell className="faint">
                      <span className="twoLines" title={wordsOf(from)}>
                        {wordsOf(from)}
                      </span>
                    </TableCell>
                    <TableCell>
                      <span className="twoLines" title={wordsOf(to)}>
                        {wordsOf(to)}
                      </span>
                    </TableCell>
                  </>
                )}
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      {hasNextPage && (
        <p className="bar">
          <Button variant="outlined" disabled={isFetching} onClick={() => void fetchNextPage()}>
            Show earlier
          </Button>
        </p>
      )}
    </>
  );
}
