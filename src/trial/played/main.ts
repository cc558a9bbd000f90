// Plays a rule or a growth plan on markets like a part of an account, with it and without. Asked and answered in JSON, a line each: it is a
// program of its own, so that whoever asks goes on meanwhile.
import { text } from 'node:stream/consumers';
import { tellPlayed } from '../../core/played';
import type { PlayAsked, PlayedMarkets, PlayLine } from '../../core/played';
import { doNothing } from '../policies';
import { playScenario } from '../runTrial';
import { firstProductSums } from './figures';
import { growthPlay } from './growthPolicy';
import { likeScenario } from './likeScenario';
import { rulePolicy } from './rulePolicy';

const FIRST_SEED = 501;

const say = (line: PlayLine) => process.stdout.write(`${JSON.stringify(line)}\n`);

function play({ rule, like, weeks, markets, margin, isNew }: PlayAsked): void {
  const isGrowth = rule.growth !== null;
  const played: PlayedMarkets = { with: [], without: [] };
  const sums = isGrowth ? firstProductSums : undefined;
  let moves: { day: number; words: string }[] = [];
  let found = { clicksPerDay: 0, conversion: 0 };
  for (let at = 0; at < markets; at += 1) {
    say({ done: 2 * at, of: 2 * markets });
    const { scenario, like: measured } = likeScenario(like, FIRST_SEED + at, isNew);
    found = {
      clicksPerDay: found.clicksPerDay + measured.clicksPerDay / markets,
      conversion: found.conversion + measured.conversion / markets,
    };
    played.without.push(playScenario(scenario, weeks, doNothing(), undefined, 7, sums));
    say({ done: 2 * at + 1, of: 2 * markets });
    const growth = isGrowth ? growthPlay(rule, isNew) : null;
    const policy = growth?.policy ?? rulePolicy(rule);
    played.with.push(playScenario(scenario, weeks, policy, undefined, 1, sums));
    if (at === 0 && growth) ({ moves } = growth);
  }
  say({ told: { ...tellPlayed(played, margin, found), moves } });
}

play(JSON.parse(await text(process.stdin)) as PlayAsked);
