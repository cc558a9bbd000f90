import type { AccountInfo } from '../../../contract/api';
import type { AdInfo } from '../../../contract/ads';
import { combinationsOf } from '../../../core/changes';
import type { AdRules } from '../../../core/changes';
import { formatCount } from '../../../core/units';
import { pageLink } from '../../shared/frame/pages';
import { useOffer } from '../../shared/frame/place';
import type { PlaceProps } from '../../shared/frame/place';
import type { KeyLine } from '../../shared/frame/KeysHelp';
import { Columns, Empty, Loading, PartList, PlaceLink, Trouble } from '../../shared/kit';
import { useUrlState } from '../../shared/urlState';
import { BuildTabs } from '../BuildTabs';
import type { BuildPart } from '../BuildTabs';
import { AdEditor } from './AdEditor';
import { useAds } from './useAds';

const KEYS: readonly KeyLine[] = [
  ['n p', 'another title; another picture'],
  ['j k', 'the next ad; the one before'],
  ['Ctrl+Enter', 'put what the ad shows to the tray'],
];

interface AdsProps extends PlaceProps {
  onPart: (part: BuildPart) => void;
}

/** What ads show in place of their product's own title and picture, where a market takes that. */
export function Ads({ account, error, onPart }: AdsProps) {
  useOffer(KEYS);
  const rules = account?.options?.adParts;
  if (account && rules) return <Offered key={account.id} account={account} rules={rules} onPart={onPart} />;
  return (
    <Columns
      name="build"
      left={<PartList title="Ads" label="Ads" entries={[]} current="" onChoose={() => {}} />}
    >
      <main className="page" tabIndex={0} aria-label="Ads">
        <BuildTabs account={account} part="ads" onPart={onPart} />
        {error ? (
          <Trouble error={error} />
        ) : account ? (
          <Empty why="Titles and pictures are set in the shop itself.">
            Ads of this market show what the product shows.
          </Empty>
        ) : (
          <Loading>Loading …</Loading>
        )}
      </main>
    </Columns>
  );
}

function Offered({
  account,
  rules,
  onPart,
}: Pick<AdsProps, 'onPart'> & { account: AccountInfo; rules: AdRules }) {
  const { values, set } = useUrlState();
  const state = useAds(account);
  const { data, error } = state;
  const ads = data?.ads ?? [];
  const current = ads.find(({ id }) => id === Number(values.get('ad'))) ?? ads[0];
  return (
    <Columns
      name="build"
      left={
        <PartList
          title="Ads"
          label="Ads"
          entries={ads.map((ad) => ({
            key: ad.id,
            label: ad.product,
            does: [ad.campaign, shownWords(ad)].filter(Boolean).join(' · '),
          }))}
          current={current?.id}
          onChoose={(id) => set({ ad: String(id) }, true)}
        />
      }
    >
      <main className="page planGrid" tabIndex={0} aria-label="Ads">
        <BuildTabs account={account} part="ads" onPart={onPart} />
        {error ? (
          <Trouble error={error} />
        ) : !data ? (
          <Loading>Loading the ads …</Loading>
        ) : current ? (
          <AdEditor
            key={current.id}
            account={account}
            rules={rules}
            ad={current}
            data={data}
            state={state}
            onStep={(step) => {
              const next = ads[ads.indexOf(current) + step];
              if (next) set({ ad: String(next.id) }, true);
            }}
          />
        ) : (
          <NoAds account={account} />
        )}
      </main>
    </Columns>
  );
}

const NoAds = ({ account }: { account: AccountInfo }) => (
  <Empty
    why="Ads come with a product’s campaigns."
    next={<PlaceLink href={`${pageLink('build', account.id)}&part=plan`}>Plan some</PlaceLink>}
  >
    No ad runs.
  </Empty>
);

/** What an ad shows, in a few words. */
function shownWords({ pending, ...ad }: AdInfo): string {
  const { titles, pictures } = pending ?? ad;
  const told =
    titles.length + pictures.length === 0
      ? ''
      : `${formatCount(combinationsOf(pending ?? ad).length)} ${combinationsOf(pending ?? ad).length === 1 ? 'combination' : 'combinations'}`;
  return pending ? `${told || 'the product’s own'}, in the tray` : told;
}
