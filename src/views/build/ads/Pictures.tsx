import Button from '@mui/material/Button';
import type { Ref } from 'react';
import type { PictureInfo } from '../../../contract/ads';
import type { AdRules } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import { Check, FilePick } from '../../shared/kit';
import { pictureUrl } from './adsApi';

interface PicturesProps {
  account: number;
  rules: AdRules;
  all: readonly PictureInfo[];
  chosen: readonly string[];
  inputRef: Ref<HTMLInputElement> & { current: HTMLInputElement | null };
  onChosen: (ids: string[]) => void;
  onFile: (file: File) => void;
  onRemoved: (picture: PictureInfo, isRemoved: boolean) => void;
}

/** The pictures that the account's ads can show: those of this ad are ticked. Removed ones can come back. */
export function Pictures({
  account,
  rules,
  all,
  chosen,
  inputRef,
  onChosen,
  onFile,
  onRemoved,
}: PicturesProps) {
  const { most, width, height, types, mostBytes } = rules.pictures;
  // One that was removed elsewhere while the ad shows it stays in sight.
  const offered = all.filter(({ id, isRemoved }) => !isRemoved || chosen.includes(id));
  const removed = all.filter((one) => !offered.includes(one));
  return (
    <section aria-label="Pictures">
      <h2 className="part serif">Pictures</h2>
      <p className="note">
        {chosen.length} of {most}, exactly {width} × {height} pixels,{' '}
        {types.map((type) => type.toUpperCase()).join(' or ')}, up to{' '}
        {formatCount(Math.floor(mostBytes / 1000))} kB.
      </p>
      <div className="pictures">
        {offered.map((picture) => (
          <figure key={picture.id} className="framed">
            <img src={pictureUrl(account, picture.id)} alt={picture.name} width={width} height={height} />
            <figcaption>
              <Check
                isOn={chosen.includes(picture.id)}
                onChange={(isOn) =>
                  onChosen(isOn ? [...chosen, picture.id] : chosen.filter((id) => id !== picture.id))
                }
                title={picture.name}
              >
                <span className="oneLine">{picture.name}</span>
              </Check>
              <Button
                variant="link"
                aria-label={`Remove ${picture.name}`}
                title={
                  picture.ads > 0
                    ? `Shown in ${formatCount(picture.ads)} ${picture.ads === 1 ? 'ad' : 'ads'}: they go on showing it until they are changed`
                    : 'Takes it out of what can be chosen'
                }
                onClick={() => onRemoved(picture, true)}
              >
                Remove
              </Button>
            </figcaption>
          </figure>
        ))}
      </div>
      <div className="bar">
        <Button variant="outlined" title="p" onClick={() => inputRef.current?.click()}>
          Add a picture …
        </Button>
        <FilePick
          inputRef={inputRef}
          label="File of a picture"
          accept={types.map((type) => `.${type}`).join(',')}
          onFile={onFile}
        />
        {removed.map((picture) => (
          <Button key={picture.id} variant="link" onClick={() => onRemoved(picture, false)}>
            Restore “{picture.name}”
          </Button>
        ))}
      </div>
    </section>
  );
}
