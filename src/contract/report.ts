// Reports for paper: parts, each made of blocks that a page, a workbook and a script can show alike. Money in micros, shares as fractions.

/** Parts of a report, in their usual order. */
export const REPORT_PARTS = [
  'summary',
  'why',
  'movers',
  'products',
  'done',
  'effects',
  'left',
  'nights',
  'structure',
  'rank',
  'next',
] as const;
export type ReportPartKey = (typeof REPORT_PARTS)[number];

/** What the parts are called. */
export const PART_TITLES: Record<ReportPartKey, string> = {
  summary: 'At a glance',
  why: 'Why the ACOS moved',
  movers: 'What changed most',
  products: 'Products and product lines',
  done: 'What was done',
  effects: 'What it did',
  left: 'Left on purpose',
  nights: 'Standing rules',
  structure: 'Structure: findings open',
  rank: 'Organic rank',
  next: 'The next round',
};

export const PAPERS = ['A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

export interface ChosenPart {
  part: ReportPartKey;
  note: string;
}

/** What a cell of a column is. */
export type CellUnit = 'text' | 'money' | 'share' | 'points' | 'count' | 'rank';
export type ReportCell = string | number | null;

export interface ReportColumn {
  label: string;
  unit: CellUnit;
}

/** What a part is made of. */
export type ReportBlock =
  | { kind: 'text'; text: string }
  | {
      kind: 'table';
      name: string;
      columns: ReportColumn[];
      rows: ReportCell[][];
      /** Last line: what the rows come to. */
      total?: ReportCell[];
    }
  | {
      kind: 'lines';
      name: string;
      from: string;
      series: { label: string; unit: CellUnit; values: (number | null)[] }[];
    };

export interface ReportContent {
  account: { name: string; currency: string };
  from: string;
  to: string;
  before: { from: string; to: string };
  madeOn: string;
  paper: Paper;
  parts: { key: ReportPartKey; title: string; note: string; blocks: ReportBlock[] }[];
}

/** A report is asked for of days, against others (left out: as many before), with some parts. */
export interface NewReport {
  account: number;
  from: string;
  to: string;
  beforeFrom?: string;
  beforeTo?: string;
  paper: Paper;
  parts: ChosenPart[];
}

export interface ReportInfo {
  id: number;
  title: string;
  from: string;
  to: string;
  madeAt: string;
  /** The template that made it by itself; null: by hand. */
  template: string | null;
  links: { id: number; until: string; path: string }[];
}

export interface ReportTemplate {
  id: number;
  name: string;
  parts: ChosenPart[];
  paper: Paper;
  days: number;
  /** 0 Monday; null: only when asked. */
  weekday: number | null;
}

export interface ReportsAnswer {
  reports: ReportInfo[];
  templates: ReportTemplate[];
  /** The usual days of a report: the last settled ones. */
  usual: { from: string; to: string };
}
