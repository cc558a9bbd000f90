import type { EffectInfo } from '../../../contract/effects';
import { MovedCell } from './MovedCell';

const MEASURES = [
  ['spend', 'Spend', false],
  ['sales', 'Sales', true],
  ['acos', 'ACOS', false],
] as const;

/** Spend, sales and ACOS as they were measured, each beside what was expected of it in the same unit. */
export function movedCells(effect: EffectInfo) {
  const { gained, expected } = effect;
  return MEASURES.map(([key, name, isMoreGood]) => ({
    key,
    name,
    cell: (
      <MovedCell
        moved={effect[key]}
        isMoreGood={isMoreGood}
        name={name}
        gained={key === 'acos' ? null : (gained?.[key] ?? null)}
        expected={
          expected && {
            money: key === 'acos' ? null : expected[key],
            change: expected[`${key}Change`],
          }
        }
      />
    ),
  }));
}
