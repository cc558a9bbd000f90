export { asText } from './asText';
export { csvLine } from './csvLine';
export { neutralCell, writeWorkbook, XLSX_TYPE } from './writeWorkbook';
