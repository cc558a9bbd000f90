import type { Field, Player } from '../auction/caught';
import { PLACEMENTS } from '../../../core/structure';
import type { Query } from '../world/query';
import type { Figures, HourFact, TargetFact, TermFact } from './facts';

const noFigures = (): Figures => ({ impressions: 0, clicks: 0, orders: 0, units: 0, spend: 0, sales: 0 });

/** Sums a day's happenings by term and target, by target and placement, by campaign and hour. */
export class DayBook {
  /** By text: two shoppers may type the same around two products. */
  private readonly terms: (Map<string, TermFact> | undefined)[] = [];
  private readonly targets: (TargetFact | undefined)[] = [];
  private readonly hours: (HourFact | undefined)[] = [];

  constructor({ players, campaigns }: Field) {
    this.terms = new Array(players.length).fill(undefined);
    this.targets = new Array(players.length * PLACEMENTS.length).fill(undefined);
    this.hours = new Array(campaigns.length * 24).fill(undefined);
  }

  /** Books some impressions with what followed them. @param placement index in PLACEMENTS */
  add(player: Player, query: Query, placement: number, hour: number, figures: Figures): void {
    const targetId = player.target.id;
    const byQuery = (this.terms[player.index] ??= new Map());
    let term = byQuery.get(query.text);
    if (!term) byQuery.set(query.text, (term = { targetId, term: query.text, ...noFigures() }));
    addUp(term, figures);
    const target = (this.targets[player.index * PLACEMENTS.length + placement] ??= {
      targetId,
      placement: PLACEMENTS[placement],
      ...noFigures(),
    });
    addUp(target, figures);
    const atHour = (this.hours[player.at * 24 + hour] ??= {
      campaignId: player.campaign.id,
      hour,
      ...noFigures(),
    });
    addUp(atHour, figures);
  }

  facts(): { terms: TermFact[]; targets: TargetFact[]; hours: HourFact[] } {
    return {
      terms: this.terms.flatMap((byQuery) => (byQuery ? [...byQuery.values()] : [])),
      targets: this.targets.filter((fact) => fact !== undefined),
      hours: this.hours.filter((fact) => fact !== undefined),
    };
  }
}

function addUp(total: Figures, { impressions, clicks, orders, units, spend, sales }: Figures) {
  total.impressions += impressions;
  total.clicks += clicks;
  total.orders += orders;
  total.units += units;
  total.spend += spend;
  total.sales += sales;
}
