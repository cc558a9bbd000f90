import { importPath } from '../../../contract/schemas';
import { endpoint, readPath } from '../../../server/http/endpoint';
import { importAnswer, needImport } from '../../../server/imports/answer';

export const GET = endpoint(async (context) =>
  importAnswer(await needImport(readPath<{ id: number }>(context, importPath).id)),
);
