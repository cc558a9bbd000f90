import { headingChoice, importPath } from '../../../../contract/schemas';
import { endpoint, readBody, readPath } from '../../../../server/http/endpoint';
import { chooseHeadings } from '../../../../server/imports/answer';

export const PUT = endpoint(async (context) => {
  const { id } = readPath<{ id: number }>(context, importPath);
  const { matched } = await readBody<{ matched: Record<string, string> }>(context, headingChoice);
  await chooseHeadings(id, matched);
  return { kept: true };
});
