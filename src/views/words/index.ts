export { WordsPlace } from './Words';
