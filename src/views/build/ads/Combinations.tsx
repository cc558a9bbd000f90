import type { AccountInfo } from '../../../contract/api';
import type { AdInfo, PictureInfo } from '../../../contract/ads';
import { combinationsOf } from '../../../core/changes';
import type { AdParts } from '../../../core/changes';
import { formatMoney } from '../../../core/units';
import { pictureUrl } from './adsApi';

interface CombinationsProps {
  account: AccountInfo;
  ad: AdInfo;
  shown: AdParts;
  pictureOf: (id: string) => PictureInfo | undefined;
}

/** Every combination of a title and a picture, as shoppers may see it. */
export function Combinations({ account, ad, shown, pictureOf }: CombinationsProps) {
  return (
    <section aria-label="Combinations">
      <h2 className="part serif">What shoppers may see</h2>
      <div className="pictures">
        {combinationsOf(shown).map(({ title, picture }) => {
          const found = picture === null ? undefined : pictureOf(picture);
          return (
            <figure key={`${picture} ${title}`} className="framed">
              {found ? (
                <img
                  src={pictureUrl(account.id, found.id)}
                  alt={found.name}
                  width={found.width}
                  height={found.height}
                />
              ) : (
                <div className="noPicture faint">
                  {picture === null ? 'the product’s own picture' : 'a picture that was not added here'}
                </div>
              )}
              <figcaption className="stacked">
                <span className="adTitle">{title?.trim() || ad.product}</span>
                {ad.price !== null && (
                  <span className="faint">
                    {formatMoney(ad.price)} {account.currency}
                  </span>
                )}
              </figcaption>
            </figure>
          );
        })}
      </div>
    </section>
  );
}
