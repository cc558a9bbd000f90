// Joi schemas of reports.
import Joi from 'joi';
import { PAPERS, REPORT_PARTS } from './report';
import type { ChosenPart, NewReport, ReportTemplate } from './report';
import type { OfAccount } from './requests';
import { day, id } from './schemas';

const parts = Joi.array()
  .items(
    Joi.object<ChosenPart>({
      part: Joi.string()
        .valid(...REPORT_PARTS)
        .required(),
      note: Joi.string().trim().allow('').max(2000).default(''),
    }),
  )
  .min(1)
  .unique('part')
  .required();
const paper = Joi.string()
  .valid(...PAPERS)
  .default('A4');

export const newReport = Joi.object<NewReport>({
  account: id.required(),
  from: day.required(),
  to: day.required(),
  beforeFrom: day,
  beforeTo: day,
  paper,
  parts,
}).and('beforeFrom', 'beforeTo');

/** Keeps a template: a new one without `id`. */
export const templateRequest = Joi.object<OfAccount & Omit<ReportTemplate, 'id'> & { id?: number }>({
  account: id.required(),
  id,
  name: Joi.string().trim().min(1).max(80).required(),
  parts,
  paper,
  days: Joi.number().integer().min(1).max(92).required(),
  weekday: Joi.number().integer().min(0).max(6).allow(null).required(),
});

export const linkRequest = Joi.object<OfAccount & { report: number; until: string }>({
  account: id.required(),
  report: id.required(),
  until: day.required(),
});

export const REPORT_FORMATS = ['html', 'xlsx', 'json'] as const;
export const reportQuery = Joi.object<
  OfAccount & { format: (typeof REPORT_FORMATS)[number]; save?: boolean }
>({
  account: id.required(),
  format: Joi.string()
    .valid(...REPORT_FORMATS)
    .default('html'),
  save: Joi.boolean(),
});
