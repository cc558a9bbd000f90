import type { ReportPartKey } from '../../../contract/report';
import type { MakePart } from '../reportAt';
import { done } from './done';
import { effects } from './effects';
import { left } from './left';
import { movers } from './movers';
import { next } from './next';
import { nights } from './nights';
import { products } from './products';
import { rank } from './rank';
import { structure } from './structure';
import { summary } from './summary';
import { why } from './why';

/** Every part of a report. A new one is a file beside these, a line here, and its name in the contract. */
export const PARTS: Record<ReportPartKey, MakePart> = {
  summary,
  why,
  movers,
  products,
  done,
  effects,
  left,
  nights,
  structure,
  rank,
  next,
};
