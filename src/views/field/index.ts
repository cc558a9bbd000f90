export { FieldPlace } from './Field';
