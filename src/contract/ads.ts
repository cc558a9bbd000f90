// What ads show, as views ask for it.
import type { AdParts } from '../core/changes';
import type { PlaceState } from '../core/structure';

export interface AdInfo extends AdParts {
  id: number;
  adGroupId: number;
  adGroup: string;
  campaign: string;
  state: PlaceState;
  product: string;
  /** Micros; null where it is not known. */
  price: number | null;
  /** What the tray, or a bale under way, has it show; null for none. */
  pending: AdParts | null;
}

/** A picture that ads of the account can show. Its bytes are at /api/ads/picture. */
export interface PictureInfo {
  /** Made of its bytes. */
  id: string;
  name: string;
  width: number;
  height: number;
  /** Taken out of what can be chosen; it can come back. */
  isRemoved: boolean;
  /** Ads that show it. */
  ads: number;
}

export interface AdsAnswer {
  ads: AdInfo[];
  pictures: PictureInfo[];
}

export interface PictureRequest {
  account: number;
  id: string;
  isRemoved: boolean;
}
