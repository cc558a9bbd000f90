export { asText } from './asText';
export { csvLine } from './csvLine';
export { neutralCell, writeSheets, writeWorkbook, XLSX_TYPE } from './writeWorkbook';
