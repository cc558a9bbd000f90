import { reportQuery } from '../../contract/reportSchemas';
import { idPath } from '../../contract/schemas';
import { reportPage } from '../../paper';
import { endpoint } from '../../server/http/endpoint';
import { pageResponse } from '../../server/http/pageResponse';
import { streamResponse } from '../../server/http/streamResponse';
import { needReport } from '../../server/reports/needReport';
import { fileName, reportFile } from '../../server/reports/reportFile';

/** A kept report: as a page, saved as one, as a workbook, or as data. */
export const GET = endpoint({
  may: 'see',
  path: idPath,
  query: reportQuery,
  run: async ({ path: { id }, query: { account, format, save } }) => {
    const { title, content } = await needReport(account, id);
    if (format === 'json') return content;
    if (format === 'xlsx') return streamResponse(reportFile(title, content));
    return pageResponse(reportPage(title, content), save ? `${fileName(title)}.html` : undefined);
  },
});
