import Button from '@mui/material/Button';
import { useRef } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { AdInfo, AdsAnswer, PictureInfo } from '../../../contract/ads';
import { checkPictureCount, checkTitles, combinationsOf, partsText } from '../../../core/changes';
import type { AdParts, AdRules } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import { useKeys } from '../../shared/useKeys';
import { useRemembered } from '../../shared/useRemembered';
import { Combinations } from './Combinations';
import { Pictures } from './Pictures';
import { Titles } from './Titles';
import type { AdsState } from './useAds';

interface AdEditorProps {
  account: AccountInfo;
  rules: AdRules;
  ad: AdInfo;
  data: AdsAnswer;
  state: AdsState;
  /** To the ad so many places further down. */
  onStep: (step: 1 | -1) => void;
}

/** One ad: its titles and pictures, every combination that shoppers may see, and the way to the tray. Edits stay until they are put there. */
export function AdEditor({ account, rules, ad, data, state, onStep }: AdEditorProps) {
  const { titles, pictures, pending } = ad;
  const now: AdParts = pending ?? { titles, pictures };
  const [edited, setEdited] = useRemembered<AdParts | null>(`ad ${account.id} ${ad.id}`, null);
  const shown = edited ?? now;
  const file = useRef<HTMLInputElement>(null);
  const put = (change: Partial<AdParts>) => {
    const next = { ...shown, ...change };
    setEdited(partsText(next) === partsText(now) ? null : next);
  };
  const faults = [
    ...checkTitles(shown.titles, rules, account.limits),
    ...checkPictureCount(shown.pictures, rules),
  ];
  const toTray = async () => {
    if (edited === null || faults.length > 0) return;
    const wanted = { ...edited, titles: edited.titles.map((title) => title.trim().replace(/\s+/g, ' ')) };
    if (await state.stage(ad, wanted)) setEdited(null);
  };
  const add = async (chosen: File) => {
    const picture = await state.addPicture(chosen);
    if (picture && !shown.pictures.includes(picture.id)) put({ pictures: [...shown.pictures, picture.id] });
  };
  const addTitle = () => shown.titles.length < rules.titles.most && put({ titles: [...shown.titles, ''] });
  useKeys({
    n: addTitle,
    p: () => file.current?.click(),
    j: () => onStep(1),
    k: () => onStep(-1),
    'ctrl+enter': () => void toTray(),
  });
  const byId = new Map(data.pictures.map((one) => [one.id, one]));
  return (
    <>
      <header>
        <p className="sentence">
          {ad.product}: {combinationWords(shown)}
        </p>
        <p className="note">
          {ad.campaign} › {ad.adGroup}
          {ad.state !== 'enabled' && ` · ${ad.state}`}. Shoppers see one title with one picture, in turn;
          without any, the product’s own.
        </p>
      </header>
      <div className="planScroll">
        <Titles
          rules={rules}
          titles={shown.titles}
          limits={account.limits}
          onTitles={(next) => put({ titles: next })}
          onAdd={addTitle}
          onDone={() => void toTray()}
        />
        <Pictures
          account={account.id}
          rules={rules}
          all={data.pictures}
          chosen={shown.pictures}
          inputRef={file}
          onChosen={(next) => put({ pictures: next })}
          onFile={(chosen) => void add(chosen)}
          onRemoved={(picture: PictureInfo, isRemoved) => {
            if (isRemoved) put({ pictures: shown.pictures.filter((id) => id !== picture.id) });
            void state.putPicture(picture, isRemoved);
          }}
        />
        <Combinations account={account} ad={ad} shown={shown} pictureOf={(id) => byId.get(id)} />
      </div>
      <div className="launchBar" role="group" aria-label="Put it to the tray">
        {faults.length > 0 ? (
          <span className="over">{faults.map(({ sentence }) => sentence).join(' ')}</span>
        ) : (
          <span className="faint">
            {edited ? 'Not in the tray yet; it is kept here.' : pending ? 'In the tray.' : 'As it runs.'}
          </span>
        )}
        <span className="room" />
        {edited && <Button onClick={() => setEdited(null)}>As before</Button>}
        <Button
          variant="contained"
          disabled={edited === null || faults.length > 0}
          title="Ctrl+Enter"
          onClick={() => void toTray()}
        >
          Put to the tray
        </Button>
      </div>
    </>
  );
}

function combinationWords(shown: AdParts): string {
  if (shown.titles.length + shown.pictures.length === 0) return 'its product’s own title and picture.';
  const { length } = combinationsOf(shown);
  return length === 1 ? 'one combination.' : `${formatCount(length)} combinations.`;
}
