export { asText } from './asText';
export { csvCell } from './csvCell';
export { neutralCell, writeWorkbook, XLSX_TYPE } from './writeWorkbook';
