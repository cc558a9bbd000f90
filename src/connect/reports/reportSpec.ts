import { FACTS } from '../../contract/facts';
import type { FactSpec } from '../../contract/facts';
import type { ReportField, ReportKind } from '../../contract/reportFields';

/** A kind of report by day, as it is read. */
export type ReportSpec = Omit<FactSpec<ReportField>, 'kind'> & { kind: ReportKind };

/** Every kind of report by day. */
export const REPORT_SPECS: Record<ReportKind, ReportSpec> = FACTS;

/** Texts that name the place of a row of this kind, in the order in which rows carry them. */
export const placeFields = ({ placeIds, placeNames }: ReportSpec): ReportField[] => [
  ...placeIds,
  ...placeNames,
];
