import type { ReportContent, ReportInfo, ReportTemplate } from '../../contract/report';
import type { Query } from '../connection';

/** Reports of an account that are kept. */
const KEPT = 12;

/** A kept report, without its content. */
export type ReportRow = Omit<ReportInfo, 'links'>;

export async function listReports(sql: Query, accountId: number): Promise<ReportRow[]> {
  return sql<ReportRow[]>`
    select r.report_id as id, r.title, r.from_day as from, r.to_day as to, r.made_at as "madeAt", t.name as template
    from mowing.report r left join mowing.report_template t on t.account_id = r.account_id and t.template_id = r.template_id
    where r.account_id = ${accountId} order by r.report_id desc`;
}

/** Keeps a report, and lets go of all but the last twelve. */
export async function insertReport(
  sql: Query,
  accountId: number,
  content: ReportContent,
  title: string,
  templateId: number | null,
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.report (account_id, title, from_day, to_day, made_on, content, template_id)
    values (${accountId}, ${title}, ${content.from}, ${content.to}, ${content.madeOn}, ${sql.json(content as never)}, ${templateId})
    returning report_id as id`;
  await sql`
    delete from mowing.report where account_id = ${accountId} and report_id not in (
      select report_id from mowing.report where account_id = ${accountId} order by report_id desc limit ${KEPT})`;
  return id;
}

export async function findReport(
  sql: Query,
  accountId: number,
  id: number,
): Promise<{ title: string; content: ReportContent } | undefined> {
  const [row] = await sql<{ title: string; content: ReportContent }[]>`
    select title, content from mowing.report where account_id = ${accountId} and report_id = ${id}`;
  return row;
}

export async function deleteReport(sql: Query, accountId: number, id: number): Promise<boolean> {
  const gone = await sql`delete from mowing.report where account_id = ${accountId} and report_id = ${id}`;
  return gone.count > 0;
}

export async function listTemplates(sql: Query, accountId: number): Promise<ReportTemplate[]> {
  return sql<ReportTemplate[]>`
    select template_id as id, name, parts, paper, days, weekday from mowing.report_template where account_id = ${accountId} order by name`;
}

/** Templates of a weekday of which none was made on a day yet. */
export async function listDueTemplates(
  sql: Query,
  accountId: number,
  today: string,
  weekday: number,
): Promise<ReportTemplate[]> {
  return sql<ReportTemplate[]>`
    select template_id as id, name, parts, paper, days, weekday from mowing.report_template
    where account_id = ${accountId} and weekday = ${weekday} and made_on is distinct from ${today}::date order by template_id`;
}

export async function markTemplateMade(
  sql: Query,
  accountId: number,
  id: number,
  today: string,
): Promise<void> {
  await sql`update mowing.report_template set made_on = ${today} where account_id = ${accountId} and template_id = ${id}`;
}

/** @returns null where another template has the name, or there is none of that id */
export async function keepTemplate(
  sql: Query,
  accountId: number,
  { id, name, parts, paper, days, weekday }: Omit<ReportTemplate, 'id'> & { id?: number },
): Promise<number | null> {
  const rows =
    id === undefined
      ? await sql<{ id: number }[]>`
          insert into mowing.report_template (account_id, name, parts, paper, days, weekday)
          values (${accountId}, ${name}, ${sql.json(parts as never)}, ${paper}, ${days}, ${weekday}) on conflict do nothing returning template_id as id`
      : await sql<{ id: number }[]>`
          update mowing.report_template set name = ${name}, parts = ${sql.json(parts as never)}, paper = ${paper}, days = ${days}, weekday = ${weekday}
          where account_id = ${accountId} and template_id = ${id} and not exists (
            select from mowing.report_template o where o.account_id = ${accountId} and o.name = ${name} and o.template_id <> ${id})
          returning template_id as id`;
  return rows[0]?.id ?? null;
}

export async function deleteTemplate(sql: Query, accountId: number, id: number): Promise<boolean> {
  const gone =
    await sql`delete from mowing.report_template where account_id = ${accountId} and template_id = ${id}`;
  return gone.count > 0;
}

export interface LinkRow {
  id: number;
  accountId: number;
  reportId: number;
  secret: Buffer;
  until: string;
}

export async function insertLink(
  sql: Query,
  accountId: number,
  link: { reportId: number; secret: Buffer; until: string },
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.report_link (account_id, report_id, secret, until_day)
    values (${accountId}, ${link.reportId}, ${link.secret}, ${link.until}) returning link_id as id`;
  return id;
}

export async function listLinks(sql: Query, accountId: number): Promise<LinkRow[]> {
  return sql<LinkRow[]>`
    select link_id as id, account_id as "accountId", report_id as "reportId", secret, until_day as until from mowing.report_link
    where account_id = ${accountId} order by link_id`;
}

/** A link by what its address says, whosever it is. */
export async function findLink(sql: Query, id: number): Promise<LinkRow | undefined> {
  const [row] = await sql<LinkRow[]>`
    select link_id as id, account_id as "accountId", report_id as "reportId", secret, until_day as until from mowing.report_link
    where link_id = ${id}`;
  return row;
}

export async function deleteLink(sql: Query, accountId: number, id: number): Promise<boolean> {
  const gone = await sql`delete from mowing.report_link where account_id = ${accountId} and link_id = ${id}`;
  return gone.count > 0;
}
