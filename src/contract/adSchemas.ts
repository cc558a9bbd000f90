// Joi schemas of what is asked about ads.
import Joi from 'joi';
import type { PictureRequest } from './ads';
import type { OfAccount } from './requests';
import { id } from './schemas';

const pictureId = Joi.string().hex().length(32).required();

export const newPictureQuery = Joi.object<OfAccount & { name: string }>({
  account: id.required(),
  name: Joi.string().trim().min(1).max(200).required(),
});
export const pictureQuery = Joi.object<OfAccount & { id: string }>({ account: id.required(), id: pictureId });
export const pictureRequest = Joi.object<PictureRequest>({
  account: id.required(),
  id: pictureId,
  isRemoved: Joi.boolean().required(),
});
