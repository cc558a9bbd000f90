export { asText } from './asText';
export { neutralCell, writeWorkbook } from './writeWorkbook';
