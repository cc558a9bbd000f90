import type { StepName } from '../../contract/review';
import { putAside as schema } from '../../contract/schemas';
import { endpoint, readBody } from '../../server/http/endpoint';
import { putAside } from '../../server/review/putAside';

interface Body {
  account: number;
  step: StepName;
  verdict: 'left' | 'later' | 'back';
  rows: { adGroupId: number; termId: number }[];
}

export const POST = endpoint(async (context) => {
  const { account, step, rows, verdict } = await readBody<Body>(context, schema);
  await putAside(account, step, rows, verdict);
  return { rows: rows.length };
});
