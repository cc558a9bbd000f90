import { expose } from 'comlink';
import { wordsEngine } from './wordsEngine';

expose(wordsEngine());
