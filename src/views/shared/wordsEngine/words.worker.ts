import { exposeEngine } from '../worker/engineWorker';
import { wordsEngine } from './wordsEngine';

exposeEngine(wordsEngine());
