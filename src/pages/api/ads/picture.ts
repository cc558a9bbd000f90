import { newPictureQuery, pictureQuery, pictureRequest } from '../../../contract/adSchemas';
import { addPicture, pictureFile, putPicture } from '../../../server/ads/pictures';
import { bodyOf } from '../../../server/http/bodyOf';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: pictureQuery,
  isLight: true,
  run: ({ query: { account, id } }) => pictureFile(account, id),
});

/** Takes in a picture file. */
export const POST = endpoint({
  may: 'decide',
  query: newPictureQuery,
  run: ({ query, caller, request }) => addPicture(caller, query, bodyOf(request)),
});

/** Takes a picture out of what can be chosen, or back. */
export const PUT = endpoint({
  may: 'decide',
  body: pictureRequest,
  run: ({ body, caller }) => putPicture(caller, body),
});
