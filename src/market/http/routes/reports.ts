import { createReadStream, statSync } from 'node:fs';
import type { MarketReportKind } from '../../../contract/market';
import { refuse } from '../market';
import type { AccountRequest, Market } from '../market';
import type { ReportFormat } from '../reportShelf';
import { reportSchema } from '../schemas';

type ReportRequest = AccountRequest & {
  Body: { kind: MarketReportKind; from: string; to: string; format: ReportFormat; madeOn?: string };
};
type OneReportRequest = { Params: { account: string; id: string } };

/** Reports are asked for, made after a while, and fetched as files. */
export function addReports({ server, faults, shelf }: Market): void {
  server.post<ReportRequest>(
    '/accounts/:account/reports',
    { schema: { body: reportSchema } },
    async (request, reply) => {
      const { kind, from, to, format, madeOn } = request.body;
      const { account } = request.params;
      if (from > to) return refuse(reply, 400, 'bad-span', `“to” (${to}) is before “from” (${from}).`);
      const question = { account, kind, from, to, madeOn: madeOn ?? '9999-12-31' };
      return reply.code(202).send(shelf.ask(question, format, faults.take('missing-day') !== null));
    },
  );

  server.get<OneReportRequest>('/accounts/:account/reports/:id', async (request, reply) => {
    const report = shelf.find(request.params.account, request.params.id);
    return (
      report ??
      refuse(reply, 404, 'no-such-report', 'There is no such report; it may have been cleared away.')
    );
  });

  server.get<OneReportRequest>('/accounts/:account/reports/:id/file', async (request, reply) => {
    const file = shelf.fileOf(request.params.account, request.params.id);
    if (!file) return refuse(reply, 404, 'no-such-report', 'The report is not ready, or was cleared away.');
    void reply.type('application/gzip');
    const cut = faults.take('truncated-file') ? { end: Math.floor(statSync(file).size / 2) } : {};
    return reply.send(createReadStream(file, cut));
  });
}
